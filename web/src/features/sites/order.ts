import type { SitePage } from './useSites';

/** A page in the tree: its id, and the page that it is filed under. */
export type Filed = { id: string; parent: string };

type Page = Pick<SitePage, 'id' | 'parent' | 'depth'>;

/** The pages that are filed under one, to any depth, and the page itself: they stand together. */
function branch(pages: readonly Page[], at: number): readonly Page[] {
  const top = pages[at];
  if (!top) return [];
  let end = at + 1;
  while ((pages[end]?.depth ?? -1) > top.depth) end++;
  return pages.slice(at, end);
}

const filed = (pages: readonly Page[]): Filed[] =>
  pages.map(({ id, parent }) => ({ id, parent: parent }));

/** Puts a page with all below it before the one above it that has the same parent, or after the next. */
export function stepped(
  pages: readonly Page[],
  id: string,
  step: -1 | 1,
): readonly Filed[] | undefined {
  const at = pages.findIndex((page) => page.id === id);
  const page = pages[at];
  if (!page) return undefined;
  const siblings = pages.filter((other) => other.parent === page.parent);
  const next = siblings[siblings.indexOf(page) + step];
  if (!next) return undefined;
  const [upper, lower] = step < 0 ? [next, page] : [page, next];
  const first = branch(pages, pages.indexOf(upper));
  const second = branch(pages, pages.indexOf(lower));
  const begin = pages.indexOf(upper);
  const end = pages.indexOf(lower) + second.length;
  return filed([...pages.slice(0, begin), ...second, ...first, ...pages.slice(end)]);
}

/** Files a page under the one before it on the same level. */
export function nested(pages: readonly Page[], id: string): readonly Filed[] | undefined {
  const page = pages.find((each) => each.id === id);
  if (!page) return undefined;
  const siblings = pages.filter((other) => other.parent === page.parent);
  const before = siblings[siblings.indexOf(page) - 1];
  if (!before) return undefined;
  return filed(pages).map((each) => (each.id === id ? { id, parent: before.id } : each));
}

/** Files a page one level up, right after the page that it was filed under. */
export function lifted(pages: readonly Page[], id: string): readonly Filed[] | undefined {
  const at = pages.findIndex((each) => each.id === id);
  const page = pages[at];
  const parent = pages.find((each) => each.id === page?.parent);
  if (!page || !parent) return undefined;
  const mine = branch(pages, at);
  const rest = pages.filter((each) => !mine.includes(each));
  const end = rest.indexOf(parent) + branch(rest, rest.indexOf(parent)).length;
  const moved = mine.map((each) => (each.id === id ? { ...each, parent: parent.parent } : each));
  return filed([...rest.slice(0, end), ...moved, ...rest.slice(end)]);
}

/** Where something is let go: beside a page, or as the last of those filed under it. */
export type Where = 'before' | 'after' | 'under';

/**
 * Puts pages with all below them beside another page or under it, in their order.
 *
 * @returns nothing where they stand so, or where they would be filed under themselves
 */
export function put(
  pages: readonly Page[],
  ids: ReadonlySet<string>,
  target: string,
  where: Where,
): readonly Filed[] | undefined {
  const moved: Page[] = [];
  const tops = new Set<string>();
  pages.forEach((page, at) => {
    if (!ids.has(page.id) || moved.includes(page)) return;
    tops.add(page.id);
    moved.push(...branch(pages, at));
  });
  const to = pages.find(({ id }) => id === target);
  if (!to || moved.length === 0 || moved.includes(to)) return undefined;
  const parent = where === 'under' ? to.id : to.parent;
  const rest = pages.filter((page) => !moved.includes(page));
  const at = rest.indexOf(to);
  const place = where === 'before' ? at : at + branch(rest, at).length;
  const next = filed([
    ...rest.slice(0, place),
    ...moved.map((page) => (tops.has(page.id) ? { ...page, parent } : page)),
    ...rest.slice(place),
  ]);
  return JSON.stringify(next) === JSON.stringify(filed(pages)) ? undefined : next;
}

/** Moves several pages together by a key: up, down, under the one before them, or a level up. */
export function movedTogether(
  pages: readonly Page[],
  ids: ReadonlySet<string>,
  way: 'up' | 'down' | 'in' | 'out',
): readonly Filed[] | undefined {
  const chosen = pages.filter(({ id }) => ids.has(id));
  const first = chosen[0];
  if (!first) return undefined;
  const level = pages.filter(({ parent }) => parent === first.parent);
  const last = level.filter(({ id }) => ids.has(id)).at(-1);
  const before = level[level.indexOf(first) - 1];
  const after = last && level.slice(level.indexOf(last) + 1).find(({ id }) => !ids.has(id));
  if (way === 'out') return put(pages, ids, first.parent, 'after');
  if (way === 'down') return after && put(pages, ids, after.id, 'after');
  return before && put(pages, ids, before.id, way === 'up' ? 'before' : 'under');
}
