import type { DeviceKey } from '../engine/devices';
import { holdsOthers } from '../engine/levels';
import type { AskedEdit, FreshView, NodeView } from '../engine/source';
import { siblingAfter, type Tree } from '../engine/tree';

/** Where something new goes. */
export type Spot = { how: 'into' | 'after' | 'before' | 'beside'; node: string; before: string };

/** Something that can be added, as it is named and asked for. */
export type Addable = {
  key: string;
  title: string;
  hint: string;
  kind: string;
  value: string;
  count: number;
  /** For a piece: the kind of its outermost node, which says where it can stand. */
  root?: string;
};

/** Whether a piece is offered at a client; the server refuses what is not. */
export function isOffered(
  piece: { current: number; retired: boolean; siteId: string },
  site: string,
): boolean {
  return piece.current > 0 && !piece.retired && (piece.siteId === '' || piece.siteId === site);
}

type Listed = { name: string; notes: string; tags: readonly string[]; words: string };

/** All that a piece says, by the piece as it was listed: it is asked for at every key. */
const said = new WeakMap<Listed, string>();

/** Whether a piece has all the words in its name, tags, notes or words. */
export function says(piece: Listed, words: string): boolean {
  if (words === '') return true;
  let all = said.get(piece);
  if (all === undefined) {
    all = `${piece.name} ${piece.tags.join(' ')} ${piece.notes} ${piece.words}`.toLowerCase();
    said.set(piece, all);
  }
  const text = all;
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}

const hints: Record<string, string> = {
  section: 'a band across the page',
  box: 'a container of its own',
  column: 'one more in a row',
  heading: 'words',
  text: 'words, lists, links',
  label: 'small words',
  button: 'words that lead somewhere',
  picture: 'a picture',
  icon: 'a small sign',
  divider: 'a rule',
  logo: 'leads home',
  menu: 'links of the site',
  social: 'the client elsewhere',
};

/** What can be added besides pieces, as it is listed. */
export function addables(fresh: readonly FreshView[]): readonly Addable[] {
  return fresh.map(({ title, kind, value, count }) => ({
    key: title,
    title,
    hint: hints[kind] ?? value,
    kind,
    value,
    count,
  }));
}

/** What may stand in what, by kind. */
export type May = ReadonlyMap<string, readonly string[]>;

/**
 * The nearest place for something of a kind, seen from the thing in hand; undefined where there is
 * none.
 *
 * @param bare whether the outermost node is only there to show a piece, and holds nothing else
 */
export function spotFor(
  tree: Tree,
  may: May,
  node: NodeView,
  kind: string,
  bare = false,
): Spot | undefined {
  const takes = (container: NodeView) =>
    !(bare && container.id === tree.root.id) &&
    ((may.get(container.kind) ?? []).includes(kind) ||
      (container.kind === 'row' && kind !== 'section' && kind !== 'row') ||
      (kind === 'column' && (may.get(container.kind) ?? []).includes('row')));
  if (holdsOthers(node.kind) && takes(node)) return { how: 'into', node: node.id, before: '' };
  let at = node;
  let parent = tree.parent(at);
  while (parent && !takes(parent)) {
    at = parent;
    parent = tree.parent(at);
  }
  if (bare && !parent) return undefined;
  const home = parent ?? tree.root;
  return { how: 'after', node: home.id, before: siblingAfter(tree, at) };
}

export function addTo(spot: Spot, what: Addable): AskedEdit {
  const shared = {
    kind: what.kind,
    ...(what.count > 0 ? { value: what.value, count: what.count } : {}),
  };
  return spot.how === 'beside'
    ? { type: 'ADD_BESIDE', node: spot.node, after: true, ...shared }
    : { type: 'ADD', node: spot.node, before: spot.before, ...shared };
}

/** Moves a thing one place among its siblings; undefined where there is no such place. */
export function moved(tree: Tree, node: NodeView, by: -1 | 1): AskedEdit | undefined {
  const siblings = tree.children(node.parent);
  const at = siblings.findIndex((n) => n.id === node.id);
  const to = at + by;
  if (node.parent === '' || to < 0 || to >= siblings.length) return undefined;
  const before = by < 0 ? siblings[to]?.id : siblings[to + 1]?.id;
  return { type: 'MOVE', node: node.parent, nodes: [node.id], before: before ?? '' };
}

export function hidden(nodes: readonly NodeView[], device: DeviceKey): AskedEdit | undefined {
  const [first] = nodes;
  if (!first) return undefined;
  return {
    type: 'HIDE',
    nodes: nodes.map((node) => node.id),
    device,
    on: !first.hiddenOn.includes(device),
  };
}
