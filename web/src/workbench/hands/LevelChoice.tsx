import { useEffect, useRef } from 'react';
import { useOutside } from '../../ui/useOutside';
import type { Point } from '../canvas/geometry';
import { levelOf, lineClass } from '../engine/levels';
import type { Tree } from '../engine/tree';

type Props = {
  tree: Tree;
  at: Point;
  nodes: readonly string[];
  onPick: (node: string) => void;
  onAdd: (at: Point) => void;
  onClose: () => void;
};

/** Things lie on top of each other: every level under the pointer by name, innermost first. */
export function LevelChoice({ tree, at, nodes, onPick, onAdd, onClose }: Props) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    box.current?.querySelector('button')?.focus();
  }, []);
  useOutside(box, onClose);
  const step = (by: number) => {
    const all = [...(box.current?.querySelectorAll('button') ?? [])];
    const now = all.findIndex((button) => button === document.activeElement);
    all[(now + by + all.length) % all.length]?.focus();
  };
  return (
    <div
      ref={box}
      role="menu"
      aria-label="Which level"
      className="fixed z-40 w-60 bg-paper border border-ink py-1 text-[13px]"
      style={{
        left: Math.min(at.x, window.innerWidth - 250),
        top: Math.min(at.y, window.innerHeight - 60 - nodes.length * 28),
      }}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Escape') onClose();
        if (event.key === 'ArrowDown') step(1);
        if (event.key === 'ArrowUp') step(-1);
      }}
    >
      {nodes.map((id) => {
        const node = tree.byId.get(id);
        if (!node) return null;
        return (
          <button
            key={id}
            type="button"
            role="menuitem"
            className="flex w-full items-center gap-2 px-3 py-1 text-left hover:bg-verdigris-tint focus-visible:bg-verdigris-tint"
            onClick={() => {
              onPick(id);
            }}
          >
            <span className={`w-[5px] h-4 shrink-0 ${lineClass[levelOf(node.kind)]}`} />
            <span className="font-medium capitalize">{node.kind}</span>
            <span className="ml-auto text-soft truncate max-w-32">
              {node.title.toLowerCase() === node.kind ? '' : node.title}
            </span>
          </button>
        );
      })}
      <button
        type="button"
        role="menuitem"
        className="w-full text-left px-3 py-1 mt-1 border-t border-hair text-verdigris hover:bg-verdigris-tint"
        onClick={() => {
          onAdd(at);
        }}
      >
        Add here…
      </button>
    </div>
  );
}
