import { useDraggable } from '@dnd-kit/core';
import { Link2, Maximize2, Minimize2 } from 'lucide-react';
import { useCallback, useEffect, useRef, useState, type MouseEvent, type RefObject } from 'react';
import { useWidth } from '../../ui/useWidth';
import { devices, type DeviceKey } from '../engine/devices';
import { boxOf, nodesAt, type Point } from '../canvas/geometry';
import { Handles } from '../canvas/Handles';
import { LandingMark } from '../canvas/LandingMark';
import type { Canvas, Drawing } from '../engine/drawing';
import { Around } from '../canvas/Around';
import { LiveFrame } from '../canvas/LiveFrame';
import { Overlay } from '../canvas/Overlay';
import { ReferenceLayer, type Reference } from '../canvas/ReferencePicture';
import type { AskedEdit, NodeView } from '../engine/source';
import { TextEditing } from '../words/TextEditing';
import type { Tree } from '../engine/tree';

/** What frames are told and ask for. */
export type FramesProps = {
  drawing: Drawing;
  tree: Tree;
  lead: DeviceKey;
  inHand: NodeView;
  also: readonly NodeView[];
  /** The names of what is placed, by path. */
  pieces: ReadonlyMap<string, string>;
  /** The outermost nodes of items of lists. */
  items: ReadonlySet<string>;
  /** The element whose words are being edited on the canvas; empty for none. */
  typing: string;
  /** In whose look it is drawn; empty for the house's. */
  site: string;
  reference: Reference;
  onReference: (reference: Reference) => void;
  onLead: (device: DeviceKey) => void;
  /** `more` adds to what is in hand. */
  onPick: (node: string, more: boolean) => void;
  onType: (node: string) => void;
  /** Things lie on top of each other: which one is meant? */
  onChoose: (at: Point, nodes: readonly string[]) => void;
  onEdit: (edit: AskedEdit) => Promise<unknown>;
  onKey: (event: KeyboardEvent) => void;
  onCanvas: (device: DeviceKey, canvas: Canvas, surface: HTMLElement, scale: number) => void;
  canvases: () => readonly Canvas[];
};

/** Three widths at once: the lead takes the edits, the other two watch beside it. */
export function Frames(props: FramesProps) {
  const { lead, onLead } = props;
  const [alone, setAlone] = useState(false);
  const [together, setTogether] = useState(false);
  const areas = useRef(new Map<DeviceKey, HTMLElement>());
  const scrolling = useRef(false);
  const watchers = devices.filter((device) => device.key !== lead);

  const onScroll = useCallback(
    (from: DeviceKey) => {
      const area = areas.current.get(from);
      if (!together || scrolling.current || !area) return;
      scrolling.current = true;
      const share = area.scrollTop / Math.max(1, area.scrollHeight - area.clientHeight);
      for (const [key, other] of areas.current) {
        if (key !== from) other.scrollTop = share * (other.scrollHeight - other.clientHeight);
      }
      requestAnimationFrame(() => {
        scrolling.current = false;
      });
    },
    [together],
  );
  const beside = props.reference.how === 'beside' && props.reference.picture !== '';
  return (
    <div
      className={`grid h-full min-h-0 grid-rows-2 ${
        alone ? 'grid-cols-1' : 'grid-cols-[minmax(0,1fr)_minmax(0,200px)]'
      }`}
    >
      {devices.map((device) => {
        const isLead = device.key === lead;
        if (!isLead && (alone || (beside && watchers[1]?.key === device.key))) return null;
        return (
          <Pane
            key={device.key}
            {...props}
            device={device}
            isLead={isLead}
            row={watchers[0]?.key === device.key ? 1 : 2}
            tools={
              isLead && (
                <>
                  <FrameTool
                    label="Scroll together"
                    pressed={together}
                    onClick={() => {
                      setTogether(!together);
                    }}
                  >
                    <Link2 size={13} />
                  </FrameTool>
                  <FrameTool
                    label={alone ? 'Show all three widths' : 'Show this width alone'}
                    pressed={alone}
                    onClick={() => {
                      setAlone(!alone);
                    }}
                  >
                    {alone ? <Minimize2 size={13} /> : <Maximize2 size={13} />}
                  </FrameTool>
                </>
              )
            }
            onLead={onLead}
            onArea={(area) => {
              if (area) areas.current.set(device.key, area);
              else areas.current.delete(device.key);
            }}
            onScroll={() => {
              onScroll(device.key);
            }}
          />
        );
      })}
      {beside && !alone && (
        <section
          aria-label="Reference picture"
          className="col-start-2 row-start-2 pr-2 pb-3 min-h-0"
        >
          <div className="h-full overflow-auto outline outline-1 outline-line">
            <img
              src={`/api/pictures/${props.reference.picture}/file`}
              alt="Reference"
              className="w-full"
            />
          </div>
        </section>
      )}
    </div>
  );
}

