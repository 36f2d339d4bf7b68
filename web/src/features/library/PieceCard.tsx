import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { fetchText } from '../../api/client';
import sizes from '../../api/devices.json';
import { count, names, reachWords } from '../../ui/count';
import { Mark } from '../../ui/States';
import { Whole } from '../../workbench/canvas/Whole';
import type { Card } from './filter';

type Props = {
  card: Card;
  purpose: string;
  site: string;
  /** Of the whole card, in px. */
  width: number;
  /** Of the drawing on it, in px. */
  height: number;
  /** Whether a lower drawing has the same room as a high one. */
  even: boolean;
  at: number;
  /** Whether the keyboard comes to this one first. */
  current: boolean;
  chosen: boolean;
  onFocus: () => void;
  onChoose: () => void;
  onDescribe: () => void;
  onUses: () => void;
};

/** In how wide a screen a small part is drawn, so that it can be seen. */
const PART = { ...sizes.desktop, width: 700 };

/** What of a card's width the phone takes, and what lies between the two drawings. */
const PHONE = 0.2;
const BETWEEN = 8;

/** One piece as it looks, whole, on a desktop and on a phone, with what is to be known about it. */
export function PieceCard(props: Props) {
  const { card, purpose, site, width, height, even, at, current, chosen } = props;
  const html = useQuery({
    // A draft is drawn as it was when it was worked on last.
    queryKey: ['piece-frame', card.id, card.current || card.changed, site],
    queryFn: () => fetchText(`/api/pieces/${card.id}/frame?site=${site}`),
  });
  const phone = Math.round(width * PHONE);
  return (
    <article aria-label={card.name}>
      <div
        tabIndex={current ? 0 : -1}
        data-at={at}
        role="group"
        aria-label={`${card.name}, ${purpose.toLowerCase()}${chosen ? ', chosen' : ''}`}
        className={`flex items-center justify-between bg-board p-2 outline-offset-0 ${chosen ? 'outline-2 outline-verdigris' : 'outline outline-line hover:outline-ink'} focus:outline-2 focus:outline-ink`}
        style={{ gap: BETWEEN, ...(even ? { height } : { maxHeight: height }) }}
        onFocus={props.onFocus}
        onClick={props.onChoose}
      >
        {html.error ? (
          <p role="alert" className="text-brick text-[13px]">
            {html.error.message}
          </p>
        ) : (
          <>
            <Whole
              html={html.data}
              viewport={card.root === 'section' ? sizes.desktop : PART}
              title={`${card.name} on a desktop`}
              width={width - 16 - phone - BETWEEN}
              height={height - 16}
            />
            <Whole
              html={html.data}
              viewport={sizes.phone}
              title={`${card.name} on a phone`}
              width={phone}
              height={height - 16}
            />
          </>
        )}
      </div>
      <div className="flex items-baseline gap-2 mt-1.5">
        <input
          type="checkbox"
          checked={chosen}
          tabIndex={-1}
          aria-label={`Choose ${card.name}`}
          onChange={props.onChoose}
          className="accent-verdigris self-center"
        />
        <h2 className="text-[15px] min-w-0 truncate">
          <Link
            to={`/library/${card.id}?site=${site}`}
            title={card.notes || card.name}
            className="hover:underline underline-offset-4"
          >
            {card.name}
          </Link>
        </h2>
        <button
          type="button"
          className="ml-auto text-[13px] text-verdigris hover:underline underline-offset-2"
          onClick={props.onDescribe}
        >
          Describe
        </button>
      </div>
      <div className="flex items-center gap-1.5 h-6 text-[13px] text-soft">
        <p className="min-w-0 truncate mr-auto">
          {purpose} ·{' '}
          <button
            type="button"
            title="Where it is used"
            className="hover:underline underline-offset-2"
            onClick={props.onUses}
          >
            {reachWords(card.reach)}
          </button>
        </p>
        {card.variants > 0 && <Mark tone="library">{count(card.variants, 'variant')}</Mark>}
        {card.retired && <Mark tone="held">retired</Mark>}
        {card.current === 0 ? (
          <Mark tone="local">a draft only</Mark>
        ) : (
          card.draft && <Mark tone="local">draft</Mark>
        )}
        {card.behind.length > 0 && (
          <Link to={`/rollouts/${card.id}`} title={`${names(card.behind)}: an older revision`}>
            <Mark tone="local">waits for {count(card.behind.length, 'site')}</Mark>
          </Link>
        )}
      </div>
    </article>
  );
}
