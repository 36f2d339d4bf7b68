import { describe, expect, it } from 'vitest';
import { count, names, reachWords, ratio } from './count';

describe('count', () => {
  it('bends the word', () => {
    expect(count(1, 'page')).toBe('1 page');
    expect(count(0, 'page')).toBe('0 pages');
    expect(count(2, 'box', 'boxes')).toBe('2 boxes');
  });
});

describe('reachWords', () => {
  it('says placements, pages and sites', () => {
    expect(reachWords({ placements: 6, pages: 5, sites: 1 })).toBe(
      '6 placements on 5 pages of 1 site',
    );
    expect(reachWords({ placements: 0, pages: 0, sites: 0 })).toBe('not placed yet');
  });
});

describe('names', () => {
  it('joins as a sentence does', () => {
    expect(names([])).toBe('');
    expect(names(['a'])).toBe('a');
    expect(names(['a', 'b', 'c'])).toBe('a, b and c');
  });

  it('cuts a contrast ratio', () => {
    expect(ratio(4.4966)).toBe('4.49');
    expect(ratio(21)).toBe('21.00');
    expect(ratio(0)).toBe('–');
  });
});
