import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState, type DragEvent, type KeyboardEvent, type MouseEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import sizes from '../../api/devices.json';
import { answer, api, done, fetchText, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { count } from '../../ui/count';
import { Empty } from '../../ui/States';
import { useFewFirst } from '../../ui/useFewFirst';
import { useSeen } from '../../ui/useSeen';
import { useWidth } from '../../ui/useWidth';
import { Whole } from '../../workbench/canvas/Whole';
import { KeepStart } from './KeepStart';
import { lifted, movedTogether, nested, put, stepped, type Filed, type Where } from './order';
import { PageSettings } from './PageSettings';
import { GonePages, TakeAway } from './TakeAway';
import type { SitePage } from './useSites';
import { useAddress } from '../../ui/useAddress';

type Props = { site: Schemas['SiteView']; onStart: () => void };

/** The pages of a site as a tree, beside the chosen one. */
export function PagesTab({ site, onStart }: Props) {
  const { params, set } = useAddress();
  const standIns = useQuery({
    queryKey: ['stand-ins', site.id],
    queryFn: () =>
      answer(api.GET('/api/sites/{id}/stand-ins', { params: { path: { id: site.id } } })),
  });
  const pages = site.pages;
  const chosen = pages.find((page) => page.id === params.get('page')) ?? pages[0];
  const choose = (id: string) => {
    set({ page: id });
  };
  const left = Object.values(standIns.data ?? {}).reduce((sum, n) => sum + n, 0);
  return (
    <div className="grid grid-cols-[340px_minmax(0,1fr)_300px] gap-8 min-h-0 pt-4">
      <section aria-label="Pages" className="min-h-0 grid grid-rows-[auto_minmax(0,1fr)_auto]">
        <div className="flex items-baseline justify-between pb-2">
          <h2 className="text-lg">Pages</h2>
          {left > 0 && (
            <span className="text-ochre ml-3 mr-auto text-[13px]">
              {count(left, 'stand-in')} left in all
            </span>
          )}
          <Button look="quiet" onClick={onStart}>
            New page
          </Button>
        </div>
        {pages.length === 0 ? (
          <Empty>No page yet. Start one from a composition, or from nothing.</Empty>
        ) : (
          <Tree
            site={site}
            chosen={chosen?.id ?? ''}
            standIns={standIns.data ?? {}}
            onChoose={choose}
          />
        )}
        <GonePages siteId={site.id} />
      </section>
      {chosen && (
        <>
          <section aria-label={`“${chosen.title}”, drawn`} className="min-h-0 overflow-y-auto pb-8">
            <Front key={chosen.id} site={site.id} page={chosen} />
          </section>
          <section aria-label="About this page" className="min-h-0 overflow-y-auto pb-8">
            <PageSettings key={chosen.id} siteId={site.id} page={chosen} />
            <KeepStart key={`keep ${chosen.id}`} site={site} page={chosen} />
            <TakeAway key={`take ${chosen.id}`} site={site} page={chosen} />
          </section>
        </>
      )}
    </div>
  );
}

/** A page as visitors see it; it leads to the workbench. */
function Front({ site, page }: { site: string; page: SitePage }) {
  const [place, width] = useWidth<HTMLDivElement>();
  return (
    <div ref={place}>
      <Link
        to={`/sites/${site}/pages/${page.id}`}
        className="block outline outline-line hover:outline-2 hover:outline-verdigris"
        aria-label={`Work on ${page.title}`}
      >
        <Drawn page={page} width={width} />
      </Link>
    </div>
  );
}

/** A page on a desktop, as wide as the room, in px. */
function Drawn({ page, width }: { page: SitePage; width: number }) {
  const address = `/api/pages/${page.id}/frame`;
  const html = useQuery({ queryKey: ['frame', address], queryFn: () => fetchText(address) });
  return (
    <Whole
      html={html.data}
      title={page.title}
      viewport={sizes.desktop}
      width={width}
      height={Number.POSITIVE_INFINITY}
    />
  );
}

/** How many rows stand on a tall screen. */
const ON_SCREEN = 30;
/** How many surely stand on any screen before it is scrolled. */
const AT_FIRST = 6;

type TreeProps = {
  site: Schemas['SiteView'];
  chosen: string;
  standIns: Readonly<Record<string, number>>;
  onChoose: (id: string) => void;
};

function Tree({ site, chosen, standIns, onChoose }: TreeProps) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const list = useRef<HTMLUListElement>(null);
  const [said, setSaid] = useState('');
  const filing = useMutation({
    mutationFn: ({ pages, etag }: { pages: readonly Filed[]; etag: string }) =>
      done(
        api.PUT('/api/sites/{id}/filed', {
          params: { path: { id: site.id }, query: { etag } },
          body: { pages: [...pages] },
        }),
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: ['sites', site.id] }),
  });
  const { pages } = site;
  const drawn = useFewFirst(pages, ON_SCREEN);
  /** Chosen besides the one in hand, to be moved together. */
  const [besides, setBesides] = useState<ReadonlySet<string>>(new Set());
  const [over, setOver] = useState<{ id: string; where: Where }>();
  const together = new Set([chosen, ...besides].filter((id) => pages.some((p) => p.id === id)));
  const at = pages.findIndex((page) => page.id === chosen);
  const move = (next: readonly Filed[] | undefined, none: string) => {
    setSaid(next ? '' : none);
    // One at a time, each on the order that the one before has left.
    if (next && !filing.isPending) filing.mutate({ pages: next, etag: site.etag });
  };
  const go = (index: number) => {
    const page = pages[Math.max(0, Math.min(pages.length - 1, index))];
    if (!page) return;
    onChoose(page.id);
    list.current?.querySelector<HTMLElement>(`[data-page="${CSS.escape(page.id)}"]`)?.focus();
  };
  const extend = (to: number) => {
    const page = pages[to];
    if (page) setBesides(new Set([...besides, chosen, page.id]));
  };
  const pick = (event: MouseEvent, id: string) => {
    const index = pages.findIndex((page) => page.id === id);
    if (event.ctrlKey || event.metaKey) {
      const next = new Set([...besides, chosen]);
      if (next.delete(id) && id !== chosen) setBesides(next);
      else setBesides(next.add(id));
      return;
    }
    if (event.shiftKey) {
      const [from, to] = [Math.min(at, index), Math.max(at, index)];
      setBesides(new Set(pages.slice(from, to + 1).map((page) => page.id)));
      return;
    }
    setBesides(new Set());
    onChoose(id);
  };
  const dropped = (target: string, where: Where) => {
    setOver(undefined);
    move(put(pages, together, target, where), 'They stand there already, or cannot.');
  };
  const ways = { ArrowUp: 'up', ArrowDown: 'down', ArrowRight: 'in', ArrowLeft: 'out' } as const;
  const onKeyDown = (event: KeyboardEvent) => {
    const { key, altKey, shiftKey } = event;
    if (altKey && together.size > 1 && key in ways)
      move(movedTogether(pages, together, ways[key as keyof typeof ways]), 'They cannot go there.');
    else if (shiftKey && (key === 'ArrowDown' || key === 'ArrowUp')) {
      const step = key === 'ArrowDown' ? 1 : -1;
      extend(at + step);
      go(at + step);
    } else if (key === 'Escape' && besides.size > 0) setBesides(new Set());
    else if (altKey && key === 'ArrowUp') move(stepped(pages, chosen, -1), 'It is the first here.');
    else if (altKey && key === 'ArrowDown') move(stepped(pages, chosen, 1), 'It is the last here.');
    else if (altKey && key === 'ArrowRight')
      move(nested(pages, chosen), 'There is no page before it to file it under.');
    else if (altKey && key === 'ArrowLeft') move(lifted(pages, chosen), 'It is at the top.');
    else if (altKey) return;
    else if (key === 'ArrowDown') go(at + 1);
    else if (key === 'ArrowUp') go(at - 1);
    else if (key === 'Home') go(0);
    else if (key === 'End') go(pages.length - 1);
    else if (key === 'Enter') void navigate(`/sites/${site.id}/pages/${chosen}`);
    else return;
    event.preventDefault();
  };
  const page = pages[at];
  return (
    <div className="grid grid-rows-[minmax(0,1fr)_auto] min-h-0">
      <ul
        ref={list}
        role="tree"
        aria-label="Pages"
        aria-multiselectable
        className="overflow-y-auto border-t border-line pr-1"
        onKeyDown={onKeyDown}
      >
        {drawn.map((each, i) => (
          <Row
            key={each.id}
            first={i < AT_FIRST}
            page={each}
            current={each.id === chosen}
            selected={together.has(each.id)}
            over={over?.id === each.id ? over.where : undefined}
            standIns={standIns[each.id] ?? 0}
            onChoose={(event) => {
              pick(event, each.id);
            }}
            onDrag={() => {
              if (together.has(each.id)) return;
              setBesides(new Set());
              onChoose(each.id);
            }}
            onOver={(where) => {
              setOver(where && { id: each.id, where });
            }}
            onDrop={(where) => {
              dropped(each.id, where);
            }}
            onOpen={() => void navigate(`/sites/${site.id}/pages/${each.id}`)}
          />
        ))}
      </ul>
      <div className="flex flex-wrap items-center gap-x-3 border-t border-line py-2 text-[13px]">
        <span className="text-soft">
          {together.size > 1 ? `Drag ${String(together.size)} pages, or Alt and arrows` : 'Move it'}
        </span>
        <Button
          look="quiet"
          title="Alt ↑"
          onClick={() => {
            move(stepped(pages, chosen, -1), 'It is the first here.');
          }}
        >
          up
        </Button>
        <Button
          look="quiet"
          title="Alt ↓"
          onClick={() => {
            move(stepped(pages, chosen, 1), 'It is the last here.');
          }}
        >
          down
        </Button>
        <Button
          look="quiet"
          title="Alt →"
          onClick={() => {
            move(nested(pages, chosen), 'There is no page before it to file it under.');
          }}
        >
          under the one before
        </Button>
        <Button
          look="quiet"
          title="Alt ←"
          disabled={(page?.depth ?? 0) === 0}
          onClick={() => {
            move(lifted(pages, chosen), 'It is at the top.');
          }}
        >
          a level up
        </Button>
        {(said || filing.error) && (
          <span role="status" className={filing.error ? 'text-brick' : 'text-soft'}>
            {filing.error ? filing.error.message : said}
          </span>
        )}
      </div>
    </div>
  );
}

