import { useQuery } from '@tanstack/react-query';
import { useLayoutEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { fetchText } from '../../api/client';
import sizes from '../../api/devices.json';
import { count, names, reachWords } from '../../ui/count';
import { Mark } from '../../ui/States';
import { Frame } from '../../workbench/canvas/Frame';
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
const PART = 700;

/** What of a card's width the phone takes, and what lies between the two drawings. */
const PHONE = 0.2;
const BETWEEN = 8;

/** One piece as it looks, whole, on a desktop and on a phone, with what is to be known about it. */
export function PieceCard(props: Props) {
  const { card, purpose, site, width, height, even, at, current, chosen } = props;
  const html = useQuery({
    queryKey: ['piece-frame', card.id, card.current, site],
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
        className={`flex items-center bg-board p-2 outline-offset-0 ${chosen ? 'outline-2 outline-verdigris' : 'outline outline-line hover:outline-ink'} focus:outline-2 focus:outline-ink`}
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
              device="desktop"
              narrow={card.root !== 'section'}
              title={`${card.name} on a desktop`}
              width={width - 16 - phone - BETWEEN}
              height={height - 16}
            />
            <Whole
              html={html.data}
              device="phone"
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
        {card.draft && <Mark tone="local">draft</Mark>}
        {card.behind.length > 0 && (
          <Link to={`/rollouts/${card.id}`} title={`${names(card.behind)}: an older revision`}>
            <Mark tone="local">waits for {count(card.behind.length, 'site')}</Mark>
          </Link>
        )}
      </div>
    </article>
  );
}

type WholeProps = {
  html: string | undefined;
  device: keyof typeof sizes;
  /** Whether it stands beside others and is never as wide as the screen. */
  narrow?: boolean;
  title: string;
  width: number;
  height: number;
};

/** A drawing at a device's width, as large as the room allows for the whole of it. */
function Whole({ html, device, narrow = false, title, width, height }: WholeProps) {
  const { screen } = sizes[device];
  const screenWidth = narrow ? PART : sizes[device].width;
  const drawing = useRef<HTMLDivElement>(null);
  const [drawn, setDrawn] = useState(0);
  const scale = width / screenWidth;
  useLayoutEffect(() => {
    const element = drawing.current;
    if (!element) return;
    const observer = new ResizeObserver(() => {
      setDrawn(element.offsetHeight);
    });
    observer.observe(element);
    return () => {
      observer.disconnect();
    };
  }, []);
  const shrunk = drawn > height ? height / drawn : 1;
  return (
    <div
      className="overflow-hidden grid justify-items-center content-start self-center outline outline-line"
      style={{ width, height: Math.min(drawn, height) }}
      aria-hidden
    >
      <div
        ref={drawing}
        className="pointer-events-none origin-top"
        style={{ width, transform: `scale(${shrunk})` }}
      >
        {html !== undefined && width > 0 && (
          <Frame html={html} title={title} width={screenWidth} screen={screen} scale={scale} />
        )}
      </div>
    </div>
  );
}
