import { PointerSensor, useSensor, useSensors, type DragStartEvent } from '@dnd-kit/core';
import { useRef } from 'react';
import type { Addable } from './actions';
import { setDrag, currentDrag, type Drag } from '../canvas/dragStore';
import { landingAt, nodesAt, type Landing, type Load, type Point } from '../canvas/geometry';
import { holdsOthers } from '../engine/levels';
import type { Canvas } from '../engine/drawing';
import type { AskedEdit, NodeView } from '../engine/source';
import type { Tree } from '../engine/tree';

/** A surface with a drawing on it that things can be let go over. */
export type Surface = { canvas: Canvas; element: HTMLElement; scale: number };

type Props = {
  tree: Tree | undefined;
  inHand: readonly NodeView[];
  lead: () => Surface | undefined;
  drawing: () => Surface | undefined;
  onEdit: (edit: AskedEdit) => Promise<unknown>;
  onPick: (node: string, more: boolean) => void;
  onLanded: (edit: AskedEdit) => void;
};

function pointOn({ element, scale }: Surface, { x, y }: Point): Point | undefined {
  const rect = element.getBoundingClientRect();
  const inside = x >= rect.left && x <= rect.right && y >= rect.top && y <= rect.bottom;
  return inside ? { x: (x - rect.left) / scale, y: (y - rect.top) / scale } : undefined;
}

/** Where a load would land in the outline: before a row, or into the container that it names. */
function inOutline(tree: Tree, at: Point, load: Load): Landing | undefined {
  const row = document.elementFromPoint(at.x, at.y)?.closest('[data-outline]');
  const node = tree.byId.get(row?.getAttribute('data-outline') ?? '');
  if (!row || !node) return undefined;
  const rect = row.getBoundingClientRect();
  const share = (at.y - rect.top) / rect.height;
  const into = holdsOthers(node.kind) && share > 0.5 && load.kind !== node.kind;
  const none = { x: 0, y: 0, width: 0, height: 0 };
  return {
    how: 'into',
    target: into ? node.id : node.parent,
    before: into ? '' : node.id,
    after: false,
    line: none,
    vertical: false,
    says: '',
  };
}

/** What has to be done to put a load down. */
function editOf(landing: Landing, load: Load, item: Addable | undefined): AskedEdit {
  const fresh = item && {
    kind: item.kind,
    ...(item.count > 0 ? { value: item.value, count: item.count } : {}),
  };
  if (item?.kind === 'placement') {
    return { type: 'PLACE', node: landing.target, before: landing.before, piece: item.value };
  }
  if (landing.how === 'beside') {
    return fresh
      ? { type: 'ADD_BESIDE', node: landing.target, after: landing.after, ...fresh }
      : { type: 'MOVE_BESIDE', node: landing.target, after: landing.after, nodes: [...load.nodes] };
  }
  return fresh
    ? { type: 'ADD', node: landing.target, before: landing.before, ...fresh }
    : { type: 'MOVE', node: landing.target, before: landing.before, nodes: [...load.nodes] };
}

/**
 * Where the pointer is while something is carried, and when it lets go. What is told of a move comes
 * when it has been drawn, which a quick hand does not wait for; it counts how far the frame has
 * scrolled as well; and what is let go before anything was drawn is told of not at all.
 */
function usePointer() {
  const at = useRef<Point>({ x: 0, y: 0 });
  const follow = ({ activatorEvent }: DragStartEvent, letGo: () => void): Point => {
    const begun = activatorEvent as PointerEvent;
    at.current = { x: begun.clientX, y: begun.clientY };
    const until = new AbortController();
    const moved = ({ type, clientX: x, clientY: y }: PointerEvent) => {
      at.current = { x, y };
      if (type === 'pointermove') return;
      until.abort();
      setTimeout(letGo);
    };
    for (const name of ['pointermove', 'pointerup'] as const) {
      window.addEventListener(name, moved, { capture: true, signal: until.signal });
    }
    return at.current;
  };
  return { at, follow };
}

/** Carrying things with the pointer, over the lead frame, the page drawing and the outline. */
export function useCarrying(props: Props) {
  const { tree, inHand, lead, drawing, onEdit, onPick, onLanded } = props;
  const item = useRef<Addable | undefined>(undefined);
  const pointer = usePointer();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));

  const loadOf = (event: DragStartEvent, at: Point): { load: Load; title: string } | undefined => {
    const data = event.active.data.current as { node?: string; item?: Addable } | undefined;
    item.current = data?.item;
    if (data?.item) {
      const kind = data.item.root ?? data.item.kind;
      return { load: { kind, nodes: [] }, title: data.item.title };
    }
    const surface = lead();
    const point = surface && pointOn(surface, at);
    const id = data?.node ?? (surface && point && nodesAt(surface.canvas, point)[0]);
    const node = id === undefined ? undefined : tree?.byId.get(id);
    if (!tree || !node || node.parent === '') return undefined;
    // What is in hand is carried, also when the pointer is on something inside it.
    const within = inHand.find(
      (held) => held.parent !== '' && tree.chain(node).some((n) => n.id === held.id),
    );
    const carried = within && data?.node === undefined ? inHand : [node];
    if (!within) onPick(node.id, false);
    const [first] = carried;
    if (!first) return undefined;
    const title = carried.length === 1 ? first.title : `${String(carried.length)} things`;
    return { load: { kind: first.kind, nodes: carried.map((n) => n.id) }, title };
  };

  const found = (load: Load, at: Point): Pick<Drag, 'zone' | 'landing'> => {
    if (!tree) return { zone: 'canvas', landing: undefined };
    for (const [zone, surface] of [
      ['canvas', lead()],
      ['drawing', drawing()],
    ] as const) {
      const point = surface && pointOn(surface, at);
      if (surface && point) {
        return { zone, landing: landingAt(surface.canvas, tree, point, load) };
      }
    }
    return { zone: 'outline', landing: inOutline(tree, at, load) };
  };

  const letGo = () => {
    const drag = currentDrag();
    setDrag(undefined);
    const landing = drag && found(drag.load, pointer.at.current).landing;
    if (!landing) return;
    const edit = editOf(landing, drag.load, item.current);
    onLanded(edit);
    void onEdit(edit);
  };

  return {
    sensors,
    onDragStart: (event: DragStartEvent) => {
      const at = pointer.follow(event, letGo);
      const begun = loadOf(event, at);
      if (begun) setDrag({ ...begun, pointer: at, ...found(begun.load, at) });
    },
    onDragMove: () => {
      const drag = currentDrag();
      const at = pointer.at.current;
      if (drag) setDrag({ ...drag, pointer: at, ...found(drag.load, at) });
    },
    onDragEnd: letGo,
    onDragCancel: () => {
      setDrag(undefined);
    },
  };
}
