import { describe, expect, it } from 'vitest';

/** From the inside out: a room may use those before it. */
const rooms = ['engine', 'canvas', 'words', 'hands', 'ladder', 'shell'];
/** These do not know each other. */
const beside = ['words', 'hands', 'ladder'];

const files = import.meta.glob<string>('../**/*.{ts,tsx}', {
  query: '?raw',
  import: 'default',
  eager: true,
});

/** A path as one from the folder of all sources. */
function resolved(from: string, to: string): string {
  const parts = `${from.replace(/[^/]*$/, '')}${to}`.split('/');
  const path: string[] = [];
  for (const part of parts) {
    if (part === '..' && path.length > 0 && path[path.length - 1] !== '..') path.pop();
    else if (part !== '.') path.push(part);
  }
  return path.join('/');
}

const imports = Object.entries(files)
  .filter(([file]) => !file.includes('.test.'))
  .flatMap(([file, text]) => {
    const from = file.startsWith('../') ? file : `../workbench/${file.replace('./', '')}`;
    return [...text.matchAll(/from '(\.[^']+)'/g)].map((match) => ({
      from: from.replace(/\.tsx?$/, ''),
      to: resolved(from, match[1] ?? ''),
    }));
  });

function roomOf(path: string): string {
  return /^\.\.\/workbench\/([a-z]+)\//.exec(path)?.[1] ?? '';
}

describe('the rooms of the workbench', () => {
  it('are all known, and use only those further in', () => {
    const between = imports
      .map(({ from, to }) => ({ from, to, uses: roomOf(from), used: roomOf(to) }))
      .filter(({ uses, used }) => uses !== '' && used !== '' && uses !== used);
    expect(new Set(between.flatMap(({ uses, used }) => [uses, used]))).toEqual(new Set(rooms));
    const wrong = between.filter(
      ({ uses, used }) =>
        rooms.indexOf(used) > rooms.indexOf(uses) ||
        (beside.includes(used) && beside.includes(uses)),
    );
    expect(wrong).toEqual([]);
  });

  it('and everything else stand in no circle', () => {
    const uses = new Map<string, string[]>();
    for (const { from, to } of imports) uses.set(from, [...(uses.get(from) ?? []), to]);
    const done = new Set<string>();
    const circle = (at: string, line: readonly string[]): readonly string[] => {
      if (line.includes(at)) return [...line.slice(line.indexOf(at)), at];
      if (done.has(at)) return [];
      for (const next of uses.get(at) ?? []) {
        const found = circle(next, [...line, at]);
        if (found.length > 0) return found;
      }
      done.add(at);
      return [];
    };
    expect([...uses.keys()].flatMap((file) => circle(file, []))).toEqual([]);
  });
});
