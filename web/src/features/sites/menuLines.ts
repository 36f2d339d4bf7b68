import type { Schemas } from '../../api/client';

type Item = Schemas['Item'];

/** A link of a menu as a line: how many links it is filed under. */
export type Line = { words: string; link: string; newTab: boolean; depth: number };

/** Deeper menus cannot be read on a small screen; the server refuses them. */
const DEEPEST = 2;

/** A tree of links as lines, each before what is filed under it. */
export function flat(items: readonly Item[], depth = 0): readonly Line[] {
  return items.flatMap(({ words, link, newTab, below }) => [
    { words, link, newTab, depth },
    ...flat(below, depth + 1),
  ]);
}

/** Lines as a tree; a line that is further in than it can be stands as far in as it can. */
export function treeOf(lines: readonly Line[]): Item[] {
  const top: Item[] = [];
  const open: Item[][] = [top];
  for (const { words, link, newTab, depth } of lines) {
    open.length = Math.min(depth, open.length - 1) + 1;
    const item: Item = { words, link, newTab, below: [] };
    open[open.length - 1]?.push(item);
    open.push(item.below);
  }
  return top;
}

/** The end of a line with all that is filed under it. */
function endOf(lines: readonly Line[], at: number): number {
  const depth = lines[at]?.depth ?? 0;
  let end = at + 1;
  while ((lines[end]?.depth ?? -1) > depth) end++;
  return end;
}

/** Moves a line with all that is filed under it; where it cannot go there, nothing changes. */
export function moved(
  lines: readonly Line[],
  at: number,
  way: 'up' | 'down' | 'in' | 'out',
): readonly Line[] {
  const line = lines[at];
  if (!line) return lines;
  const end = endOf(lines, at);
  const branch = lines.slice(at, end);
  if (way === 'in' || way === 'out') {
    const step = way === 'in' ? 1 : -1;
    const before = lines[at - 1]?.depth ?? -1;
    const tooFar =
      way === 'in'
        ? line.depth > before || Math.max(...branch.map(({ depth }) => depth)) >= DEEPEST
        : line.depth === 0;
    if (tooFar) return lines;
    return lines.map((each, i) =>
      i >= at && i < end ? { ...each, depth: each.depth + step } : each,
    );
  }
  if (way === 'down') {
    if ((lines[end]?.depth ?? -1) < line.depth) return lines;
    const next = endOf(lines, end);
    return [...lines.slice(0, at), ...lines.slice(end, next), ...branch, ...lines.slice(next)];
  }
  let before = at - 1;
  while ((lines[before]?.depth ?? -1) > line.depth) before--;
  if (lines[before]?.depth !== line.depth) return lines;
  return [...lines.slice(0, before), ...branch, ...lines.slice(before, at), ...lines.slice(end)];
}
