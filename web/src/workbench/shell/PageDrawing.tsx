import { useDraggable } from '@dnd-kit/core';
import { Plus } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { count } from '../../ui/count';
import { Mark } from '../../ui/States';
import { placesOf } from '../canvas/Around';
import { boxOf } from '../canvas/geometry';
import { LandingMark } from '../canvas/LandingMark';
import type { Canvas, Drawing } from '../engine/drawing';
import { LiveFrame } from '../canvas/LiveFrame';
import type { NodeView, PlacementView, FindingHere } from '../engine/source';
import type { Tree } from '../engine/tree';

const DRAWN_WIDTH = 142;
const PAGE_WIDTH = 1280;
/** A strip is never lower than this on the screen, in px, so that it can be read and hit. */
const LEAST = 18;
/** What leads elsewhere is never lower than this (WCAG 2.2, 2.5.8), in px of the screen. */
const TARGET = 24;
export const DRAWING_SCALE = DRAWN_WIDTH / PAGE_WIDTH;
const SCALE = DRAWING_SCALE;

type Props = {
  drawing: Drawing;
  tree: Tree;
  site: string;
  placements: readonly PlacementView[];
  findings: readonly FindingHere[];
  inHand: string;
  renaming: boolean;
  onPick: (node: string, more: boolean) => void;
  onRename: (node: string, name: string) => void;
  onRenamed: () => void;
  /** Something is to be put between two strips. */
  onBetween: (before: string, at: { x: number; y: number }) => void;
  onCanvas: (canvas: Canvas, surface: HTMLElement) => void;
};

/** The page drawn to scale, as a builder draws a front: a live miniature with a strip a section. */
export function PageDrawing(props: Props) {
  const { drawing, tree, placements, inHand, renaming, onPick, onRename, onRenamed } = props;
  const { onBetween, onCanvas } = props;
  const [canvas, setCanvas] = useState<Canvas>();
  const surface = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (canvas && surface.current) onCanvas(canvas, surface.current);
  }, [canvas, onCanvas]);
  const around = placesOf(canvas, drawing.around.parts);
  const above = stacked(
    around.filter(({ part }) => part.isBefore),
    0,
  );
  const strips = stripsOf(canvas, tree, above.end);
  const last = strips.at(-1);
  const below = stacked(
    around.filter(({ part }) => !part.isBefore),
    last ? last.top + last.height : above.end,
  );
  const inside = piecesInside(tree, placements);
  const found = findingsInside(tree, props.findings);
  return (
    <div className="flex gap-1.5">
      <ol aria-hidden className="relative w-7 text-[10.5px] text-soft">
        {strips.map((strip) => (
          <li
            key={strip.node.id}
            className="absolute right-0 border-r border-soft/60 pr-1 flex items-center"
            style={{ top: strip.top * SCALE + 2, height: Math.max(2, strip.height * SCALE - 4) }}
          >
            {strip.height * SCALE > 14 && Math.round(strip.section)}
          </li>
        ))}
      </ol>
      <div
        ref={surface}
        data-drawing
        className="relative outline outline-1 outline-line"
        style={{ width: DRAWN_WIDTH }}
      >
        <LiveFrame
          drawing={drawing}
          title="The whole page, drawn small"
          width={PAGE_WIDTH}
          screen={800}
          scale={SCALE}
          onDrawn={setCanvas}
        />
        <ol aria-label="Strips" className="absolute inset-0">
          {strips.map((strip) => (
            <Strip
              key={strip.node.id}
              {...strip}
              placement={placements.find((p) => p.id === strip.node.placement)}
              inside={inside.get(strip.node.id) ?? []}
              found={found.get(strip.node.id) ?? []}
              current={strip.node.id === inHand}
              renaming={renaming && strip.node.id === inHand}
              onPick={onPick}
              onRename={onRename}
              onRenamed={onRenamed}
              onBetween={onBetween}
            />
          ))}
        </ol>
        <SharedStrips places={[...above.places, ...below.places]} site={props.site} />
        <LandingMark zone="drawing" scale={SCALE} />
      </div>
    </div>
  );
}

type SharedPlace = ReturnType<typeof placesOf>[number];

/** Shared parts one below the other, each high enough to be hit. */
function stacked(places: readonly SharedPlace[], from: number) {
  let end = from;
  const stack = places.map((place) => {
    const top = Math.max(end, place.top);
    const height = Math.max(TARGET / SCALE, place.top + place.height - top);
    end = top + height;
    return { ...place, top, height };
  });
  return { places: stack, end };
}

type SharedProps = { places: readonly SharedPlace[]; site: string };

/** What stands around the content: a strip each, which leads to where it is worked on. */
function SharedStrips({ places, site }: SharedProps) {
  const { pathname, search } = useLocation();
  const from = encodeURIComponent(`${pathname}${search}`);
  return (
    <ol aria-label="Shared parts">
      {places.map(({ part, top, left, width, height }) => (
        <li
          key={part.part}
          className="absolute"
          style={{
            top: top * SCALE,
            left: left * SCALE,
            width: width * SCALE,
            height: height * SCALE,
          }}
        >
          <Link
            to={`/sites/${site}/pages/${part.part}?from=${from}`}
            title={`${part.title}: edit for ${part.pages === 1 ? 'this page' : `all ${count(part.pages, 'page')}`}`}
            className="absolute inset-0 flex flex-col justify-end items-start p-0.5 border-y border-dashed border-verdigris/60 bg-verdigris/5 hover:bg-verdigris/15"
          >
            <span className="bg-verdigris-tint text-verdigris-deep text-[10.5px] leading-[14px] px-1 max-w-full truncate">
              {part.title} · {count(part.pages, 'page')}
            </span>
          </Link>
        </li>
      ))}
    </ol>
  );
}

