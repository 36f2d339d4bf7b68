import morphdom from 'morphdom';
import { useCallback, useEffect, useRef, useState } from 'react';

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
  const frame = useRef<HTMLIFrameElement>(null);
  const [first] = useState(html);
  const [height, setHeight] = useState<number>(screen);
  const [ready, setReady] = useState(false);

  const fit = useCallback(() => {
    const doc = frame.current?.contentDocument;
    if (!doc?.body) return;
    setHeight(Math.max(40, Math.ceil(doc.body.getBoundingClientRect().height)));
    onDrawn?.(boxesOf(doc));
  }, [onDrawn]);

  const onLoad = () => {
    frame.current?.contentDocument?.documentElement.style.setProperty('--vh', `${screen / 100}px`);
    setReady(true);
  };

  useEffect(() => {
    const doc = frame.current?.contentDocument;
    if (!ready || !doc?.body) return;
    const next = new DOMParser().parseFromString(html, 'text/html');
    const style = doc.querySelector('style');
    const nextStyle = next.querySelector('style');
    if (style && nextStyle && style.textContent !== nextStyle.textContent) {
      style.textContent = nextStyle.textContent;
    }
    morphdom(doc.body, next.body);
    fit();
  }, [html, ready, fit]);

  useEffect(() => {
    const doc = frame.current?.contentDocument;
    if (!ready || !doc?.head) return;
    let sheet = doc.querySelector('style[data-quick]');
    if (!sheet) {
      sheet = doc.createElement('style');
      sheet.setAttribute('data-quick', '');
      doc.head.append(sheet);
    }
    if (sheet.textContent !== quick) sheet.textContent = quick;
  }, [quick, ready]);

  useEffect(() => {
    const doc = frame.current?.contentDocument;
    if (!ready || !doc?.body) return;
    const observer = new ResizeObserver(fit);
    observer.observe(doc.body);
    void doc.fonts.ready.then(fit);
    return () => {
      observer.disconnect();
    };
  }, [ready, fit]);

  useEffect(() => {
    const doc = frame.current?.contentDocument;
    if (!ready || !doc) return;
    const pick = (event: MouseEvent) => {
      event.preventDefault();
      const target = event.target as Element | null;
      const node = target?.closest('[data-node]')?.getAttribute('data-node');
      if (node) onPick?.(node);
    };
    const key = (event: KeyboardEvent) => onKey?.(event);
    doc.addEventListener('click', pick);
    doc.addEventListener('keydown', key);
    return () => {
      doc.removeEventListener('click', pick);
      doc.removeEventListener('keydown', key);
    };
  }, [ready, onPick, onKey]);

  return (
    <div
      className="overflow-clip bg-sheet"
      style={{ width: width * scale, height: height * scale }}
    >
      <iframe
        ref={frame}
        title={title}
        srcDoc={first}
        sandbox="allow-same-origin"
        tabIndex={-1}
        onLoad={onLoad}
        className="block border-0 origin-top-left"
        style={{ width, height, transform: `scale(${scale})` }}
      />
    </div>
  );
}
