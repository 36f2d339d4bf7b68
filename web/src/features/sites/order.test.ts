import { describe, expect, it } from 'vitest';
import { lifted, nested, stepped } from './order';

const pages = [
  { id: 'home', parent: '', depth: 0 },
  { id: 'services', parent: '', depth: 0 },
  { id: 'kites', parent: 'services', depth: 1 },
  { id: 'repairs', parent: 'kites', depth: 2 },
  { id: 'news', parent: '', depth: 0 },
];
const ids = (filed: readonly { id: string }[] | undefined) => filed?.map(({ id }) => id);

describe('the order of pages', () => {
  it('steps over a neighbour with all that is below it', () => {
    expect(ids(stepped(pages, 'news', -1))).toEqual([
      'home',
      'news',
      'services',
      'kites',
      'repairs',
    ]);
    expect(ids(stepped(pages, 'services', 1))).toEqual([
      'home',
      'news',
      'services',
      'kites',
      'repairs',
    ]);
    expect(stepped(pages, 'home', -1)).toBeUndefined();
    expect(stepped(pages, 'kites', 1)).toBeUndefined();
  });

  it('files under the one before, and up again', () => {
    expect(nested(pages, 'news')?.at(-1)).toEqual({ id: 'news', parent: 'services' });
    expect(nested(pages, 'home')).toBeUndefined();
    const up = lifted(pages, 'repairs');
    expect(up?.find(({ id }) => id === 'repairs')?.parent).toBe('services');
    expect(ids(lifted(pages, 'kites'))).toEqual(['home', 'services', 'kites', 'repairs', 'news']);
    expect(lifted(pages, 'kites')?.find(({ id }) => id === 'kites')?.parent).toBe('');
    expect(lifted(pages, 'news')).toBeUndefined();
  });

  it('keeps every page once', () => {
    for (const { id } of pages) {
      for (const next of [
        stepped(pages, id, 1),
        stepped(pages, id, -1),
        nested(pages, id),
        lifted(pages, id),
      ]) {
        if (next) expect([...(ids(next) ?? [])].sort()).toEqual(pages.map((p) => p.id).sort());
      }
    }
  });
});
