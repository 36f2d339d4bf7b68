import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useWidth } from '../../ui/useWidth';
import { devices, type DeviceKey } from '../engine/devices';
import { Frame, type Boxes } from './Frame';

type Props = {
  title: string;
  html: string;
  device: DeviceKey;
  marks?: readonly Schemas['ChangeView'][];
  /** The nodes of which something is asked. */
  asked?: readonly string[];
};

/** A document at a device’s width, with what changes in it marked. */
export function MarkedFrame({ title, html, device, marks = [], asked = [] }: Props) {
  const [area, room] = useWidth<HTMLDivElement>();
  const [boxes, setBoxes] = useState<Boxes>(new Map());
  const width = devices.find((d) => d.key === device) ?? devices[0];
  const scale = room === 0 ? 0 : Math.min(1, room / width.width);
  return (
    <section aria-label={title}>
      <h3 className="font-sans font-bold text-[13px] mb-1.5">{title}</h3>
      <div ref={area}>
        {scale > 0 && (
          <div
            className="relative outline outline-1 outline-line"
            style={{ width: width.width * scale }}
          >
            <Frame
              html={html}
              title={title}
              width={width.width}
              screen={width.screen}
              scale={scale}
              onDrawn={setBoxes}
            />
            <ChangeMarks
              room={width.width * scale}
              boxes={boxes}
              marks={marks}
              asked={asked}
              scale={scale}
            />
          </div>
        )}
      </div>
    </section>
  );
}

type MarksProps = {
  boxes: Boxes;
  marks: readonly Schemas['ChangeView'][];
  asked: readonly string[];
  scale: number;
  /** The width of the frame on the screen, in px. */
  room: number;
};

function labelOf(mark: Schemas['ChangeView']): string {
  if (mark.type === 'added') return 'added';
  const more = mark.what.length > 1 ? ` +${mark.what.length - 1}` : '';
  return (mark.what[0] ?? 'changed').toLowerCase() + more;
}

function ChangeMarks({ boxes, marks, asked, scale, room }: MarksProps) {
  const wanted = [
    ...marks
      .filter((mark) => !asked.includes(mark.node))
      .map((mark) => ({ id: mark.node, label: labelOf(mark), ask: false })),
    ...asked.map((id) => ({ id, label: 'decide', ask: true })),
  ];
  const drawn = wanted.flatMap((mark) => {
    const box = boxes.get(mark.id);
    return box ? [{ ...mark, box }] : [];
  });
  return (
    <div className="absolute inset-0 pointer-events-none overflow-hidden" aria-hidden>
      {drawn.map(({ id, label, ask, box }) => (
        <div
          key={id}
          className={`absolute border-2 ${ask ? 'border-brick' : 'border-[#c98a1b]'} shadow-[0_0_0_1px_rgb(255_255_255/80%)]`}
          style={{
            left: box.x * scale,
            top: box.y * scale,
            width: box.width * scale,
            height: box.height * scale,
          }}
        >
          <span
            className={`absolute ${(box.x + box.width) * scale + 84 < room ? 'left-full -top-0.5' : 'right-0 top-0'} text-[10.5px] leading-4 font-semibold px-1 text-white whitespace-nowrap ${ask ? 'bg-brick' : 'bg-ochre'}`}
          >
            {label}
          </span>
        </div>
      ))}
    </div>
  );
}
