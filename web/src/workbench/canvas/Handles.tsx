import { useRef, useState, type PointerEvent } from 'react';
import { divided, hundredths, type Unit } from './divided';
import { boxOf, type Box } from './geometry';
import type { Canvas } from '../engine/drawing';
import type { AskedEdit, NodeView } from '../engine/source';
import type { DeviceKey } from '../engine/devices';
import type { Tree } from '../engine/tree';

type Props = {
  canvas: Canvas;
  /** The frames that show a setting while it is dragged. */
  canvases: () => readonly Canvas[];
  tree: Tree;
  node: NodeView;
  device: DeviceKey;
  scale: number;
  onEdit: (edit: AskedEdit) => Promise<unknown>;
};

type Grip = {
  key: string;
  label: string;
  /** In px of the frame. */
  at: Box;
  across: boolean;
  /** What the number is while nothing is dragged. */
  start: number;
  /** From the distance dragged, in px of the frame, to what is shown and sent. */
  drag: (by: number, free: boolean) => { says: string; preview: Preview; edit: AskedEdit };
};

type Preview = { node: string; property: string; value: string };

const SNAP = 4;
const sides = ['top', 'right', 'bottom', 'left'] as const;

function px(style: CSSStyleDeclaration, property: string): number {
  return parseFloat(style.getPropertyValue(property)) || 0;
}

/** Grips for what is in hand: its padding or margins, its width, the line between two columns. */
export function Handles(props: Props) {
  const { canvas, node, scale } = props;
  const box = boxOf(canvas, node.id);
  const element = canvas.element(node.id);
  const style = element && canvas.doc.defaultView?.getComputedStyle(element);
  if (!box || !style || node.kind === 'page') return null;
  const grips =
    node.kind === 'row'
      ? paddings(props, box, style)
      : node.kind === 'column'
        ? [...paddings(props, box, style), ...columnLine(props, box)]
        : node.kind === 'section'
          ? paddings(props, box, style)
          : node.kind === 'box'
            ? [...paddings(props, box, style), ...width(props, box)]
            : [...margins(props, box, style), ...width(props, box)];
  return (
    <div className="absolute inset-0 pointer-events-none">
      {grips.map((grip) => (
        <GripView
          key={grip.key}
          grip={grip}
          scale={scale}
          canvases={props.canvases}
          onEdit={props.onEdit}
        />
      ))}
    </div>
  );
}

function setting(
  { node, device }: Props,
  property: string,
  value: string,
): { preview: Preview; edit: AskedEdit } {
  return {
    preview: { node: node.id, property, value },
    edit: {
      type: 'SETTINGS',
      settings: [{ node: node.id, property, device, state: 'normal', value }],
    },
  };
}

function snapped(value: number, free: boolean): number {
  return free ? Math.round(value) : Math.round(value / SNAP) * SNAP;
}

function paddings(props: Props, box: Box, style: CSSStyleDeclaration): Grip[] {
  return sides.map((side) => {
    const property = `padding-${side}`;
    const now = px(style, property);
    const across = side === 'left' || side === 'right';
    const sign = side === 'top' || side === 'left' ? 1 : -1;
    const at = {
      x:
        side === 'left'
          ? box.x + now
          : side === 'right'
            ? box.x + box.width - now
            : box.x + box.width / 2,
      y:
        side === 'top'
          ? box.y + now
          : side === 'bottom'
            ? box.y + box.height - now
            : box.y + box.height / 2,
      width: 0,
      height: 0,
    };
    return {
      key: property,
      label: `Padding ${side}`,
      at,
      across,
      start: now,
      drag: (by, free) => {
        const next = Math.max(0, snapped(now + by * sign, free));
        return { says: `${next} px`, ...setting(props, property, `${next}px`) };
      },
    };
  });
}

function margins(props: Props, box: Box, style: CSSStyleDeclaration): Grip[] {
  return (['top', 'bottom'] as const).map((side) => {
    const property = `margin-${side}`;
    const now = px(style, property);
    return {
      key: property,
      label: `Margin ${side}`,
      at: {
        x: box.x + Math.min(box.width / 2, 60),
        y: side === 'top' ? box.y : box.y + box.height,
        width: 0,
        height: 0,
      },
      across: false,
      start: now,
      drag: (by, free) => {
        const next = snapped(now + by, free);
        return { says: `${next} px`, ...setting(props, property, `${next}px`) };
      },
    };
  });
}

/** The width of an element, as a share of what it stands in. */
function width(props: Props, box: Box): Grip[] {
  const parent = props.tree.parent(props.node);
  const around = parent && props.canvas.element(parent.id);
  const view = props.canvas.doc.defaultView;
  if (!around || !view) return [];
  const style = view.getComputedStyle(around);
  const track = parseFloat(style.gridTemplateColumns) || 0;
  const inner =
    track || around.clientWidth - px(style, 'padding-left') - px(style, 'padding-right');
  if (inner <= 0) return [];
  return [
    {
      key: 'width',
      label: 'Width',
      at: { x: box.x + box.width, y: box.y + box.height / 2, width: 0, height: 0 },
      across: true,
      start: (box.width / inner) * 100,
      drag: (by, free) => {
        const share = ((box.width + by) / inner) * 100;
        const step = free ? 1 : 5;
        const next = Math.max(5, Math.min(100, Math.round(share / step) * step));
        return { says: `${next} %`, ...setting(props, 'width', `${next}%`) };
      },
    },
  ];
}

/** Between px and the unit of a row, both ways, as the layout lays its columns out. */
function measures(unit: Unit, inner: number, gap: number, tracks: number) {
  if (unit === 'PER_CENT') {
    const shared = inner - gap * (tracks - 1);
    return {
      said: (width: number) => (width / shared) * 100,
      wide: (share: number) => (share * shared) / 100,
    };
  }
  return {
    said: (width: number) => ((width + gap) / (inner + gap)) * 12,
    wide: (share: number) => (share * (inner + gap)) / 12 - gap,
  };
}

