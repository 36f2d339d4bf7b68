import type { ListView } from './source';

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

/** The picture of whatever page the item shows in which it stands. */
export const OF_PAGE = 'item-picture';

/** Whether a picture is that of a page that is shown. */
export function isOfPage(picture: string): boolean {
  return picture === OF_PAGE || picture.startsWith('page:');
}
