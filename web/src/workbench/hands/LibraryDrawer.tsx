import { useDraggable } from '@dnd-kit/core';
import { useQuery } from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState } from 'react';
import { fetchText, type Problem, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { useChoices, usePieceList } from '../../features/library/useLibrary';
import { count } from '../../ui/count';
import { Whole } from '../canvas/Whole';
import type { AskedEdit, NodeView, PlacementView } from '../engine/source';
import type { Tree } from '../engine/tree';
import { isOffered, says, spotFor, type Addable, type May } from './actions';

type Card = Schemas['PieceCard'];

/** What is done with the chosen piece. */
export type DrawerUse = 'insert' | 'exchange' | 'shell';

const uses: readonly { use: DrawerUse; title: string }[] = [
  { use: 'insert', title: 'Insert' },
  { use: 'exchange', title: 'Exchange' },
  { use: 'shell', title: 'Shell only' },
];

type Props = {
  tree: Tree;
  may: May;
  /** The thing in hand, after which or in which a piece goes. */
  node: NodeView;
  /** The placement in whose place a piece goes. */
  placement: PlacementView | undefined;
  /** The kinds that may stand where the placement stands. */
  mayThere: readonly string[];
  use: DrawerUse;
  onUse: (use: DrawerUse) => void;
  site: string;
  /** The piece that is worked on, which cannot stand in itself; empty on a page. */
  itself: string;
  /** Why what is tried cannot be done. */
  refused: string;
  onTry: (edit: AskedEdit | undefined) => void;
  onEdit: (edit: AskedEdit) => Promise<Problem | undefined>;
  onClose: () => void;
};

const WIDTH = 208;
const DRAWN = { section: 96, part: 72 };
const CAPTION = 30;
const PART = { width: 480, screen: 300 };
const DESKTOP = { width: 1280, screen: 800 };

/**
 * The library beside the page drawing. Arrow keys try one piece after the other in place, Enter
 * keeps it, Escape leaves no trace; a card can be dragged to where it is wanted.
 */
export function LibraryDrawer(props: Props) {
  'use no memo'; // The virtualizer is one object that changes in place.
  const { tree, may, node, placement, mayThere, use, site, itself, onTry, onEdit, onClose } = props;
  const library = usePieceList();
  const choices = useChoices();
  const [words, setWords] = useState('');
  const [purpose, setPurpose] = useState('');
  const [chosen, setChosen] = useState('');
  const [problem, setProblem] = useState('');
  const asked = useRef(false);
  const scroller = useRef<HTMLDivElement>(null);
  const field = useRef<HTMLInputElement>(null);
  const exchangeable = placement && !placement.bound ? placement : undefined;
  const now = use === 'exchange' && !exchangeable ? 'insert' : use;

  const editFor = (card: Card): AskedEdit | undefined => {
    if (now === 'exchange') {
      const fits = exchangeable && card.id !== exchangeable.pieceId && mayThere.includes(card.root);
      return fits ? { type: 'EXCHANGE', node: exchangeable.id, piece: card.id } : undefined;
    }
    const spot = spotFor(tree, may, node, card.root, itself !== '');
    return (
      spot && {
        type: 'PLACE',
        node: spot.node,
        before: spot.before,
        piece: card.id,
        ...(now === 'shell' ? { shell: true } : {}),
      }
    );
  };
  const here = library.data?.find((card) => card.id === exchangeable?.pieceId);
  const neighbour = (card: Card) =>
    now === 'exchange' && here && card.purpose !== here.purpose ? 1 : 0;
  const offered = (library.data ?? [])
    .filter(
      (card) =>
        card.id !== itself &&
        isOffered(card, site) &&
        says(card, words) &&
        editFor(card) !== undefined,
    )
    .sort((a, b) => neighbour(a) - neighbour(b));
  const purposes = (choices.data?.purposes ?? []).filter(({ word }) =>
    offered.some((card) => card.purpose === word),
  );
  const found = offered.filter((card) => purpose === '' || card.purpose === purpose);
  const at = found.findIndex((card) => card.id === chosen);

  // eslint-disable-next-line react-hooks/incompatible-library -- not memoized, see above
  const rows = useVirtualizer({
    count: found.length,
    getScrollElement: () => scroller.current,
    estimateSize: (i) => (found[i]?.root === 'section' ? DRAWN.section : DRAWN.part) + CAPTION,
    overscan: 2,
  });
  // What is tried belongs to the drawer: it goes with it.
  useEffect(
    () => () => {
      onTry(undefined);
    },
    [onTry],
  );

  const choose = (card: Card | undefined) => {
    setProblem('');
    setChosen(card?.id ?? '');
    onTry(card && editFor(card));
    if (card) rows.scrollToIndex(found.indexOf(card));
  };
  const keep = async (card: Card | undefined) => {
    const edit = card && editFor(card);
    if (!edit || asked.current) return;
    asked.current = true;
    onTry(undefined);
    const failed = await onEdit(edit);
    asked.current = false;
    if (failed) setProblem(failed.message);
    else onClose();
  };
  const refused = problem || props.refused;
  return (
    <section
      aria-label="Library drawer"
      className="border-r border-ink bg-paper grid grid-rows-[auto_minmax(0,1fr)_auto] min-h-0 text-[13px]"
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Escape') {
          event.preventDefault();
          onClose();
        } else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
          if ((event.target as HTMLElement).tagName === 'SELECT') return;
          event.preventDefault();
          const by = event.key === 'ArrowDown' ? 1 : -1;
          choose(found[Math.max(0, Math.min(found.length - 1, at + by))]);
        } else if (event.key === 'Enter' && (event.target as HTMLElement).tagName === 'INPUT') {
          event.preventDefault();
          void keep(found[at]);
        }
      }}
    >
      <header className="border-b border-line px-3 py-2 grid gap-1.5">
        <div className="flex items-baseline">
          <h2 className="text-[15px] mr-auto">Library</h2>
          <button
            type="button"
            className="text-verdigris hover:underline underline-offset-2"
            onClick={onClose}
          >
            Close
          </button>
        </div>
        <div role="radiogroup" aria-label="What to do" className="flex border border-line">
          {uses.map(({ use: each, title }) => (
            <button
              key={each}
              type="button"
              role="radio"
              aria-checked={each === now}
              disabled={each === 'exchange' && !exchangeable}
              title={
                each === 'exchange'
                  ? exchangeable
                    ? `In the place of ${exchangeable.pieceName}; its words go along`
                    : 'Take a placement in hand to put another piece in its place'
                  : each === 'shell'
                    ? 'Background, spacing and width, empty and tied to nothing'
                    : 'Tied to the library'
              }
              className="flex-1 py-1 border-r border-line last:border-r-0 hover:bg-board aria-checked:bg-ink aria-checked:text-paper disabled:text-soft/60 disabled:hover:bg-transparent"
              onClick={() => {
                onTry(undefined);
                setChosen('');
                props.onUse(each);
                field.current?.focus();
              }}
            >
              {title}
            </button>
          ))}
        </div>
        <input
          ref={field}
          autoFocus
          role="combobox"
          aria-expanded
          aria-controls="drawer-list"
          aria-activedescendant={chosen === '' ? undefined : `drawer ${chosen}`}
          aria-label="Find a piece"
          placeholder="Name, tag or words"
          value={words}
          className="border border-line bg-sheet px-2 py-1"
          onChange={(event) => {
            setWords(event.target.value);
            setChosen('');
            onTry(undefined);
          }}
        />
        <select
          aria-label="Purpose"
          value={purpose}
          className="border border-line bg-sheet px-1.5 py-1"
          onChange={(event) => {
            setPurpose(event.target.value);
            setChosen('');
            onTry(undefined);
          }}
        >
          <option value="">Every purpose</option>
          {purposes.map(({ word, title }) => (
            <option key={word} value={word}>
              {title}
            </option>
          ))}
        </select>
      </header>
      <div ref={scroller} className="overflow-y-auto [scrollbar-width:thin]">
        {library.data && found.length === 0 && (
          <p className="text-soft px-3 py-4">
            {now === 'exchange'
              ? 'No other piece can stand in its place.'
              : 'No piece that can stand here goes by that.'}
          </p>
        )}
        <div
          id="drawer-list"
          role="listbox"
          aria-label="Pieces"
          className="relative"
          style={{ height: rows.getTotalSize() }}
        >
          {rows.getVirtualItems().map((row) => {
            const card = found[row.index];
            return (
              card && (
                <DrawerCard
                  key={card.id}
                  card={card}
                  site={site}
                  top={row.start}
                  index={row.index}
                  measured={rows.measureElement}
                  current={card.id === chosen}
                  drags={now === 'insert'}
                  onChoose={() => {
                    choose(card);
                  }}
                  onKeep={() => void keep(card)}
                />
              )
            );
          })}
        </div>
      </div>
      <footer className="border-t border-line px-3 py-2">
        {refused ? (
          <p role="alert" className="text-brick">
            {refused}
          </p>
        ) : at >= 0 ? (
          <Button
            look="main"
            className="w-full justify-center"
            onClick={() => void keep(found[at])}
          >
            Keep it here (Enter)
          </Button>
        ) : (
          <p className="text-soft">
            {count(found.length, 'piece')}. ↓ ↑ try one in place, or drag it there.
          </p>
        )}
      </footer>
    </section>
  );
}

