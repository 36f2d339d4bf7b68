import type { Block, NodeView } from './source';

/** The shown tree, for looking things up. */
export type Tree = {
  root: NodeView;
  /** Every node, parents before children. */
  nodes: readonly NodeView[];
  byId: ReadonlyMap<string, NodeView>;
  children: (id: string) => readonly NodeView[];
  parent: (node: NodeView) => NodeView | undefined;
  /** From the outermost node to the given one. */
  chain: (node: NodeView) => readonly NodeView[];
  /** A node and all in it. */
  inside: (id: string) => readonly NodeView[];
};

export function treeOf(root: NodeView, blocks: readonly Block[]): Tree {
  const nodes = [root, ...blocks.flatMap((block) => block.nodes)];
  const byId = new Map(nodes.map((node) => [node.id, node]));
  const below = new Map<string, NodeView[]>();
  for (const node of nodes) {
    const siblings = below.get(node.parent);
    if (siblings) siblings.push(node);
    else below.set(node.parent, [node]);
  }
  const children = (id: string) => below.get(id) ?? [];
  const parent = (node: NodeView) => byId.get(node.parent);
  const chain = (node: NodeView): readonly NodeView[] => {
    const up = parent(node);
    return up ? [...chain(up), node] : [node];
  };
  const inside = (id: string): readonly NodeView[] => {
    const node = byId.get(id);
    return node ? [node, ...children(id).flatMap((child) => inside(child.id))] : [];
  };
  return { root, nodes, byId, children, parent, chain, inside };
}

export type Step = 'parent' | 'child' | 'next' | 'previous';

/** The node one step away, for the keys; the node itself where there is none. */
export function stepFrom(tree: Tree, node: NodeView, step: Step): NodeView {
  if (step === 'parent') return tree.parent(node) ?? node;
  if (step === 'child') return tree.children(node.id)[0] ?? node;
  const siblings = tree.children(node.parent);
  const at = siblings.findIndex((n) => n.id === node.id);
  return siblings[at + (step === 'next' ? 1 : -1)] ?? node;
}

/** The kind of what is around a placement that a node stands in; empty if nothing is. */
export function kindAround(tree: Tree, node: NodeView, placement: string): string {
  const outside = tree
    .chain(node)
    .toReversed()
    .find((n) => n.placement !== placement && !n.placement.startsWith(`${placement}/`));
  return outside?.kind ?? '';
}

/** The sibling before which a node stands; empty for the last one. */
export function siblingAfter(tree: Tree, node: NodeView): string {
  const siblings = tree.children(node.parent);
  return siblings[siblings.findIndex((n) => n.id === node.id) + 1]?.id ?? '';
}