/** The line between a column and the one to its right. */
function columnLine(props: Props, box: Box): Grip[] {
  const { tree, node, canvas, device } = props;
  const row = tree.parent(node);
  const rowElement = row && canvas.element(row.id);
  const view = canvas.doc.defaultView;
  if (!row || !rowElement || !view) return [];
  const right = tree
    .children(row.id)
    .flatMap((column) => {
      const other = boxOf(canvas, column.id);
      return other && other.x > box.x && Math.abs(other.y - box.y) < 2 ? [{ column, other }] : [];
    })
    .sort((a, b) => a.other.x - b.other.x)[0];
  if (!right) return [];
  const style = view.getComputedStyle(rowElement);
  const gap = px(style, 'column-gap');
  const inner = rowElement.clientWidth - px(style, 'padding-left') - px(style, 'padding-right');
  const line = tree.children(row.id).flatMap((column) => {
    const other = boxOf(canvas, column.id);
    return other && Math.abs(other.y - box.y) < 2 ? [{ id: column.id, width: other.width }] : [];
  });
  const alone = line.length === tree.children(row.id).length;
  const unit: Unit = row.percent.includes(device) ? 'PER_CENT' : 'TWELFTHS';
  const { said, wide } = measures(unit, inner, gap, line.length);
  return [
    {
      key: 'columns',
      label: 'Line between columns',
      at: {
        x: (box.x + box.width + right.other.x) / 2,
        y: box.y + box.height / 2,
        width: 0,
        height: 0,
      },
      across: true,
      start: said(box.width),
      drag: (by, free) => {
        const both = hundredths(said(box.width) + said(right.other.width));
        const wanted = said(box.width + by);
        const left = divided(unit, both, wanted, free);
        const shown = wide(left);
        const template = line.map(({ id, width: w }) =>
          id === node.id
            ? `${shown}px`
            : id === right.column.id
              ? `${box.width + right.other.width - shown}px`
              : `${w}px`,
        );
        return {
          says: [left, hundredths(both - left)]
            .map((share) => (unit === 'PER_CENT' ? `${String(share)} %` : String(share)))
            .join(' + '),
          preview: {
            node: alone ? row.id : '',
            property: 'grid-template-columns',
            value: template.join(' '),
          },
          edit: { type: 'RESIZE', node: node.id, device, width: wanted, free },
        };
      },
    },
  ];
}

type GripProps = Pick<Props, 'scale' | 'canvases' | 'onEdit'> & { grip: Grip };

function show(canvases: readonly Canvas[], { node, property, value }: Preview) {
  if (node === '') return;
  for (const canvas of canvases) canvas.element(node)?.style.setProperty(property, value);
}

function clear(canvases: readonly Canvas[], { node, property }: Preview) {
  if (node === '') return;
  for (const canvas of canvases) {
    const element = canvas.element(node);
    element?.style.removeProperty(property);
    if (element?.getAttribute('style') === '') element.removeAttribute('style');
  }
}

function GripView({ grip, scale, canvases, onEdit }: GripProps) {
  const begun = useRef<{ x: number; y: number; grip: Grip } | undefined>(undefined);
  const [says, setSays] = useState<string>();
  const move = (event: PointerEvent) => {
    const from = begun.current;
    if (!from) return undefined;
    const by = (grip.across ? event.clientX - from.x : event.clientY - from.y) / scale;
    return from.grip.drag(by, event.altKey);
  };
  const shape = grip.across ? 'w-[7px] h-6 cursor-ew-resize' : 'h-[7px] w-6 cursor-ns-resize';
  return (
    <div
      role="separator"
      aria-orientation={grip.across ? 'vertical' : 'horizontal'}
      aria-label={`Drag ${grip.label.toLowerCase()}`}
      aria-valuenow={Math.round(grip.start)}
      title={`${grip.label}: drag; hold Alt for any value`}
      data-grip={grip.key}
      className={`absolute pointer-events-auto touch-none bg-verdigris border border-white rounded-[3px] -translate-x-1/2 -translate-y-1/2 z-10 hover:bg-verdigris-deep ${shape}`}
      style={{ left: grip.at.x * scale, top: grip.at.y * scale }}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.preventDefault();
        event.currentTarget.setPointerCapture(event.pointerId);
        begun.current = { x: event.clientX, y: event.clientY, grip };
        setSays(grip.drag(0, false).says);
      }}
      onPointerMove={(event) => {
        const next = move(event);
        if (!next) return;
        setSays(next.says);
        show(canvases(), next.preview);
      }}
      onPointerUp={(event) => {
        const next = move(event);
        const moved =
          begun.current &&
          Math.hypot(event.clientX - begun.current.x, event.clientY - begun.current.y) > 1;
        begun.current = undefined;
        setSays(undefined);
        if (!next) return;
        if (!moved) {
          clear(canvases(), next.preview);
          return;
        }
        void onEdit(next.edit).finally(() => {
          clear(canvases(), next.preview);
        });
      }}
      onClick={(event) => {
        event.stopPropagation();
      }}
      onDoubleClick={(event) => {
        event.stopPropagation();
      }}
      onPointerCancel={() => {
        const from = begun.current;
        begun.current = undefined;
        setSays(undefined);
        if (from) clear(canvases(), from.grip.drag(0, false).preview);
      }}
    >
      {says !== undefined && (
        <span className="absolute left-3 top-3 bg-ink text-paper text-[12px] leading-5 px-1.5 whitespace-nowrap z-20">
          {says}
        </span>
      )}
    </div>
  );
}