type ToolProps = {
  label: string;
  pressed: boolean;
  onClick: () => void;
  children: React.ReactNode;
};

function FrameTool({ label, pressed, onClick, children }: ToolProps) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      aria-pressed={pressed}
      onClick={onClick}
      className="size-6 grid place-items-center self-center rounded-[2px] hover:bg-board aria-pressed:bg-verdigris-tint aria-pressed:text-verdigris-deep"
    >
      {children}
    </button>
  );
}

type PaneProps = FramesProps & {
  device: (typeof devices)[number];
  isLead: boolean;
  row: 1 | 2;
  tools: React.ReactNode;
  onArea: (area: HTMLElement | null) => void;
  onScroll: () => void;
};

/**
 * Scrolls to what is in hand when something else is taken; an edit that moves it scrolls nothing.
 *
 * @param top where it begins, in px of the screen; undefined if it is not drawn
 */
function useInSight(
  area: RefObject<HTMLElement | null>,
  inHand: string,
  top: number | undefined,
  bottom: number | undefined,
  scale: number,
) {
  useEffect(() => {
    const view = area.current;
    if (!view || top === undefined || bottom === undefined) return;
    const outside = bottom < view.scrollTop + 24 || top > view.scrollTop + view.clientHeight - 24;
    if (outside) view.scrollTo({ top: Math.max(0, top - 48) });
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [area, inHand, top === undefined, scale]);
}

/** Where what is set in the lead frame is seen. */
const goesTo: Record<DeviceKey, string> = {
  desktop: 'leads, edits go to all widths',
  tablet: 'leads, edits go to tablet and phone',
  phone: 'leads, edits go to phone alone',
};

type DimensionProps = Pick<PaneProps, 'device' | 'isLead'> & {
  /** For the whole caption, in px. */
  room: number;
};

/** Below this there is no room to say where edits go, in px. */
const ROOMY = 420;

/** The caption of a frame: a dimension line with its width on it. */
function Dimension({ device, isLead, room }: DimensionProps) {
  const arm = 'flex-1 min-w-3 h-px bg-ink relative';
  const end = 'absolute -top-1 h-[9px] w-px bg-ink';
  return (
    <h2
      title={`${device.title}, ${device.width} px wide${isLead ? `: ${goesTo[device.key]}` : ''}`}
      className="flex-1 min-w-0 flex items-center gap-1.5 font-sans font-bold"
    >
      <span aria-hidden className={arm}>
        <span className={`${end} left-0`} />
      </span>
      <span className="truncate">
        <span className="sr-only">{device.title} </span>
        {device.width}
        {isLead && (
          <span className="font-normal text-soft">
            , {room < ROOMY ? 'leads' : goesTo[device.key]}
          </span>
        )}
      </span>
      <span aria-hidden className={arm}>
        <span className={`${end} right-0`} />
      </span>
    </h2>
  );
}

function Pane(props: PaneProps) {
  const { device, drawing, tree, inHand, also, isLead, row, tools, typing } = props;
  const { onLead, onPick, onKey, onCanvas, onArea, onScroll, onType, onChoose, onEdit } = props;
  const [area, room] = useWidth<HTMLDivElement>();
  const surface = useRef<HTMLDivElement>(null);
  const [canvas, setCanvas] = useState<Canvas>();
  const scale = room === 0 ? 0.3 : Math.min(1, (room - 4) / device.width);
  const chain = tree.chain(inHand);
  const box = inHand.kind === 'page' ? undefined : boxOf(canvas, inHand.id);
  const top = box && box.y * scale;
  const bottom = box && (box.y + box.height) * scale;
  const { setNodeRef, listeners } = useDraggable({
    id: `canvas ${device.key}`,
    disabled: !isLead || typing !== '',
  });

  useEffect(() => {
    onArea(area.current);
    return () => {
      onArea(null);
    };
  });
  useInSight(area, inHand.id, top, bottom, scale);
  useEffect(() => {
    if (canvas && surface.current) onCanvas(device.key, canvas, surface.current, scale);
  }, [canvas, scale, device.key, onCanvas]);

  const pointOf = (event: MouseEvent): Point => {
    const rect = surface.current?.getBoundingClientRect();
    return {
      x: (event.clientX - (rect?.left ?? 0)) / scale,
      y: (event.clientY - (rect?.top ?? 0)) / scale,
    };
  };
  const hits = (event: MouseEvent) =>
    canvas ? nodesAt(canvas, pointOf(event)).filter((id) => tree.byId.has(id)) : [];
  const place = isLead
    ? 'row-start-1 row-end-3 col-start-1 px-4'
    : `col-start-2 pr-2 ${row === 1 ? 'row-start-1' : 'row-start-2'}`;
  return (
    <section
      aria-label={`${device.title} frame`}
      aria-current={isLead}
      className={`flex flex-col min-h-0 min-w-0 ${place}`}
    >
      <header
        className={`flex items-center whitespace-nowrap h-9 ${isLead ? 'gap-2 text-[12.5px]' : 'gap-1.5 text-[11.5px]'}`}
      >
        <Dimension device={device} isLead={isLead} room={room} />
        {!isLead && (
          <button
            type="button"
            className="text-verdigris hover:underline"
            onClick={() => {
              onLead(device.key);
            }}
          >
            work here
          </button>
        )}
        {isLead && <span className="flex gap-0.5">{tools}</span>}
        <Fold canvas={canvas} drawing={drawing} screen={device.screen} />
        {isLead && <span className="text-soft">{Math.round(scale * 100)} %</span>}
      </header>
      <div
        ref={area}
        onScroll={onScroll}
        className="flex-1 min-h-0 overflow-y-auto overflow-x-hidden [scrollbar-width:thin] mb-3 p-[2px]"
      >
        <div
          className={`relative mx-auto ${isLead ? 'shadow-[0_0_0_2px_var(--color-verdigris)]' : 'outline outline-1 outline-line -outline-offset-1'}`}
          style={{ width: device.width * scale }}
        >
          <LiveFrame
            drawing={drawing}
            title={`${device.title}, ${device.width} px wide`}
            width={device.width}
            screen={device.screen}
            scale={scale}
            wholeScreen={isLead}
            onKey={onKey}
            onDrawn={setCanvas}
          />
          <div
            ref={(element) => {
              surface.current = element;
              setNodeRef(element);
            }}
            {...listeners}
            data-surface={device.key}
            className={`absolute inset-0 ${typing !== '' && isLead ? 'pointer-events-none' : ''}`}
            onClick={(event) => {
              const [node] = hits(event);
              if (!isLead) onLead(device.key);
              if (node !== undefined) {
                onPick(node, event.shiftKey || event.ctrlKey || event.metaKey);
              }
            }}
            onDoubleClick={(event) => {
              const [node] = hits(event);
              if (isLead && node !== undefined) onType(node);
            }}
            onContextMenu={(event) => {
              event.preventDefault();
              if (!isLead) onLead(device.key);
              onChoose({ x: event.clientX, y: event.clientY }, hits(event));
            }}
          >
            <Overlay
              canvas={canvas}
              chain={chain}
              also={also}
              pieces={props.pieces}
              items={props.items}
              scale={scale}
              room={device.width * scale}
              quiet={!isLead}
            />
            {isLead && canvas && also.length === 0 && typing === '' && (
              <Handles
                canvas={canvas}
                canvases={props.canvases}
                tree={tree}
                node={inHand}
                device={device.key}
                scale={scale}
                onEdit={onEdit}
              />
            )}
            {isLead && (
              <ReferenceLayer
                reference={props.reference}
                scale={scale}
                onChange={props.onReference}
              />
            )}
            {isLead && <LandingMark zone="canvas" scale={scale} />}
          </div>
          {isLead && (
            <Around canvas={canvas} parts={drawing.around.parts} site={props.site} scale={scale} />
          )}
          {isLead && canvas && typing !== '' && (
            <TextEditing
              key={typing}
              canvas={canvas}
              node={tree.byId.get(typing)}
              scale={scale}
              site={props.site}
              onEdit={onEdit}
              onDone={() => {
                onType('');
              }}
            />
          )}
        </div>
      </div>
    </section>
  );
}

type FoldProps = {
  canvas: Canvas | undefined;
  drawing: Drawing;
  screen: number;
};

/** The fold sum: how many screens the page fills, and what it is made of. */
function Fold({ canvas, drawing, screen }: FoldProps) {
  const heights = drawing.blocks.map((block) => Math.round(boxOf(canvas, block.id)?.height ?? 0));
  const total = heights.reduce((sum, height) => sum + height, 0);
  if (total === 0) return null;
  const screens = total / screen;
  const exact = Math.abs(total - screen) < 1;
  return (
    <span
      className="text-soft"
      title={`${heights.join(' + ')} = ${String(total)} px; one screen is ${String(screen)} px high`}
    >
      {exact ? '1 screen' : `${screens.toFixed(screens < 10 ? 1 : 0)} screens`}
    </span>
  );
}
