import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { Failed, Loading } from '../../ui/States';
import { useWidth } from '../../ui/useWidth';
import { devices, type DeviceKey } from '../../workbench/engine/devices';
import { Frame, type Boxes } from '../../workbench/canvas/Frame';

type Props = {
  plan: Schemas['Plan'];
  placement: Schemas['RolloutPlacement'];
  device: DeviceKey;
  decisions: readonly Schemas['Decision'][];
  accepted: readonly Schemas['SitePiece'][];
};

/** The page now and as it would be, side by side at a width of choice, with what changes marked. */
export function BeforeAfter({ plan, placement, device, decisions, accepted }: Props) {
  const preview = useQuery({
    queryKey: [
      'preview',
      plan.pieceId,
      plan.revision,
      placement.pageId,
      placement.pageVersion,
      decisions,
      accepted,
    ],
    queryFn: () =>
      answer(
        api.POST('/api/rollouts/preview', {
          body: {
            pieceId: plan.pieceId,
            revision: plan.revision,
            pageId: placement.pageId,
            decisions: [...decisions],
            accepted: [...accepted],
          },
        }),
      ),
    placeholderData: (before, last) =>
      last?.queryKey[3] === placement.pageId ? before : undefined,
  });
  if (preview.error) return <Failed error={preview.error} retry={() => void preview.refetch()} />;
  if (!preview.data) return <Loading what="before and after" />;
  const marks = placement.status === 'held' ? [] : preview.data.changes;
  const asked = placement.questions.map((q) => q.node);
  return (
    <div className="grid grid-cols-2 gap-4 min-h-0 flex-1 overflow-y-auto [scrollbar-width:thin] pb-4 content-start">
      <Side
        key={`before ${placement.pageId} ${device}`}
        title={`Now, revision ${placement.from}`}
        html={preview.data.before}
        device={device}
        marks={[]}
        asked={[]}
      />
      <Side
        key={`after ${placement.pageId} ${device}`}
        title={`After, revision ${placement.to}`}
        html={preview.data.after}
        device={device}
        marks={marks.filter((m) => m.devices.includes(device))}
        asked={asked}
      />
    </div>
  );
}

type SideProps = {
  title: string;
  html: string;
  device: DeviceKey;
  marks: readonly Schemas['ChangeView'][];
  asked: readonly string[];
};

function Side({ title, html, device, marks, asked }: SideProps) {
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