type RowProps = {
  page: SitePage;
  first: boolean;
  current: boolean;
  selected: boolean;
  /** Where what is dragged would land, if over this page. */
  over: Where | undefined;
  standIns: number;
  onChoose: (event: MouseEvent) => void;
  onDrag: () => void;
  onOver: (where: Where | undefined) => void;
  onDrop: (where: Where) => void;
  onOpen: () => void;
};

/** The width of the miniature in a row, and its height, in px. */
const MINIATURE = { width: 54, height: 66 };

/** The edges of a row put beside it, its middle under it. */
function whereOver(event: DragEvent<HTMLElement>): Where {
  const { top, height } = event.currentTarget.getBoundingClientRect();
  const share = (event.clientY - top) / height;
  if (share < 0.3) return 'before';
  return share > 0.7 ? 'after' : 'under';
}

const landing: Record<Where, string> = {
  before: 'shadow-[inset_0_3px_0_0_var(--color-verdigris)]',
  after: 'shadow-[inset_0_-3px_0_0_var(--color-verdigris)]',
  under: 'outline-2 outline-dashed -outline-offset-2 outline-verdigris',
};

function Row(props: RowProps) {
  const { page, first, current, selected, over, standIns } = props;
  const { onChoose, onDrag, onOver, onDrop, onOpen } = props;
  const [place, seen] = useSeen<HTMLLIElement>(first);
  return (
    <li
      ref={place}
      role="treeitem"
      aria-level={page.depth + 1}
      aria-selected={selected}
      draggable
      data-page={page.id}
      tabIndex={current ? 0 : -1}
      className={`[content-visibility:auto] [contain-intrinsic-height:66px] flex items-center gap-3 py-1.5 px-2 border-b border-hair cursor-pointer ${selected ? 'bg-verdigris-tint' : 'hover:bg-sheet'} ${over ? landing[over] : ''}`}
      style={{ paddingLeft: 8 + page.depth * 22 }}
      onClick={onChoose}
      onDoubleClick={onOpen}
      onDragStart={(event) => {
        event.dataTransfer.setData('text/plain', page.title);
        event.dataTransfer.effectAllowed = 'move';
        onDrag();
      }}
      onDragOver={(event) => {
        event.preventDefault();
        onOver(whereOver(event));
      }}
      onDragLeave={() => {
        onOver(undefined);
      }}
      onDrop={(event) => {
        event.preventDefault();
        onDrop(whereOver(event));
      }}
    >
      <span
        aria-hidden
        className="shrink-0 overflow-hidden bg-board outline outline-line"
        style={MINIATURE}
      >
        {seen && <Drawn page={page} width={MINIATURE.width} />}
      </span>
      <span className="min-w-0 flex-1">
        <span className="block font-medium truncate">{page.title}</span>
        <span className="block text-soft text-[13px] truncate">{page.address}</span>
        <span className="block text-[12.5px] text-soft truncate">
          {count(page.sections, 'section')}, {page.pieces} from the library
          {!page.ready && <span className="text-ochre"> · in work</span>}
          {standIns > 0 && (
            <span className="text-ochre"> · {count(standIns, 'stand-in')} left</span>
          )}
        </span>
      </span>
    </li>
  );
}