type CardProps = {
  card: Card;
  site: string;
  top: number;
  index: number;
  /** Is told the card, to measure it. */
  measured: (element: HTMLElement | null) => void;
  current: boolean;
  drags: boolean;
  onChoose: () => void;
  onKeep: () => void;
};

/** A piece as it looks here, whole. */
function DrawerCard(props: CardProps) {
  const { card, site, top, index, measured, current, drags, onChoose, onKeep } = props;
  const drawn = card.root === 'section' ? DRAWN.section : DRAWN.part;
  const item: Addable = {
    key: card.id,
    title: card.name,
    hint: '',
    kind: 'placement',
    root: card.root,
    value: card.id,
    count: 0,
  };
  const { setNodeRef, listeners } = useDraggable({
    id: `drawer ${card.id}`,
    data: { item },
    disabled: !drags,
  });
  const html = useQuery({
    queryKey: ['piece-frame', card.id, 'add', site],
    queryFn: () => fetchText(`/api/pieces/${card.id}/frame?site=${site}`),
  });
  return (
    <div
      ref={(element) => {
        setNodeRef(element);
        measured(element);
      }}
      data-index={index}
      {...listeners}
      id={`drawer ${card.id}`}
      role="option"
      aria-selected={current}
      className="absolute inset-x-0 px-3 pt-2.5 pb-1 cursor-pointer touch-none hover:bg-board aria-selected:bg-verdigris-tint"
      style={{ top }}
      onClick={onChoose}
      onDoubleClick={onKeep}
    >
      <div className="pointer-events-none grid justify-center min-h-6">
        <Whole
          html={html.data}
          title={`${card.name}, as it looks here`}
          viewport={card.root === 'section' ? DESKTOP : PART}
          width={WIDTH}
          height={drawn}
        />
      </div>
      <p className="truncate leading-[18px] mt-1">{card.name}</p>
    </div>
  );
}
