import { boxOf, type Box } from './geometry';
import type { Canvas } from '../engine/drawing';
import { levelOf, stroke } from '../engine/levels';
import type { NodeView } from '../engine/source';

type Shape = Box & {
  id: string;
  kind: string;
  /** The piece that is placed here; empty if none is. */
  piece: string;
  /** Whether it is an item of a list. */
  item: boolean;
};

type Props = {
  canvas: Canvas | undefined;
  chain: readonly NodeView[];
  /** The names of what is placed, by path. */
  pieces: ReadonlyMap<string, string>;
  /** The outermost nodes of items of lists. */
  items: ReadonlySet<string>;
  /** What else is in hand. */
  also: readonly NodeView[];
  scale: number;
  /** The width of the frame on the screen, in px. */
  room: number;
  quiet?: boolean;
};

function shapesOf(
  canvas: Canvas | undefined,
  nodes: readonly NodeView[],
  pieces: ReadonlyMap<string, string>,
  items: ReadonlySet<string>,
  scale: number,
): readonly Shape[] {
  return nodes.flatMap((node, i) => {
    const { id, kind, placement } = node;
    const around = nodes[i - 1]?.placement ?? '';
    const piece = placement === around ? '' : (pieces.get(placement) ?? '');
    const box = kind === 'page' ? undefined : boxOf(canvas, id);
    if (!box) return [];
    const [x, y] = [box.x * scale, box.y * scale];
    const item = items.has(id);
    return [{ id, kind, piece, item, x, y, width: box.width * scale, height: box.height * scale }];
  });
}

/** The lines of the levels around the thing in hand, with a light halo that reads on any picture. */
export function Overlay({ canvas, chain, also, pieces, items, scale, room, quiet = false }: Props) {
  const shapes = shapesOf(canvas, chain, pieces, items, scale);
  const others = shapesOf(canvas, also, pieces, items, scale);
  const inHand = shapes[shapes.length - 1];
  return (
    <div className="absolute inset-0 pointer-events-none" aria-hidden>
      <svg className="absolute inset-0 w-full h-full overflow-visible">
        {(quiet ? shapes.slice(-1) : shapes).concat(others).map((shape) => (
          <Lines key={shape.id} shape={shape} quiet={quiet} />
        ))}
      </svg>
      {!quiet && inHand && chain.length > 1 && <LevelName shape={inHand} room={room} />}
    </div>
  );
}

/** An item is a dash-dot-dot line. */
const ITEM_DASH = '10 3 2 3 2 3';

function Lines({ shape, quiet }: { shape: Shape; quiet: boolean }) {
  const level = stroke[levelOf(shape.kind)];
  const line = quiet ? { ...level, width: Math.min(level.width, 1.5) } : level;
  // A section's line lies inside its edge; an element's stands off, so that it crosses no words.
  const inset = shape.kind === 'section' ? line.width / 2 + 1 : quiet ? -1.5 : -3;
  const rect = {
    x: shape.x + inset,
    y: shape.y + inset,
    width: Math.max(1, shape.width - 2 * inset),
    height: Math.max(1, shape.height - 2 * inset),
    fill: 'none',
  };
  // A placement is a double line: the second one stands off.
  const around = {
    ...rect,
    x: rect.x - 4,
    y: rect.y - 4,
    width: rect.width + 8,
    height: rect.height + 8,
  };
  return (
    <g>
      <rect {...rect} stroke="#fff" strokeOpacity={0.9} strokeWidth={line.width + 2.5} />
      <rect {...rect} stroke="#1d2327" strokeWidth={line.width} strokeDasharray={line.dash} />
      {shape.item && !quiet && (
        <>
          <rect {...around} stroke="#fff" strokeOpacity={0.9} strokeWidth={3.5} />
          <rect {...around} stroke="#1d2327" strokeWidth={1.5} strokeDasharray={ITEM_DASH} />
        </>
      )}
      {shape.piece && !quiet && (
        <>
          <rect {...around} stroke="#fff" strokeOpacity={0.9} strokeWidth={3.5} />
          <rect {...around} stroke="#1d2327" strokeWidth={1} />
        </>
      )}
    </g>
  );
}

/** The level's name stands beside the box, or below its right corner where there is no room. */
function LevelName({ shape, room }: { shape: Shape; room: number }) {
  const inside = shape.kind === 'section';
  const beside = !inside && shape.x + shape.width + 70 < room;
  const place = inside
    ? { left: shape.x + shape.width - 5, top: shape.y + 5, transform: 'translateX(-100%)' }
    : beside
      ? { left: shape.x + shape.width + 7, top: shape.y - 3 }
      : {
          left: shape.x + shape.width + 4,
          top: shape.y + shape.height + 6,
          transform: 'translateX(-100%)',
        };
  return (
    <span
      className="absolute whitespace-nowrap bg-ink text-paper text-[11px] font-semibold leading-[18px] px-1.5 capitalize outline outline-1 outline-white"
      style={place}
    >
      {shape.kind}
      {shape.item && <span className="normal-case">, item</span>}
      {shape.piece && <span className="normal-case"> from {shape.piece}</span>}
    </span>
  );
}
