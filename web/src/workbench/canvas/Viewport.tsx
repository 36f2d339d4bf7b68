import { memo, useEffect, useRef, useState, type RefObject } from 'react';

type Wants = {
  /** How high the viewport is while there is nothing in it, in px; else as low as it can be. */
  empty?: number;
  /** It is never lower than this, in px. */
  least?: number;
  /** Called when the document is there and whenever something in it may have moved. */
  onMoved: (doc: Document) => void;
  /** A click leads nowhere by itself. */
  onClick?: ((event: MouseEvent) => void) | undefined;
  onKey?: ((event: KeyboardEvent) => void) | undefined;
};

const NOTHING = 8;
const LEAST = 40;

/** The document of a viewport, undefined until it is there, its height, and what is done in it. */
export function useDocument({ empty = LEAST, least = LEAST, onMoved, onClick, onKey }: Wants) {
  const frame = useRef<HTMLIFrameElement>(null);
  const [doc, setDoc] = useState<Document>();
  const [height, setHeight] = useState(empty);

  useEffect(() => {
    if (!doc) return;
    const fit = () => {
      const tall = Math.ceil(doc.body.getBoundingClientRect().height);
      setHeight(tall < NOTHING ? Math.max(least, empty) : Math.max(least, tall));
      onMoved(doc);
    };
    const observer = new ResizeObserver(fit);
    observer.observe(doc.body);
    void doc.fonts.ready.then(fit);
    return () => {
      observer.disconnect();
    };
  }, [doc, empty, least, onMoved]);

  useEffect(() => {
    if (!doc) return;
    const click = (event: MouseEvent) => {
      event.preventDefault();
      onClick?.(event);
    };
    const key = (event: KeyboardEvent) => onKey?.(event);
    doc.addEventListener('click', click);
    doc.addEventListener('keydown', key);
    return () => {
      doc.removeEventListener('click', click);
      doc.removeEventListener('keydown', key);
    };
  }, [doc, onClick, onKey]);

  return { doc, viewport: { frame, height, onDocument: setDoc } };
}

type Props = {
  frame: RefObject<HTMLIFrameElement | null>;
  /** What it shows at first; later the document is brought up to date in place. */
  html: string;
  title: string;
  width: number;
  height: number;
  /** The height of one screen at this width, in px; what vh refers to. */
  screen: number;
  scale: number;
  onDocument: (doc: Document) => void;
};

/** A viewport that really has the given width, unrolled to the height of what is in it. */
export const Viewport = memo(function Viewport(props: Props) {
  const { frame, html, title, width, height, screen, scale, onDocument } = props;
  const [first] = useState(html);
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
        onLoad={() => {
          const doc = frame.current?.contentDocument;
          doc?.documentElement.style.setProperty('--vh', `${screen / 100}px`);
          if (doc) onDocument(doc);
        }}
        className="block border-0 origin-top-left"
        style={{ width, height, transform: `scale(${scale})` }}
      />
    </div>
  );
});
