import { useDrag, type Zone } from './dragStore';

/** A clear line where the thing that is carried would land. */
export function LandingMark({ zone, scale }: { zone: Zone; scale: number }) {
  const drag = useDrag();
  if (!drag?.landing || drag.zone !== zone) return null;
  const { line, vertical } = drag.landing;
  const style = {
    left: line.x * scale - (vertical ? 2 : 0),
    top: line.y * scale - (vertical ? 0 : 2),
    width: vertical ? 4 : Math.max(12, line.width * scale),
    height: vertical ? Math.max(12, line.height * scale) : 4,
  };
  return (
    <div aria-hidden className="absolute inset-0 pointer-events-none z-20">
      <div className="absolute bg-verdigris outline outline-1 outline-white" style={style}>
        <span className="absolute -left-1 -top-1 size-3 rotate-45 bg-verdigris" />
      </div>
    </div>
  );
}

/** What is carried, at the pointer, and the place where it would land in words. */
export function DragLabel() {
  const drag = useDrag();
  if (!drag) return null;
  return (
    <div
      aria-hidden
      className="fixed z-50 pointer-events-none max-w-56 text-[12px] leading-5"
      style={{ left: drag.pointer.x + 14, top: drag.pointer.y + 12 }}
    >
      <p className="bg-ink text-paper px-2 py-0.5 truncate">{drag.title}</p>
      {drag.landing?.says !== '' && (
        <p className="bg-verdigris text-white px-2 truncate w-fit max-w-full">
          {drag.landing?.says ?? 'nothing to land on here'}
        </p>
      )}
    </div>
  );
}
