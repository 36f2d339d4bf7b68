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
