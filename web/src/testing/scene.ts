import type { Canvas } from '../workbench/engine/drawing';
import type { NodeView } from '../workbench/engine/source';
import { treeOf, type Tree } from '../workbench/engine/tree';

/** A drawn page and its tree, made of the same HTML, for tests. */
export type Scene = {
  canvas: Canvas;
  tree: Tree;
  /** The blocks that were said to stand astray. */
  astray: ReadonlySet<string>;
  /** What stands on the page, in short: `section(p row(column column))`. */
  shown: () => string;
};

function view(element: Element, parent: string): NodeView {
  const kind = element.classList[0] ?? '';
  const words = element.children.length === 0 ? (element.textContent ?? '') : '';
  return {
    id: element.getAttribute('data-node') ?? '',
    parent,
    kind,
    title: words === '' ? kind.charAt(0).toUpperCase() + kind.slice(1) : words,
    name: '',
    hiddenOn: [],
    placement: '',
    locals: 0,
    percent: [],
  };
}

function nodesOf(element: Element, parent: string): readonly NodeView[] {
  const node = view(element, parent);
  return [node, ...[...element.children].flatMap((child) => nodesOf(child, node.id))];
}

function short(element: Element): string {
  const id = element.getAttribute('data-node') ?? `new ${element.classList[0] ?? ''}`;
  const inside = [...element.children].map(short).join(' ');
  return inside === '' ? id : `${id}(${inside})`;
}

/**
 * @param html what stands in `main`; where a thing stands is told by `data-box="x y width height"`
 */
export function sceneOf(html: string): Scene {
  document.body.innerHTML = `<main class="own">${html}</main>`;
  const main = document.querySelector('main') ?? document.body;
  for (const element of main.querySelectorAll<HTMLElement>('[data-box]')) stand(element);
  const page = view(Object.assign(document.createElement('body'), { className: 'page' }), '');
  page.id = 'page';
  const blocks = [...main.children].map((child) => ({
    id: child.getAttribute('data-node') ?? '',
    html: child.outerHTML,
    nodes: nodesOf(child, 'page'),
  }));
  const astray = new Set<string>();
  const within = (x: number, y: number) => (element: Element) => {
    const box = element.getBoundingClientRect();
    return x >= box.left && x <= box.right && y >= box.top && y <= box.bottom;
  };
  document.elementsFromPoint = (x, y) =>
    [...main.querySelectorAll('[data-box]')].filter(within(x, y)).reverse();
  return {
    canvas: {
      doc: document,
      element: (node) => main.querySelector<HTMLElement>(`[data-node="${node}"]`),
      stray: (element) => {
        astray.add(element.closest('.own > *')?.getAttribute('data-node') ?? '');
      },
      putBack: () => undefined,
    },
    tree: treeOf(page, blocks),
    astray,
    shown: () => [...main.children].map(short).join(' '),
  };
}

function stand(element: HTMLElement) {
  const [x = 0, y = 0, width = 0, height = 0] = (element.dataset.box ?? '').split(' ').map(Number);
  const rect = new DOMRect(x, y, width, height);
  element.getBoundingClientRect = () => rect;
  element.getClientRects = () => [rect] as unknown as DOMRectList;
}
