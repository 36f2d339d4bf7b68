import { describe, expect, it } from 'vitest';
import { flat, moved, treeOf, type Line } from './menuLines';

const line = (words: string, depth: number): Line => ({
  words,
  link: `/${words}`,
  newTab: words === 'news',
  depth,
});
const lines = [line('home', 0), line('services', 0), line('kites', 1), line('news', 0)];
const read = (some: readonly Line[]) => some.map(({ words, depth }) => `${depth} ${words}`);

describe('the lines of a menu', () => {
  it('are a tree and back', () => {
    expect(flat(treeOf(lines))).toEqual(lines);
    expect(treeOf([line('deep', 2), line('next', 1)])).toEqual([
      {
        words: 'deep',
        link: '/deep',
        newTab: false,
        below: [{ words: 'next', link: '/next', newTab: false, below: [] }],
      },
    ]);
  });

  it('move with all that is filed under them', () => {
    expect(read(moved(lines, 1, 'down'))).toEqual(['0 home', '0 news', '0 services', '1 kites']);
    expect(read(moved(lines, 3, 'up'))).toEqual(['0 home', '0 news', '0 services', '1 kites']);
    expect(read(moved(lines, 1, 'in'))).toEqual(['0 home', '1 services', '2 kites', '0 news']);
    expect(read(moved(lines, 2, 'out'))).toEqual(['0 home', '0 services', '0 kites', '0 news']);
  });

  it('stay where they cannot go further', () => {
    expect(moved(lines, 0, 'up')).toBe(lines);
    expect(moved(lines, 0, 'in')).toBe(lines);
    expect(moved(lines, 3, 'down')).toBe(lines);
    expect(moved(lines, 2, 'up')).toBe(lines);
    expect(moved(lines, 2, 'in')).toBe(lines);
    expect(moved(lines, 0, 'out')).toBe(lines);
  });

  it('never lose a link', () => {
    for (const at of lines.keys()) {
      for (const way of ['up', 'down', 'in', 'out'] as const) {
        const words = moved(lines, at, way).map((each) => each.words);
        expect([...words].sort()).toEqual(lines.map((each) => each.words).sort());
        expect(flat(treeOf(moved(lines, at, way)))).toEqual(moved(lines, at, way));
      }
    }
  });
});
