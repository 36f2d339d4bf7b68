import { describe, expect, it } from 'vitest';
import { lifted, movedTogether, nested, put, stepped } from './order';

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

  const all = pages.map(({ id }) => id);
  const set = (...chosen: string[]) => new Set(chosen);

  it('puts pages beside another or under it, with all below them and in their order', () => {
    expect(ids(put(pages, set('news', 'home'), 'kites', 'before'))).toEqual([
      'services',
      'home',
      'news',
      'kites',
      'repairs',
    ]);
    const under = put(pages, set('services'), 'home', 'under');
    expect(ids(under)).toEqual(all);
    expect(under?.find(({ id }) => id === 'services')?.parent).toBe('home');
    expect(under?.find(({ id }) => id === 'kites')?.parent).toBe('services');
    expect(put(pages, set('kites'), 'news', 'after')?.at(-2)).toEqual({ id: 'kites', parent: '' });
  });

  it('puts nothing under itself, and nothing where it stands', () => {
    expect(put(pages, set('services'), 'repairs', 'under')).toBeUndefined();
    expect(put(pages, set('home'), 'services', 'before')).toBeUndefined();
    expect(put(pages, set('nowhere'), 'home', 'after')).toBeUndefined();
  });

  it('never loses a page or makes a ring, wherever anything is put', () => {
    for (const a of all) {
      for (const b of all) {
        for (const target of all) {
          for (const where of ['before', 'after', 'under'] as const) {
            const next = put(pages, set(a, b), target, where);
            if (!next) continue;
            expect([...(ids(next) ?? [])].sort()).toEqual([...all].sort());
            const parents = new Map(next.map(({ id, parent }) => [id, parent]));
            for (const id of all) {
              let up: string | undefined = id;
              for (let n = 0; up && n <= all.length; n++) up = parents.get(up);
              expect(up).toBe('');
            }
            // Each stands before what is filed under it.
            for (const [at, { parent }] of next.entries()) {
              if (parent) expect((ids(next) ?? []).indexOf(parent)).toBeLessThan(at);
            }
          }
        }
      }
    }
  });

  it('moves several together by a key', () => {
    expect(ids(movedTogether(pages, set('home', 'services'), 'down'))).toEqual([
      'news',
      'home',
      'services',
      'kites',
      'repairs',
    ]);
    expect(movedTogether(pages, set('services', 'news'), 'in')?.at(-1)?.parent).toBe('home');
    expect(
      movedTogether(pages, set('kites'), 'out')?.find(({ id }) => id === 'kites')?.parent,
    ).toBe('');
    expect(movedTogether(pages, set('home', 'news'), 'up')).toBeUndefined();
  });
});
