import type { Canvas } from './LiveFrame';
import type { EditBody } from './source';
import type { Tree } from './tree';

/**
 * Draws what an edit does with things that stand there, where that is plain, before the server
 * answers. The next drawing holds in any case.
 */
export function foretell(canvas: Canvas, tree: Tree, edit: EditBody) {
  const nodes = (edit.nodes?.length ? edit.nodes : [edit.node]).flatMap(
    (id) => tree.byId.get(id) ?? [],
  );
  const all = nodes.flatMap((node) => canvas.element(node.id) ?? []);
  const elements = all.filter((one) => all.every((other) => other === one || !other.contains(one)));
  if (edit.type === 'REMOVE') {
    for (const element of elements) change(canvas, element, () => element.remove());
  } else if (edit.type === 'DUPLICATE' && nodes.every((node) => node.kind !== 'column')) {
    for (const element of elements) {
      change(canvas, element, () => {
        element.after(nameless(element));
      });
    }
  } else if (edit.type === 'MOVE') {
    const into = tree.byId.get(edit.node);
    const stays = nodes.every((node) => node.parent === into?.id);
    const free = into?.kind !== 'row' && nodes.every((node) => node.kind !== 'column');
    const container = into?.kind === 'page' ? canvas.doc.querySelector('main') : undefined;
    const target = container ?? canvas.element(edit.node);
    if (!target || !(stays || free) || elements.some((element) => element.contains(target))) return;
    const next = canvas.element(edit.before ?? '');
    const before = next?.parentElement === target ? next : null;
    for (const element of elements) {
      change(canvas, element, () => {
        target.insertBefore(element, before);
      });
    }
  }
}

function change(canvas: Canvas, element: Element, work: () => void) {
  canvas.stray(element);
  work();
  if (element.isConnected) canvas.stray(element);
}

/** A copy that is no node yet. */
function nameless(element: Element): Element {
  const copy = element.cloneNode(true) as Element;
  for (const part of [copy, ...copy.querySelectorAll('[data-node]')]) {
    part.removeAttribute('data-node');
  }
  return copy;
}
