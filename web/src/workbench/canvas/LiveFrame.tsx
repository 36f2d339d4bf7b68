import morphdom from 'morphdom';
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { fragmentOf } from '../engine/fragment';
import { putInOrder } from '../engine/order';
import { bringSheetUp, sheetHtml } from '../engine/sheet';
import type { Canvas, Drawing } from '../engine/drawing';
import { useDocument, Viewport } from './Viewport';

/** Finds elements by their node; what was found once is known as long as it stands. */
function lookUp(doc: Document) {
  const known = new Map<string, HTMLElement>();
  return (node: string) => {
    const before = known.get(node);
    if (before?.isConnected && before.getAttribute('data-node') === node) return before;
    const found = doc.querySelector<HTMLElement>(`[data-node="${CSS.escape(node)}"]`);
    if (found) known.set(node, found);
    return found;
  };
}

/** How far from what can be seen something counts as near. */
const NEAR = '400px';

/** What is empty is drawn as a place to fill; published pages leave it out. */
const PLACES =
  '.section:empty,.column:empty,.box:empty{min-height:64px}' +
  'div.picture{aspect-ratio:3/2;width:100%}' +
  '.section:empty,.column:empty,.box:empty,div.picture{background-image:repeating-linear-gradient(' +
  '135deg,rgb(120 112 96/.16) 0 1px,transparent 1px 11px);box-shadow:inset 0 0 0 1px rgb(120 112 96/.35)}' +
  '[data-stand-in]{background-image:repeating-linear-gradient(' +
  '135deg,rgb(184 120 24/.26) 0 1px,transparent 1px 7px);outline:2px dashed rgb(184 120 24/.8);outline-offset:2px}' +
  '[data-unset]{outline:1px dashed rgb(184 120 24/.8);outline-offset:2px;min-height:1lh}' +
  '.social[data-unset]::after{content:"No social links yet"}' +
  '.menu[data-unset]::after{content:"This menu has no links yet"}' +
  '.heading:empty,.text:empty,.label:empty,.button:empty{min-height:1lh}';

function insideOf({ around, blocks }: Drawing): string {
  return around.before + blocks.map((block) => block.html).join('') + around.after;
}

function pageOf(drawing: Drawing): string {
  return (
    `<!DOCTYPE html><html lang="${drawing.language}"><head><meta charset="utf-8">${sheetHtml(drawing.css)}` +
    `<style>${PLACES}</style></head>${drawing.open}${insideOf(drawing)}</body></html>`
  );
}

/** A node stays the same element wherever it goes; what is being typed into is not drawn over. */
const inPlace = {
  getNodeKey: (node: Node) =>
    'getAttribute' in node ? (node as Element).getAttribute('data-node') : null,
  onBeforeElUpdated: (from: HTMLElement, to: HTMLElement) =>
    !from.isContentEditable && !from.isEqualNode(to),
};

/** The block in which an element stands. */
function blockOf(element: Element): string {
  return element.closest('.own > *')?.getAttribute('data-node') ?? '';
}

/**
 * Brings a document up to a drawing in place: only blocks that changed are touched.
 *
 * @param astray the blocks that do not stand as they were drawn; none of them does afterwards
 */
function bringUp(doc: Document, before: Drawing, now: Drawing, astray: Set<string>) {
  if (before.css !== now.css) bringSheetUp(doc, now.css);
  if (before.open !== now.open) {
    const body = fragmentOf(doc, now.open.replace('<body', '<div') + '</div>');
    for (const { name } of [...doc.body.attributes]) doc.body.removeAttribute(name);
    for (const { name, value } of body?.attributes ?? []) doc.body.setAttribute(name, value);
  }
  const own = doc.querySelector('.own');
  if (!own) return;
  if (before.around !== now.around) {
    doc.body.innerHTML = insideOf(now);
    astray.clear();
    return;
  }
  const had = new Map(before.blocks.map((block) => [block.id, block.html]));
  const standing = new Map(
    [...own.children].map((child) => [child.getAttribute('data-node') ?? '', child]),
  );
  const children = now.blocks.flatMap((block) => {
    const element = standing.get(block.id);
    if (element && had.get(block.id) === block.html && !astray.has(block.id)) return [element];
    const fresh = fragmentOf(doc, block.html);
    if (!fresh) return [];
    return [element ? (morphdom(element, fresh, inPlace) as Element) : fresh];
  });
  putInOrder(own, children);
  astray.clear();
}

/** What is far from anything that can be seen is painted when it comes near. */
function paintWhatIsNear(main: Element): () => void {
  const near = new IntersectionObserver(
    (entries) => {
      for (const { target, isIntersecting } of entries) {
        const { style } = target as HTMLElement;
        if (isIntersecting) style.removeProperty('contain');
        else style.setProperty('contain', 'paint');
        if (target.getAttribute('style') === '') target.removeAttribute('style');
      }
    },
    { rootMargin: NEAR, scrollMargin: NEAR } as IntersectionObserverInit,
  );
  const watch = () => {
    near.disconnect();
    for (const child of main.children) near.observe(child);
  };
  watch();
  const added = new MutationObserver(watch);
  added.observe(main, { childList: true });
  return () => {
    near.disconnect();
    added.disconnect();
  };
}

type Props = {
  drawing: Drawing;
  title: string;
  width: number;
  /** The height of one screen at this width, in px; what vh refers to. */
  screen: number;
  scale: number;
  /** Whether what is lower than one screen is shown in a whole one. */
  wholeScreen?: boolean;
  onKey?: (event: KeyboardEvent) => void;
  /** Called whenever the drawing may have moved. */
  onDrawn?: (canvas: Canvas) => void;
};

/**
 * A document drawn in a viewport that really has the given width, unrolled to its full height. When
 * the drawing changes, the document is brought up to it in place, so that nothing flickers.
 */
export function LiveFrame(props: Props) {
  const { drawing, title, width, screen, scale, wholeScreen = false, onKey, onDrawn } = props;
  const [first] = useState(() => pageOf(drawing));
  const drawn = useRef(drawing);
  const finding = useRef<{ doc: Document; element: Canvas['element'] }>(undefined);
  const astray = useRef(new Set<string>());

  const onMoved = useCallback(
    (doc: Document) => {
      if (finding.current?.doc !== doc) finding.current = { doc, element: lookUp(doc) };
      onDrawn?.({
        ...finding.current,
        stray: (strayed) => astray.current.add(blockOf(strayed)),
        putBack: () => {
          bringUp(doc, drawn.current, drawn.current, astray.current);
        },
      });
    },
    [onDrawn],
  );
  const { doc, viewport } = useDocument({
    empty: screen,
    ...(wholeScreen ? { least: screen } : {}),
    onMoved,
    onKey,
  });

  useLayoutEffect(() => {
    if (!doc || drawn.current === drawing) return;
    bringUp(doc, drawn.current, drawing, astray.current);
    drawn.current = drawing;
  }, [drawing, doc]);
  useEffect(() => {
    if (doc) onMoved(doc);
  }, [drawing, doc, onMoved]);
  useEffect(() => {
    const own = doc?.querySelector('.own');
    return own ? paintWhatIsNear(own) : undefined;
  }, [doc]);

  return (
    <Viewport
      {...viewport}
      html={first}
      title={title}
      width={width}
      screen={screen}
      scale={scale}
    />
  );
}
