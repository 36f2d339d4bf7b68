import { useEffect, useRef, useState, type DragEvent } from 'react';
import { BringIn, Sent } from '../../ui/BringIn';
import { count } from '../../ui/count';
import { ListHead } from '../../ui/ListHead';
import { useAddress } from '../../ui/useAddress';
import { tagsOf } from '../../ui/narrowing';
import { Rail, type Asked } from '../../ui/Rail';
import { Empty, Failed, Loading, Mark } from '../../ui/States';
import { useSites } from '../sites/useSites';
import {
  beside,
  countsOf,
  fits,
  says,
  saysOf,
  uses,
  type Card,
  type Picture,
  type Question,
  type Wanted,
} from './narrow';
import { PictureDetail } from './PictureDetail';
import { accepted, fileOf, useBringInPictures, usePictures } from './usePictures';

const MOST_TAGS = 12;

/** What is looked for and which picture is in hand, kept in the address so that it leads back here. */
function useWanted() {
  const { params, set } = useAddress();
  const wanted: Wanted = { words: '', client: '', text: '', use: '', tag: '' };
  for (const key of Object.keys(wanted) as (keyof Wanted)[]) wanted[key] = params.get(key) ?? '';
  return { wanted, inHand: params.get('picture') ?? '', set };
}

/** What pictures the house and each client have, what they say, and where they are used. */
export function PicturesScreen() {
  const pictures = usePictures();
  const sites = useSites();
  const { wanted, inHand, set } = useWanted();
  const site = wanted.client === 'house' ? '' : wanted.client;
  const { sending, bringIn, clear } = useBringInPictures(site, ({ id }) => {
    set({ picture: id });
  });
  const [over, setOver] = useState(false);
  usePasted(bringIn);
  const failed = pictures.error ?? sites.error;
  if (failed) return <Failed error={failed} retry={() => void pictures.refetch()} />;
  if (!pictures.data || !sites.data) return <Loading what="the pictures" />;
  const all = pictures.data;
  const shown = all.filter((card) => fits(card, wanted));
  const card = all.find(({ picture }) => picture.id === inHand);
  const clients = new Map(sites.data.map(({ id, name }) => [id, name]));
  const whose = site === '' ? 'all clients' : (clients.get(site) ?? site);
  const asked: Asked<Question>[] = [
    {
      key: 'client',
      title: 'Whose',
      answers: [
        { word: 'house', title: 'For all clients' },
        ...sites.data.map(({ id, name }) => ({ word: id, title: name })),
      ],
    },
    { key: 'text', title: 'Alternative text', answers: choices(says) },
    { key: 'use', title: 'Use', answers: choices(uses) },
    {
      key: 'tag',
      title: 'Tag',
      answers: tagsOf(all.map(({ picture }) => picture))
        .slice(0, MOST_TAGS)
        .map((tag) => ({ word: tag, title: tag })),
    },
  ];
  const dropped = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    void bringIn([...event.dataTransfer.files]);
  };
  return (
    <main
      className="h-full grid grid-rows-[auto_minmax(0,1fr)] px-8 pt-6"
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes('Files')) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget as Node | null)) setOver(false);
      }}
      onDrop={dropped}
    >
      <ListHead
        title="Pictures"
        one="picture"
        shown={shown.length}
        all={all.length}
        searched="Name, text or tag"
        words={wanted.words}
        onWords={(words) => {
          set({ words });
        }}
      >
        <BringIn
          label={`Bring pictures in for ${whose}`}
          title="PNG, JPEG or SVG, up to 8 MB each; or drop or paste them"
          accept={accepted}
          onFiles={(files) => void bringIn(files)}
        />
      </ListHead>
      <div
        className={`grid gap-6 min-h-0 ${card ? 'grid-cols-[184px_minmax(0,1fr)_344px]' : 'grid-cols-[184px_minmax(0,1fr)]'}`}
      >
        <Rail asked={asked} wanted={wanted} counts={countsOf(all, wanted)} onSet={set} />
        <div
          className={`relative grid grid-rows-[minmax(0,1fr)_auto] min-h-0 ${over ? 'outline-2 outline-dashed -outline-offset-4 outline-verdigris' : ''}`}
        >
          {over && (
            <p className="absolute inset-x-0 top-6 z-10 text-center">
              <span className="bg-verdigris text-white px-3 py-1.5">
                Let go to bring them in for {whose}
              </span>
            </p>
          )}
          {shown.length === 0 ? (
            <div className="py-5">
              <Empty>
                {all.length === 0
                  ? 'No pictures yet. Drop files here, paste one, or bring them in above.'
                  : 'No picture is like that. Ask for less on the left.'}
              </Empty>
            </div>
          ) : (
            <Wall
              cards={shown}
              clients={clients}
              inHand={inHand}
              onTake={(picture) => {
                set({ picture });
              }}
            />
          )}
          <Sent sending={sending} onClear={clear} />
        </div>
        {card && (
          <PictureDetail
            key={card.picture.id}
            card={card}
            cards={shown}
            owner={
              card.picture.siteId === ''
                ? 'for all clients'
                : (clients.get(card.picture.siteId) ?? '')
            }
            site={site || (sites.data[0]?.id ?? '')}
            onTake={(id) => {
              set({ picture: id });
            }}
          />
        )}
      </div>
    </main>
  );
}

