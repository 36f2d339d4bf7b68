import { useLayoutEffect, useRef, useState } from 'react';
import { useTurn } from '../../ui/useTurn';
import { Frame } from './Frame';

type Props = {
  html: string | undefined;
  title: string;
  /** The viewport that it is drawn in, and the height of one screen there, in px. */
  viewport: { width: number; screen: number };
  /** The room for it, in px. */
  width: number;
  height: number;
};

/** A document drawn as large as the room allows for the whole of it. */
export function Whole({ html, title, viewport, width, height }: Props) {
  const drawing = useRef<HTMLDivElement>(null);
  const [drawn, setDrawn] = useState(0);
  useLayoutEffect(() => {
    const element = drawing.current;
    if (!element) return;
    const observer = new ResizeObserver(() => {
      setDrawn(element.offsetHeight);
    });
    observer.observe(element);
    return () => {
      observer.disconnect();
    };
  }, []);
  const isThere = html !== undefined && width > 0;
  const isTurn = useTurn(isThere);
  const shrunk = drawn > height ? height / drawn : 1;
  return (
    <div
      className="overflow-hidden grid justify-center content-start place-self-center outline outline-line"
      style={{ width: width * shrunk, height: Math.min(drawn, height) }}
      aria-hidden
    >
      <div
        ref={drawing}
        className="pointer-events-none origin-top"
        style={{ width, transform: `scale(${shrunk})` }}
      >
        {isThere && isTurn && (
          <Frame
            html={html}
            title={title}
            width={viewport.width}
            screen={viewport.screen}
            scale={width / viewport.width}
          />
        )}
      </div>
    </div>
  );
}
