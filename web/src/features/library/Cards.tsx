import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../../api/client';
import { useWidth } from '../../ui/useWidth';
import type { Card } from './filter';
import { PieceCard } from './PieceCard';

/**
 * How the cards are laid out: how many beside each other, and how high the drawing on one is, at
 * most where it may be lower.
 */
export const sizes = {
  scanning: { title: 'Scanning', columns: 3, drawing: 204, even: true, gap: 20 },
  looking: { title: 'Looking', columns: 1, drawing: 520, even: false, gap: 28 },
};
export type Size = keyof typeof sizes;

/** The words below the drawing. */
const CAPTION = 56;

type Props = {
  cards: readonly Card[];
  purposes: readonly Schemas['Choice'][];
  site: string;
  size: Size;
  chosen: ReadonlySet<string>;
  onChoose: (chosen: ReadonlySet<string>) => void;
  onDescribe: (card: Card) => void;
  onUses: (card: Card) => void;
};

/**
 * The cards as a grid of which only what is seen is drawn. Arrow keys go from card to card, Space
 * chooses one, Enter opens it.
 */
export function Cards(props: Props) {
  'use no memo'; // The virtualizer is one object that changes in place.
  const { cards, purposes, site, size, chosen, onChoose, onDescribe, onUses } = props;
  const { columns, drawing, even, gap } = sizes[size];
  const navigate = useNavigate();
  const scroller = useRef<HTMLDivElement>(null);
  const [grid, room] = useWidth<HTMLDivElement>();
  const [at, setAt] = useState(0);
  const here = Math.min(at, cards.length - 1);
  // eslint-disable-next-line react-hooks/incompatible-library -- not memoized, see above
  const rows = useVirtualizer({
    count: Math.ceil(cards.length / columns),
    getScrollElement: () => scroller.current,
    estimateSize: () => drawing + CAPTION + gap,
    overscan: 1,
  });
  const width = (room - gap * (columns - 1)) / columns;
  const choose = (id: string) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    onChoose(next);
  };
  const go = (to: number) => {
    const next = Math.max(0, Math.min(cards.length - 1, to));
    setAt(next);
    rows.scrollToIndex(Math.floor(next / columns));
    requestAnimationFrame(() => {
      scroller.current?.querySelector<HTMLElement>(`[data-at="${next}"]`)?.focus();
    });
  };
  const steps: Record<string, number> = {
    ArrowRight: 1,
    ArrowLeft: -1,
    ArrowDown: columns,
    ArrowUp: -columns,
    Home: -cards.length,
    End: cards.length,
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const card = cards[here];
    if (!card || (event.target as HTMLElement).dataset.at === undefined) return;
    const step = steps[event.key];
    if (step !== undefined) go(here + step);
    else if (event.key === ' ') choose(card.id);
    else if (event.key === 'Enter') void navigate(`/library/${card.id}?site=${site}`);
    else if (event.key === 'Escape') onChoose(new Set());
    else return;
    event.preventDefault();
  };
  return (
    <div ref={scroller} className="overflow-y-auto pt-4 pb-6 px-1" onKeyDown={onKeyDown}>
      <div
        ref={grid}
        role="list"
        aria-label="Pieces"
        className="relative"
        style={{ height: rows.getTotalSize() }}
      >
        {room > 0 &&
          rows.getVirtualItems().map((row) => (
            <div
              key={row.key}
              ref={rows.measureElement}
              data-index={row.index}
              className="absolute inset-x-0 grid"
              style={{
                top: row.start,
                gap,
                paddingBottom: gap,
                gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
              }}
            >
              {cards.slice(row.index * columns, (row.index + 1) * columns).map((card, i) => {
                const index = row.index * columns + i;
                return (
                  <div key={card.id} role="listitem">
                    <PieceCard
                      card={card}
                      purpose={purposes.find(({ word }) => word === card.purpose)?.title ?? ''}
                      site={site}
                      width={width}
                      height={drawing}
                      even={even}
                      at={index}
                      current={index === here}
                      chosen={chosen.has(card.id)}
                      onFocus={() => {
                        setAt(index);
                      }}
                      onChoose={() => {
                        choose(card.id);
                      }}
                      onDescribe={() => {
                        onDescribe(card);
                      }}
                      onUses={() => {
                        onUses(card);
                      }}
                    />
                  </div>
                );
              })}
            </div>
          ))}
      </div>
    </div>
  );
}
