import { useDraggable } from '@dnd-kit/core';
import { useEffect, useRef, useState } from 'react';
import { usePieceList } from '../../features/library/useLibrary';
import { useOutside } from '../../ui/useOutside';
import { addables, addTo, spotFor, type Addable, type May, type Spot, isOffered } from './actions';
import { useIsCarrying } from '../canvas/dragStore';
import type { Point } from '../canvas/geometry';
import { Miniature } from '../canvas/Miniature';
import type { AskedEdit, FreshView, NodeView } from '../engine/source';
import type { Tree } from '../engine/tree';

type Props = {
  tree: Tree;
  may: May;
  fresh: readonly FreshView[];
  node: NodeView;
  /** Where it opens on the screen. */
  at: Point;
  /** The place that was pointed at; without one, the nearest to the thing in hand. */
  spot: Spot | undefined;
  /** In whose look pieces are shown. */
  site: string;
  /** The piece that is worked on, which cannot stand in itself; empty on a page. */
  itself: string;
  onEdit: (edit: AskedEdit) => Promise<unknown>;
  /** Shows in place what an edit would come to. */
  onTry: (edit: AskedEdit | undefined) => void;
  onClose: () => void;
};

/** What goes by a name: what begins with it first, then what has it in its name, then in its hint. */
function named(all: readonly Addable[], typed: string): readonly Addable[] {
  const name = typed.trim().toLowerCase();
  const words = name.split(/\s+/);
  const has = (text: string) => words.every((word) => text.toLowerCase().includes(word));
  const rank = ({ title, hint }: Addable) =>
    title.toLowerCase().startsWith(name) ? 0 : has(title) ? 1 : has(`${title} ${hint}`) ? 2 : 3;
  const ranked = all.map((item) => ({ item, rank: rank(item) }));
  return ranked
    .filter((one) => one.rank < 3)
    .sort((a, b) => a.rank - b.rank)
    .map((one) => one.item);
}

