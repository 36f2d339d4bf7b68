import morphdom from 'morphdom';
import { useCallback, useEffect } from 'react';
import { useDocument, Viewport } from './Viewport';

export type Box = { x: number; y: number; width: number; height: number };

/** Where every node stands, in px of the frame's own viewport; nodes that are not drawn are left out. */
export type Boxes = ReadonlyMap<string, Box>;

function boxesOf(doc: Document): Boxes {
  const boxes = new Map<string, Box>();
  for (const element of doc.querySelectorAll('[data-node]')) {
    const { x, y, width, height } = element.getBoundingClientRect();
    if (width > 0) boxes.set(element.getAttribute('data-node') ?? '', { x, y, width, height });
  }
  return boxes;
}

type Props = {
  html: string;
  title: string;
  width: number;
  /** The height of one screen at this width, in px; what vh refers to. */
  screen: number;
  scale: number;
  /** A style sheet laid over the document’s own, before the document itself is drawn anew. */
  quick?: string;
  onPick?: (node: string) => void;
  onKey?: (event: KeyboardEvent) => void;
  /** Called whenever the drawing may have moved. */
  onDrawn?: (boxes: Boxes) => void;
};

/**
 * A document drawn in a viewport that really has the given width, unrolled to its full height. When
 * the HTML changes, the document is brought up to it in place, so that nothing flickers.
 */
export function Frame(props: Props) {
  const { html, title, width, screen, scale, quick = '', onPick, onKey, onDrawn } = props;
  const onMoved = useCallback(
    (drawn: Document) => {
      onDrawn?.(boxesOf(drawn));
    },
    [onDrawn],
  );
  const onClick = useCallback(
    (event: MouseEvent) => {
      const target = event.target as Element | null;
      const node = target?.closest('[data-node]')?.getAttribute('data-node');
      if (node) onPick?.(node);
    },
    [onPick],
  );
  const { doc, viewport } = useDocument({ onMoved, onClick, onKey });

  useEffect(() => {
    if (!doc) return;
    const next = new DOMParser().parseFromString(html, 'text/html');
    const style = doc.querySelector('style');
    const nextStyle = next.querySelector('style');
    if (style && nextStyle && style.textContent !== nextStyle.textContent) {
      style.textContent = nextStyle.textContent;
    }
    morphdom(doc.body, next.body);
    onMoved(doc);
  }, [html, doc, onMoved]);

  useEffect(() => {
    if (!doc) return;
    let sheet = doc.querySelector('style[data-quick]');
    if (!sheet) {
      sheet = doc.createElement('style');
      sheet.setAttribute('data-quick', '');
      doc.head.append(sheet);
    }
    if (sheet.textContent !== quick) sheet.textContent = quick;
  }, [quick, doc]);

  return (
    <Viewport {...viewport} html={html} title={title} width={width} screen={screen} scale={scale} />
  );
}
