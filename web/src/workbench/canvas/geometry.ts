import type { Canvas } from '../engine/drawing';
import type { NodeView } from '../engine/source';
import type { Tree } from '../engine/tree';

export type Box = { x: number; y: number; width: number; height: number };
export type Point = { x: number; y: number };

/** Where a node stands, in px of its frame's own viewport; undefined if it is not drawn. */
export function boxOf(canvas: Canvas | undefined, node: string): Box | undefined {
  const element = canvas?.element(node);
  if (!element || element.getClientRects().length === 0) return undefined;
  const { x, y, width, height } = element.getBoundingClientRect();
  return { x, y, width, height };
}

/** The nodes that lie under a point, the innermost first. */
export function nodesAt(canvas: Canvas, { x, y }: Point): string[] {
  const ids = new Set<string>();
  for (const hit of canvas.doc.elementsFromPoint(x, y)) {
    const id = hit.closest('[data-node]')?.getAttribute('data-node');
    if (id) ids.add(id);
  }
  return [...ids];
}

/** Where something would land, and the line that marks it. */
export type Landing = {
  /** `into` a container before a child, or `beside` something. */
  how: 'into' | 'beside';
  target: string;
  before: string;
  after: boolean;
  line: Box;
  vertical: boolean;
  says: string;
};

/** What is carried: nodes of the page, or something new of a kind. */
export type Load = { kind: string; nodes: readonly string[] };

const EDGE = 0.22;
const EDGE_MOST = 40;

function center(box: Box, across: boolean): number {
  return across ? box.x + box.width / 2 : box.y + box.height / 2;
}

function isAcross(canvas: Canvas, node: NodeView): boolean {
  if (node.kind === 'row') return true;
  const element = canvas.element(node.id);
  const view = canvas.doc.defaultView;
  return element && view ? view.getComputedStyle(element).display === 'flex' : false;
}

function name(node: NodeView): string {
  return node.title.toLowerCase() === node.kind ? `the ${node.kind}` : `“${node.title}”`;
}

/** Between which children of a container a point lies. */
function between(
  canvas: Canvas,
  tree: Tree,
  container: NodeView,
  point: Point,
  load: Load,
): Landing | undefined {
  const across = isAcross(canvas, container);
  const outer = boxOf(canvas, container.id) ?? {
    x: 0,
    y: 0,
    width: canvas.doc.documentElement.clientWidth,
    height: canvas.doc.body.getBoundingClientRect().height,
  };
  const boxes = tree
    .children(container.id)
    .filter((child) => !load.nodes.includes(child.id))
    .flatMap((child) => {
      const box = boxOf(canvas, child.id);
      return box ? [{ child, box }] : [];
    });
  const inLine = across
    ? boxes.filter(({ box }) => point.y >= box.y && point.y <= box.y + box.height)
    : boxes;
  const line = inLine.length > 0 ? inLine : boxes;
  const at = across ? point.x : point.y;
  const next = line.find(({ box }) => at < center(box, across));
  const last = line[line.length - 1];
  const before = next?.child.id ?? after(tree, last?.child);
  const edge = next
    ? across
      ? next.box.x
      : next.box.y
    : last
      ? across
        ? last.box.x + last.box.width
        : last.box.y + last.box.height
      : across
        ? outer.x + 4
        : outer.y + 4;
  const reference = next?.box ?? last?.box ?? outer;
  return {
    how: 'into',
    target: container.id,
    before,
    after: false,
    vertical: across,
    line: across
      ? { x: edge, y: reference.y, width: 0, height: Math.max(24, reference.height) }
      : { x: outer.x, y: edge, width: outer.width, height: 0 },
    says: next
      ? `before ${name(next.child)}`
      : last
        ? `after ${name(last.child)}`
        : `into ${name(container)}`,
  };
}

function after(tree: Tree, node: NodeView | undefined): string {
  if (!node) return '';
  const siblings = tree.children(node.parent);
  return siblings[siblings.findIndex((n) => n.id === node.id) + 1]?.id ?? '';
}

function beside(box: Box, node: NodeView, right: boolean): Landing {
  return {
    how: 'beside',
    target: node.id,
    before: '',
    after: right,
    vertical: true,
    line: { x: right ? box.x + box.width : box.x, y: box.y, width: 0, height: box.height },
    says: `${right ? 'right of' : 'left of'} ${name(node)}`,
  };
}

/** Where a load would land if it were let go at a point of a frame. */
export function landingAt(
  canvas: Canvas,
  tree: Tree,
  point: Point,
  load: Load,
): Landing | undefined {
  const carried = new Set(load.nodes.flatMap((id) => tree.inside(id).map((node) => node.id)));
  const hit = nodesAt(canvas, point).find((id) => !carried.has(id));
  const target = (hit === undefined ? undefined : tree.byId.get(hit)) ?? tree.root;
  if (load.kind === 'section') return between(canvas, tree, tree.root, point, load);
  if (target.kind === 'page' || target.kind === 'row') {
    return between(canvas, tree, target, point, load);
  }
  const box = boxOf(canvas, target.id);
  const parent = tree.parent(target);
  if (!box || !parent) return between(canvas, tree, tree.root, point, load);
  if (load.kind === 'column' || target.kind === 'column') {
    const column = tree.chain(target).findLast((node) => node.kind === 'column');
    const columnBox = column && boxOf(canvas, column.id);
    if (column && columnBox) {
      const margin = Math.min(EDGE_MOST, columnBox.width * EDGE);
      const left = point.x < columnBox.x + margin;
      const right = point.x > columnBox.x + columnBox.width - margin;
      if (load.kind === 'column') {
        return beside(columnBox, column, point.x > columnBox.x + columnBox.width / 2);
      }
      if (left || right) return beside(columnBox, column, right);
      return between(canvas, tree, target, point, load);
    }
  }
  if (target.kind === 'section' || target.kind === 'box') {
    return between(canvas, tree, target, point, load);
  }
  const margin = Math.min(EDGE_MOST, box.width * EDGE);
  const left = point.x < box.x + margin;
  const right = point.x > box.x + box.width - margin;
  if (!isAcross(canvas, parent) && (left || right)) return beside(box, target, right);
  return between(canvas, tree, parent, point, load);
}