/** Anything is added by its name, where it is wanted. */
export function AddBox(props: Props) {
  const { tree, may, fresh, node, at, spot, site, itself, onEdit, onTry, onClose } = props;
  const library = usePieceList();
  const carrying = useIsCarrying();
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState(0);
  const [beside, setBeside] = useState(false);
  const [shell, setShell] = useState(false);
  const [problem, setProblem] = useState('');
  const box = useRef<HTMLDivElement>(null);
  /** Whether something was chosen already: on a slow network Enter is easily pressed again. */
  const asked = useRef(false);
  const all: Addable[] = [
    ...addables(fresh),
    ...(library.data ?? [])
      .filter((piece) => piece.id !== itself && isOffered(piece, site))
      .map((piece) => ({
        key: piece.id,
        title: piece.name,
        hint: 'from the library',
        kind: 'placement',
        root: piece.root,
        value: piece.id,
        count: 0,
      })),
  ];
  const bare = itself !== '';
  const nearest = (item: Addable) => spot ?? spotFor(tree, may, node, item.root ?? item.kind, bare);
  const found = named(
    all.filter((item) => nearest(item) !== undefined),
    typed,
  );
  const current = found[Math.min(chosen, found.length - 1)];
  const canBeside =
    spot === undefined && node.kind !== 'page' && node.kind !== 'section' && node.kind !== 'row';
  const spotOf = (item: Addable): Spot | undefined =>
    beside && canBeside ? { how: 'beside', node: node.id, before: '' } : nearest(item);
  const where = current && spotOf(current);
  const home = where && tree.byId.get(where.node);

  useOutside(box, onClose);
  // What is tried belongs to the box: it goes with it.
  useEffect(
    () => () => {
      onTry(undefined);
    },
    [onTry],
  );
  const place = (item: Addable, to: Spot): AskedEdit =>
    item.kind === 'placement'
      ? { type: 'PLACE', node: to.node, before: to.before, piece: item.value, shell }
      : addTo(to, item);
  /** A piece that the arrow keys come to is shown in its place. */
  const tryOut = (item: Addable | undefined) => {
    const to = item?.kind === 'placement' ? spotOf(item) : undefined;
    onTry(item && to && place(item, to));
  };

  const add = async (item: Addable | undefined) => {
    const to = item && spotOf(item);
    if (!item || !to || asked.current) return;
    asked.current = true;
    onTry(undefined);
    const failed = await onEdit(place(item, to));
    asked.current = false;
    if (failed instanceof Error) setProblem(failed.message);
    else onClose();
  };
  const left = Math.max(8, Math.min(at.x, window.innerWidth - 300));
  const top = Math.max(8, Math.min(at.y, window.innerHeight - 400));
  return (
    <div
      ref={box}
      role="dialog"
      aria-label="Add"
      className={`fixed z-40 w-72 bg-paper border border-ink text-[13px] ${carrying ? 'invisible' : ''}`}
      style={{ left, top }}
    >
      <input
        autoFocus
        role="combobox"
        aria-expanded
        aria-controls="add-list"
        aria-activedescendant={current ? `add ${current.key}` : undefined}
        aria-label="What to add"
        placeholder="What to add: heading, row of 3…"
        value={typed}
        onChange={(e) => {
          setTyped(e.target.value);
          setChosen(0);
          onTry(undefined);
        }}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Escape') onClose();
          else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            const by = event.key === 'ArrowDown' ? 1 : -1;
            const next = (chosen + by + found.length) % Math.max(1, found.length);
            setChosen(next);
            tryOut(found[next]);
          } else if (event.key === 'Enter') {
            event.preventDefault();
            void add(current);
          } else if (event.key === 'Tab' && canBeside) {
            event.preventDefault();
            setBeside(!beside);
          }
        }}
        className="w-full bg-sheet border-b border-line px-3 py-2 focus:outline-none"
      />
      <p className="px-3 py-1.5 text-[12px] text-soft border-b border-hair flex justify-between gap-2">
        <span className="truncate">
          {where && home
            ? where.how === 'beside'
              ? `beside “${node.title}”`
              : `${where.how === 'into' ? 'into' : 'in'} the ${home.kind}${
                  where.how === 'into' ? '' : where.before === '' ? ', at its end' : ''
                }`
            : 'nothing goes by that name'}
        </span>
        {canBeside && (
          <button
            type="button"
            className="text-verdigris whitespace-nowrap hover:underline"
            onClick={() => {
              setBeside(!beside);
            }}
          >
            {beside ? 'below instead' : 'beside it'} (Tab)
          </button>
        )}
      </p>
      <ul id="add-list" role="listbox" className="max-h-72 overflow-y-auto py-1">
        {found.map((item) => (
          <Choice
            key={item.key}
            item={item}
            current={item === current}
            onChoose={() => void add(item)}
          />
        ))}
      </ul>
      {current?.kind === 'placement' && (
        <>
          <div aria-hidden className="border-t border-line bg-sheet h-[92px] overflow-hidden">
            <Miniature piece={current.value} site={site} scale={0.223} />
          </div>
          <label className="flex items-center gap-2 px-3 py-1.5 border-t border-hair">
            <input
              type="checkbox"
              checked={shell}
              className="accent-verdigris"
              onChange={(e) => {
                setShell(e.target.checked);
              }}
            />
            Shell only: empty, tied to nothing
          </label>
        </>
      )}
      {problem && (
        <p role="alert" className="text-brick px-3 py-2 border-t border-hair">
          {problem}
        </p>
      )}
    </div>
  );
}

type ChoiceProps = { item: Addable; current: boolean; onChoose: () => void };

/** Chosen by key or pointer, or dragged to its place. */
function Choice({ item, current, onChoose }: ChoiceProps) {
  const { setNodeRef, listeners } = useDraggable({ id: `new ${item.key}`, data: { item } });
  return (
    <li
      ref={setNodeRef}
      {...listeners}
      id={`add ${item.key}`}
      role="option"
      aria-selected={current}
      onClick={onChoose}
      className="touch-none cursor-pointer flex items-baseline gap-2 px-3 py-1 hover:bg-board aria-selected:bg-verdigris-tint"
    >
      <span className="font-medium">{item.title}</span>
      <span className="ml-auto text-soft text-[12px] truncate">{item.hint}</span>
    </li>
  );
}
