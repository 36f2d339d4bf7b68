import { useDraggable } from '@dnd-kit/core';
import { memo } from 'react';
import { useDrag } from '../canvas/dragStore';
import { levelOf, lineClass } from '../engine/levels';
import type { NodeView, PlacementView } from '../engine/source';
import type { Tree } from '../engine/tree';

type Props = {
  tree: Tree;
  placements: readonly PlacementView[];
  /** The outermost nodes of items of lists. */
  items: ReadonlySet<string>;
  section: NodeView;
  inHand: NodeView;
  also: readonly NodeView[];
  onPick: (node: string, more: boolean) => void;
};

function rowsOf(tree: Tree, node: NodeView, depth: number): { node: NodeView; depth: number }[] {
  return [
    { node, depth },
    ...tree.children(node.id).flatMap((child) => rowsOf(tree, child, depth + 1)),
  ];
}

/** Every level of the section in hand by name, so that exactly the one meant can be chosen. */
export function Outline({ tree, placements, items, section, inHand, also, onPick }: Props) {
  const names = new Map(placements.map((p) => [p.id, p.pieceName]));
  return (
    <section aria-label="Outline" className="flex flex-col min-h-0">
      <h2 className="text-[13.5px] pb-1">Outline</h2>
      <ul className="overflow-y-auto min-h-0 [scrollbar-width:thin] border-t border-line">
        {rowsOf(tree, section, 0).map(({ node, depth }) => (
          <Row
            key={node.id}
            node={node}
            depth={depth}
            piece={pieceAt(tree, names, node)}
            item={items.has(node.id)}
            current={node.id === inHand.id || also.some((n) => n.id === node.id)}
            onPick={onPick}
          />
        ))}
      </ul>
    </section>
  );
}

type RowProps = {
  node: NodeView;
  depth: number;
  /** The name of the piece that is placed here; empty if none is. */
  piece: string;
  /** Whether it is an item of a list. */
  item: boolean;
  current: boolean;
  onPick: (node: string, more: boolean) => void;
};

/** What is placed where a node stands: it is the outermost of a placement. */
function pieceAt(tree: Tree, names: ReadonlyMap<string, string>, node: NodeView): string {
  const placed = node.placement !== '' && tree.parent(node)?.placement !== node.placement;
  return placed ? (names.get(node.placement) ?? '') : '';
}

const Row = memo(function Row({ node, depth, piece, item, current, onPick }: RowProps) {
  const { setNodeRef, listeners } = useDraggable({
    id: `outline ${node.id}`,
    data: { node: node.id },
  });
  return (
    <li className="relative">
      <button
        ref={setNodeRef}
        {...listeners}
        type="button"
        data-outline={node.id}
        aria-current={current}
        onClick={(event) => {
          onPick(node.id, event.shiftKey || event.ctrlKey || event.metaKey);
        }}
        className="w-full touch-none text-left flex items-center gap-1.5 py-[3px] pr-1 text-[12.5px] hover:bg-sheet aria-[current=true]:bg-sheet aria-[current=true]:font-semibold"
        style={{ paddingLeft: 4 + depth * 11 }}
      >
        <span className={`w-[5px] h-4 shrink-0 ${lineClass[levelOf(node.kind)]}`} />
        {item && <span className="w-[5px] h-4 shrink-0 line-item" title="An item of a list" />}
        {piece && (
          <span className="w-[5px] h-4 shrink-0 line-placement" title={`From the piece ${piece}`} />
        )}
        <span className="truncate">{node.title}</span>
        {piece && piece !== node.title && (
          <span className="text-verdigris-deep text-[11px] truncate shrink-[2]">{piece}</span>
        )}
        {node.locals > 0 && (
          <span className="ml-auto text-ochre shrink-0" title="Local changes">
            {node.locals} local
          </span>
        )}
        {node.hiddenOn.length > 0 && (
          <span className="ml-auto text-soft shrink-0 text-[11px]">
            not on {node.hiddenOn.join(', ')}
          </span>
        )}
      </button>
      <OutlineMark node={node.id} />
    </li>
  );
});

/** Where the thing that is carried would land in the outline. */
function OutlineMark({ node }: { node: string }) {
  const drag = useDrag();
  const landing = drag?.zone === 'outline' ? drag.landing : undefined;
  if (!landing) return null;
  if (landing.before === node) {
    return <span aria-hidden className="absolute inset-x-0 -top-px h-[3px] bg-verdigris" />;
  }
  return landing.before === '' && landing.target === node ? (
    <span aria-hidden className="absolute inset-x-0 bottom-0 h-[3px] bg-verdigris" />
  ) : null;
}
