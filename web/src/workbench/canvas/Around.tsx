import { Link, useLocation } from 'react-router';
import { count } from '../../ui/count';
import type { Canvas } from '../engine/drawing';
import type { StandingView } from '../engine/source';

type Place = { part: StandingView; top: number; left: number; width: number; height: number };

/** Where each shared part is drawn, in px of the frame. */
export function placesOf(
  canvas: Canvas | undefined,
  parts: readonly StandingView[],
): readonly Place[] {
  if (!canvas) return [];
  return parts.flatMap((part) => {
    const element = canvas.doc.querySelector(`[data-part="${CSS.escape(part.part)}"]`);
    const box = element?.getBoundingClientRect();
    if (!box || box.height === 0) return [];
    const { top, left, width, height } = box;
    return [{ part, top, left, width, height }];
  });
}

type Props = {
  canvas: Canvas | undefined;
  parts: readonly StandingView[];
  site: string;
  scale: number;
};

/** What stands around the content of the page: drawn, marked, and edited only on purpose. */
export function Around({ canvas, parts, site, scale }: Props) {
  const here = useLocation();
  const from = encodeURIComponent(`${here.pathname}${here.search}`);
  return (
    <>
      {placesOf(canvas, parts).map(({ part, top, left, width, height }) => (
        <div
          key={part.part}
          role="group"
          aria-label={`${part.title}, shared`}
          className="absolute group/part outline-2 -outline-offset-2 outline-dashed outline-transparent hover:outline-verdigris focus-within:outline-verdigris"
          style={{
            top: top * scale,
            left: left * scale,
            width: width * scale,
            height: height * scale,
          }}
        >
          <span className="absolute right-1 top-1 flex items-center gap-2 max-w-full bg-paper border border-line px-1.5 py-0.5 text-[12px] opacity-0 group-hover/part:opacity-100 group-focus-within/part:opacity-100">
            <span className="truncate">{part.title}</span>
            <Link
              to={`/sites/${site}/pages/${part.part}?from=${from}`}
              className="text-verdigris font-medium whitespace-nowrap hover:underline underline-offset-2"
            >
              {part.pages === 1
                ? 'Edit for this page'
                : `Edit for all ${count(part.pages, 'page')}`}
            </Link>
          </span>
        </div>
      ))}
    </>
  );
}
