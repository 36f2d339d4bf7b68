import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../api/client';
import { mergedTable, type TokenRow } from './table';

const row = (id: string, name = id) => ({ id, name }) as TokenRow;
const answerOf = (tokens: TokenRow[], order?: string[]) =>
  ({ telling: 't', stamp: 2, tokens, ...(order ? { order } : {}) }) as unknown as Schemas['Table'];

describe('a table put together', () => {
  const whole = mergedTable(undefined, answerOf([row('a'), row('b')], ['a', 'b']));

  it('keeps the rows that are not new as the same objects', () => {
    const now = mergedTable(whole, answerOf([row('b', 'renamed')]));
    expect(now.tokens.map((token) => token.name)).toEqual(['a', 'renamed']);
    expect(now.tokens[0]).toBe(whole.tokens[0]);
    expect(now.stamp).toBe(2);
  });

  it('takes a new order, with what came and went', () => {
    const now = mergedTable(whole, answerOf([row('c')], ['c', 'b']));
    expect(now.tokens.map((token) => token.id)).toEqual(['c', 'b']);
    expect(mergedTable(now, answerOf([], [])).tokens).toEqual([]);
  });
});