/** For each strip, the names of the pieces that stand in it, not counting what it is itself. */
function piecesInside(
  tree: Tree,
  placements: readonly PlacementView[],
): ReadonlyMap<string, readonly string[]> {
  const names = new Map(placements.map((p) => [p.id, p.pieceName]));
  const inside = new Map<string, string[]>();
  for (const node of tree.nodes) {
    const name = names.get(node.placement);
    const strip = tree.chain(node)[1];
    if (!name || !strip || strip.id === node.id) continue;
    if (tree.parent(node)?.placement === node.placement) continue;
    inside.set(strip.id, [...(inside.get(strip.id) ?? []), name]);
  }
  return inside;
}

/** By strip, what the survey finds in it. */
function findingsInside(tree: Tree, findings: readonly FindingHere[]) {
  const inside = new Map<string, readonly string[]>();
  for (const finding of findings) {
    const node = tree.byId.get(finding.node);
    const strip = node && tree.chain(node)[1];
    if (strip) inside.set(strip.id, [...(inside.get(strip.id) ?? []), finding.message]);
  }
  return inside;
}

/** Where a strip is drawn, and how high its section really is, in px of the page. */
type Place = { node: NodeView; top: number; height: number; section: number };

/** Each strip where its section is drawn; those that are very low make room for their names. */
function stripsOf(canvas: Canvas | undefined, tree: Tree, from: number): readonly Place[] {
  const least = LEAST / SCALE;
  const strips: Place[] = [];
  let end = from;
  for (const node of tree.children(tree.root.id)) {
    const box = boxOf(canvas, node.id);
    if (!box) continue;
    const top = Math.max(end, box.y);
    const height = Math.max(least, box.y + box.height - top);
    strips.push({ node, top, height, section: box.height });
    end = top + height;
  }
  return strips;
}

type StripProps = Pick<Props, 'onPick' | 'onRename' | 'onRenamed' | 'onBetween' | 'renaming'> & {
  node: NodeView;
  top: number;
  height: number;
  placement: PlacementView | undefined;
  /** The names of the pieces that stand in it. */
  inside: readonly string[];
  /** What the survey finds in it. */
  found: readonly string[];
  current: boolean;
};

function Strip(props: StripProps) {
  const { node, top, height, placement, inside, found, current, renaming } = props;
  const { onPick, onRename, onRenamed, onBetween } = props;
  const { setNodeRef, listeners } = useDraggable({
    id: `strip ${node.id}`,
    data: { node: node.id },
  });
  const drawn = height * SCALE;
  return (
    <li
      className="absolute inset-x-0 group"
      style={{ top: top * SCALE, height: drawn, zIndex: current ? 10 : undefined }}
    >
      <button
        ref={setNodeRef}
        {...listeners}
        type="button"
        aria-current={current}
        title={[node.title, ...found].join('\n')}
        data-strip={node.id}
        onClick={(event) => {
          onPick(node.id, event.shiftKey || event.ctrlKey || event.metaKey);
        }}
        className="absolute inset-0 touch-none flex flex-col justify-end items-start p-0.5 border-b border-line/80 hover:bg-verdigris/10 aria-[current=true]:outline aria-[current=true]:outline-[3px] aria-[current=true]:outline-ink"
      >
        {placement && drawn > 44 && (
          <span className="absolute top-1 right-1">
            <StripMark placement={placement} />
          </span>
        )}
        {!placement && inside.length > 0 && drawn > 44 && (
          <span className="absolute top-1 right-1" title={inside.join(', ')}>
            <Mark tone="library">{count(inside.length, 'piece')} inside</Mark>
          </span>
        )}
        {!renaming && (
          <span className="bg-paper text-ink text-[10.5px] leading-[14px] font-medium px-1 max-w-full truncate border border-line">
            {found.length > 0 && (
              <span className="bg-brick text-white px-1 -ml-1 mr-1">
                {found.length}
                <span className="sr-only">
                  {' '}
                  {found.length === 1 ? 'finding in' : 'findings in'}{' '}
                </span>
              </span>
            )}
            {node.title}
            {node.hiddenOn.length > 0 && ` · not on ${node.hiddenOn.join(', ')}`}
          </span>
        )}
      </button>
      {renaming && (
        <input
          autoFocus
          aria-label="Name of the section"
          defaultValue={node.name}
          onFocus={(event) => {
            event.currentTarget.select();
          }}
          className="absolute inset-x-0 bottom-0 border border-verdigris bg-sheet px-1 text-[11px] z-20"
          onKeyDown={(event) => {
            event.stopPropagation();
            if (event.key === 'Enter') {
              onRename(node.id, event.currentTarget.value);
              onRenamed();
            } else if (event.key === 'Escape') onRenamed();
          }}
          onBlur={onRenamed}
        />
      )}
      <button
        type="button"
        aria-label={`Insert before ${node.title}`}
        title="Insert here"
        onClick={(event) => {
          onBetween(node.id, { x: event.clientX, y: event.clientY });
        }}
        className="absolute -top-2 -left-7 size-4 grid place-items-center rounded-full bg-verdigris text-white opacity-0 group-hover:opacity-100 focus-visible:opacity-100 z-20"
      >
        <Plus size={11} />
      </button>
    </li>
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
