import type { Boxes } from './Frame';
import { levelOf, stroke } from './levels';
import type { NodeView } from './source';

type Shape = { id: string; kind: string; x: number; y: number; width: number; height: number };

type Props = {
  boxes: Boxes;
  chain: readonly NodeView[];
  scale: number;
  quiet?: boolean;
};

function shapesOf({ boxes, chain, scale }: Props): Shape[] {
  return chain.flatMap(({ id, kind }) => {
    const box = boxes.get(id);
    if (!box || kind === 'page') return [];
    const [x, y] = [box.x * scale, box.y * scale];
    return [{ id, kind, x, y, width: box.width * scale, height: box.height * scale }];
  });
}

/** The lines of the levels around the thing in hand, with a light halo that reads on any picture. */
export function Overlay(props: Props) {
  const { quiet = false } = props;
  const shapes = shapesOf(props);
  const inHand = shapes[shapes.length - 1];
  return (
    <div className="absolute inset-0 pointer-events-none" aria-hidden>
      <svg className="absolute inset-0 w-full h-full overflow-visible">
        {(quiet ? shapes.slice(-1) : shapes).map((shape) => {
          const line = stroke[levelOf(shape.kind)];
          const inset = line.width / 2 + 1;
          const rect = {
            x: shape.x + inset,
            y: shape.y + inset,
            width: Math.max(1, shape.width - 2 * inset),
            height: Math.max(1, shape.height - 2 * inset),
            fill: 'none',
          };
          return (
            <g key={shape.id}>
              <rect {...rect} stroke="#fff" strokeOpacity={0.9} strokeWidth={line.width + 2.5} />
              <rect
                {...rect}
                stroke="#1d2327"
                strokeWidth={line.width}
                strokeDasharray={line.dash}
              />
            </g>
          );
        })}
      </svg>
      {!quiet && inHand && <LevelName shape={inHand} />}
    </div>
  );
}

/** The level's name stands outside the box, above its right corner, so that it covers no words. */
function LevelName({ shape }: { shape: Shape }) {
  const above = shape.y >= 20;
  return (
    <span
      className="absolute bg-ink text-paper text-[11px] font-semibold leading-[18px] px-1.5 capitalize"
      style={{
        left: shape.x + shape.width,
        top: above ? shape.y - 18 : shape.y + 4,
        transform: 'translateX(-100%)',
      }}
    >
      {shape.kind}
    </span>
  );
}