function choices(titles: Record<string, string>) {
  return Object.entries(titles).map(([word, title]) => ({ word, title }));
}

/** Pictures that are pasted come in as dropped ones do, unless words are being typed. */
function usePasted(bringIn: (files: readonly File[]) => Promise<void>) {
  const latest = useRef(bringIn);
  useEffect(() => {
    latest.current = bringIn;
  });
  useEffect(() => {
    const pasted = (event: ClipboardEvent) => {
      const files = [...(event.clipboardData?.files ?? [])];
      if (files.length === 0) return;
      event.preventDefault();
      void latest.current(files);
    };
    window.addEventListener('paste', pasted);
    return () => {
      window.removeEventListener('paste', pasted);
    };
  }, []);
}

type WallProps = {
  cards: readonly Card[];
  clients: ReadonlyMap<string, string>;
  inHand: string;
  onTake: (id: string) => void;
};

const LINE = 112;

/** As wide as its shape asks for in a line of pictures; what is very wide or high stands smaller. */
function widthOf({ width, height }: Picture): number {
  return Math.min(240, Math.max(96, (LINE * width) / height));
}

/** The pictures in their own shapes, in lines of one height. */
function Wall({ cards, clients, inHand, onTake }: WallProps) {
  const list = useRef<HTMLUListElement>(null);
  const go = (id: string, step: 1 | -1) => {
    const next = beside(cards, id, step);
    if (!next) return;
    onTake(next.picture.id);
    list.current
      ?.querySelector<HTMLElement>(`[data-picture="${CSS.escape(next.picture.id)}"]`)
      ?.focus();
  };
  const first = cards.some(({ picture }) => picture.id === inHand) ? inHand : cards[0]?.picture.id;
  return (
    <ul
      ref={list}
      aria-label="Pictures"
      className="overflow-y-auto py-5 px-0.5 flex flex-wrap content-start gap-x-5 gap-y-6"
    >
      {cards.map(({ picture, uses: n }) => (
        <li key={picture.id} className="min-w-0">
          <button
            type="button"
            data-picture={picture.id}
            aria-pressed={picture.id === inHand}
            tabIndex={picture.id === first ? 0 : -1}
            className="block text-left group"
            onClick={() => {
              onTake(picture.id === inHand ? '' : picture.id);
            }}
            onKeyDown={(event) => {
              if (event.key === 'ArrowRight' || event.key === 'ArrowDown') go(picture.id, 1);
              else if (event.key === 'ArrowLeft' || event.key === 'ArrowUp') go(picture.id, -1);
              else return;
              event.preventDefault();
            }}
          >
            <img
              src={fileOf(picture, 320)}
              alt={picture.alt}
              loading="lazy"
              style={{ width: widthOf(picture) }}
              className="h-28 object-contain bg-board outline outline-line group-hover:outline-ink group-aria-pressed:outline-2 group-aria-pressed:outline-verdigris"
            />
            <span
              className="mt-1.5 flex flex-col text-[12.5px]"
              style={{ width: widthOf(picture) }}
            >
              <span className="truncate font-medium" title={picture.fileName}>
                {picture.fileName}
              </span>
              <span className="truncate text-soft">
                {picture.siteId === '' ? 'For all clients' : clients.get(picture.siteId)}
              </span>
              <span className="truncate text-soft">
                {saysOf(picture) === 'missing' ? (
                  <Mark tone="local">no text</Mark>
                ) : n === 0 ? (
                  'used nowhere'
                ) : (
                  count(n, 'use')
                )}
              </span>
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
