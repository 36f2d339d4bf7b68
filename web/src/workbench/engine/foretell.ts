import { fragmentOf } from './fragment';
import type { Canvas } from './drawing';
import type { Asked, AskedEdit, FreshView } from './source';
import type { Tree } from './tree';

/** Beside something stands what shares a row of two with it. */
const TWO = { kind: 'row', value: 'equal', count: 2 };

/**
 * Draws what an edit does with things that stand there, or with something new, where that is plain,
 * before the server answers. The next drawing holds in any case.
 *
 * @param fresh how new things are drawn here
 */
export function foretell(
  canvas: Canvas,
  tree: Tree,
  fresh: readonly FreshView[],
  edit: AskedEdit,
): void {
  const nodes = ('nodes' in edit ? edit.nodes : []).flatMap((id) => tree.byId.get(id) ?? []);
  const carried = outermost(nodes.flatMap((node) => canvas.element(node.id) ?? []));
  /** Columns share a row with others, whose widths change with them. */
  const shared = nodes.some((node) => node.kind === 'column');
  switch (edit.type) {
    case 'REMOVE':
      for (const element of carried) change(canvas, element, () => element.remove());
      break;
    case 'DUPLICATE':
      if (shared) return;
      for (const element of carried) {
        change(canvas, element, () => {
          element.after(nameless(element.cloneNode(true) as Element));
        });
      }
      break;
    case 'MOVE':
      if (nodes.every((node) => node.parent === edit.node)) put(canvas, tree, edit, carried);
      else if (!shared && !isRow(tree, edit.node)) put(canvas, tree, edit, carried);
      break;
    case 'MOVE_BESIDE':
      if (!shared) putBeside(canvas, tree, fresh, edit, carried);
      break;
    case 'ADD':
      if (edit.kind !== 'column' && !isRow(tree, edit.node)) {
        put(canvas, tree, edit, drawn(canvas, fresh, edit));
      }
      break;
    case 'ADD_BESIDE':
      if (edit.kind !== 'column') {
        putBeside(canvas, tree, fresh, edit, drawn(canvas, fresh, edit));
      }
      break;
  }
}

function isRow(tree: Tree, node: string): boolean {
  return tree.byId.get(node)?.kind === 'row';
}

/** Those that stand in no other of them, in the document's order. */
function outermost(elements: readonly Element[]): readonly Element[] {
  return elements
    .filter((one) => elements.every((other) => other === one || !other.contains(one)))
    .sort((a, b) => (a.compareDocumentPosition(b) & Node.DOCUMENT_POSITION_FOLLOWING ? -1 : 1));
}

/** A new thing as it is drawn here; nothing for a thing that cannot be told. */
function drawn(
  canvas: Canvas,
  fresh: readonly FreshView[],
  { kind, value, count }: Pick<Asked<'ADD'>, 'kind' | 'value' | 'count'>,
): readonly Element[] {
  const thing = fresh.find(
    (one) => one.kind === kind && one.value === (value ?? '') && one.count === (count ?? 0),
  );
  const element = thing && fragmentOf(canvas.doc, thing.html);
  return element ? [nameless(element)] : [];
}

/** Puts things into the container that an edit names, before one of its children or at its end. */
function put(canvas: Canvas, tree: Tree, edit: Asked<'ADD' | 'MOVE'>, things: readonly Element[]) {
  const page = tree.byId.get(edit.node)?.kind === 'page';
  const target = page ? canvas.doc.querySelector('.own') : canvas.element(edit.node);
  if (!target || things.some((element) => element.contains(target))) return;
  const next = canvas.element(edit.before ?? '');
  const before = next?.parentElement === target ? next : null;
  for (const element of things) {
    change(canvas, element, () => {
      target.insertBefore(element, before);
    });
  }
}

/** Puts things beside another one, where they come into a new row with it. */
function putBeside(
  canvas: Canvas,
  tree: Tree,
  fresh: readonly FreshView[],
  edit: Asked<'ADD_BESIDE' | 'MOVE_BESIDE'>,
  things: readonly Element[],
) {
  const node = tree.byId.get(edit.node);
  const parent = node && tree.byId.get(node.parent);
  const target = canvas.element(edit.node);
  if (!parent || !target || things.length === 0) return;
  if (things.some((element) => element.contains(target))) return;
  const alone = parent.kind === 'column' && tree.children(parent.id).length === 1;
  if (alone || parent.kind === 'row' || node.kind === 'section') return;
  const [row] = drawn(canvas, fresh, TWO);
  const [first, second] = row?.children ?? [];
  if (!row || !first || !second) return;
  change(canvas, target, () => {
    target.replaceWith(row);
    (edit.after ? first : second).append(target);
  });
  for (const element of things) {
    change(canvas, element, () => {
      (edit.after ? second : first).append(element);
    });
  }
}

function change(canvas: Canvas, element: Element, work: () => void) {
  if (element.isConnected) canvas.stray(element);
  work();
  if (element.isConnected) canvas.stray(element);
}

/** Without the ids of nodes: it is none yet. */
function nameless(element: Element): Element {
  for (const part of [element, ...element.querySelectorAll('[data-node]')]) {
    part.removeAttribute('data-node');
  }
  return element;
}
