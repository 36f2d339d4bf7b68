import type { AskedEdit, ListView } from './source';

/** An item of a list, as it stands around a node. */
export type Around = { list: ListView; id: string; node: string; at: number };

function isIn(node: string, item: string): boolean {
  return node.startsWith(`${item}/`);
}

/** The innermost item that a node stands in. */
export function itemAround(lists: readonly ListView[], node: string): Around | undefined {
  let innermost: Around | undefined;
  for (const list of lists) {
    for (const [at, { id, node: outermost }] of list.items.entries()) {
      if (isIn(node, id) && (!innermost || id.length > innermost.id.length)) {
        innermost = { list, id, node: outermost, at };
      }
    }
  }
  return innermost;
}

/** The nodes that are the outermost of an item. */
export function itemNodes(lists: readonly ListView[]): ReadonlySet<string> {
  return new Set(lists.flatMap((list) => list.items.map((item) => item.node)));
}

/** Words and pictures are an item's own; everything else goes to all of them. */
const ownOfItem = new Set<AskedEdit['type']>(['FIELD', 'MARKED', 'RESET', 'SWITCH', 'KEEP']);

/** Whether an edit is to be done to every item of the list that it is aimed at an item of. */
export function isForEvery(lists: readonly ListView[], edit: AskedEdit): boolean {
  if (ownOfItem.has(edit.type) && !(edit.type === 'FIELD' && edit.field === 'level')) return false;
  const nodes = [...('node' in edit ? [edit.node] : []), ...('nodes' in edit ? edit.nodes : [])];
  const own = lists.filter((list) => list.own);
  return nodes.some((node) => itemAround(own, node) !== undefined);
}
