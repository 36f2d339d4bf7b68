import { useState } from 'react';
import { Mark } from '../ui/States';
import { Frame, type Boxes } from './Frame';
import type { NodeView, PlacementView } from './source';

const DRAWN_WIDTH = 142;
const PAGE_WIDTH = 1280;
const SCALE = DRAWN_WIDTH / PAGE_WIDTH;

type Props = {
  html: string;
  sections: readonly NodeView[];
  placements: readonly PlacementView[];
  inHand: string;
  onPick: (node: string) => void;
};

/** The page drawn to scale, as a builder draws a front: a live miniature with a strip a section. */
export function PageDrawing({ html, sections, placements, inHand, onPick }: Props) {
  const [boxes, setBoxes] = useState<Boxes>(new Map());
  const strips = sections.flatMap((node) => {
    const box = boxes.get(node.id);
    return box ? [{ node, top: box.y, height: box.height }] : [];
  });

  return (
    <div className="flex gap-1.5">
      <ol aria-hidden className="relative w-7 text-[10.5px] text-soft">
        {strips.map((strip) => (
          <li
            key={strip.node.id}
            className="absolute right-0 border-r border-soft/60 pr-1 flex items-center"
            style={{ top: strip.top * SCALE + 2, height: strip.height * SCALE - 4 }}
          >
            {strip.height * SCALE > 14 && Math.round(strip.height)}
          </li>
        ))}
      </ol>
      <div className="relative outline outline-1 outline-line" style={{ width: DRAWN_WIDTH }}>
        <Frame
          html={html}
          title="The whole page, drawn small"
          width={PAGE_WIDTH}
          screen={800}
          scale={SCALE}
          onDrawn={setBoxes}
        />
        {strips.map((strip) => {
          const placement = placements.find((p) => p.id === strip.node.placement);
          return (
            <button
              key={strip.node.id}
              type="button"
              aria-current={strip.node.id === inHand}
              title={strip.node.title}
              onClick={() => {
                onPick(strip.node.id);
              }}
              className="absolute inset-x-0 flex flex-col justify-end items-start p-0.5 border-b border-line/80 hover:bg-verdigris/10 aria-[current=true]:outline aria-[current=true]:outline-[3px] aria-[current=true]:outline-ink aria-[current=true]:z-10"
              style={{ top: strip.top * SCALE, height: Math.max(18, strip.height * SCALE) }}
            >
              {placement && strip.height * SCALE > 44 && (
                <span className="absolute top-1 right-1">
                  <StripMark placement={placement} />
                </span>
              )}
              <span className="bg-paper text-ink text-[10.5px] leading-[14px] font-medium px-1 max-w-full truncate border border-line">
                {strip.node.title}
              </span>
            </button>
          );
        })}
      </div>
    </div>
  );
}

function StripMark({ placement }: { placement: PlacementView }) {
  if (placement.pin === 'held') return <Mark tone="held">held</Mark>;
  if (placement.pin === 'waiting') return <Mark tone="conflict">waits</Mark>;
  if (placement.revision < placement.current) return <Mark tone="local">behind</Mark>;
  return (
    <Mark tone="library">
      {placement.reach.placements === 1 ? 'only here' : `${placement.reach.placements} placements`}
    </Mark>
  );
}
