import { Portal } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { answer, api, fetchText, type Schemas } from '../../api/client';
import sizes from '../../api/devices.json';
import { Button } from '../../ui/Button';
import { useSeen } from '../../ui/useSeen';
import { useWidth } from '../../ui/useWidth';
import { Empty, Failed, Loading, Mark } from '../../ui/States';
import { Miniature } from '../../workbench/canvas/Miniature';
import { Whole } from '../../workbench/canvas/Whole';

type UsedIn = Schemas['UsedIn'];
type OnPage = Schemas['OnPage'];
type InPage = Schemas['InPage'];

/** What can be looked for: a piece, or something that documents refer to. */
export type Used = {
  kind: 'piece' | 'token' | 'style' | 'scheme' | 'picture' | 'file';
  id: string;
  name: string;
};

type Props = {
  of: Used;
  /** In whose look pieces are drawn. */
  site: string;
  onClose: () => void;
  /** What uses it besides pages and pieces. */
  children?: ReactNode;
};

/** Where something is used, through every level, beside what one is at. */
export function WhereUsed({ of, site, onClose, children }: Props) {
  return (
    <Portal>
      <aside
        aria-label={`Where ${of.name} is used`}
        className="fixed right-0 top-[46px] bottom-0 z-30 w-[380px] bg-paper border-l border-ink overflow-y-auto [scrollbar-width:thin] px-5 py-4 text-[13px]"
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          event.stopPropagation();
          onClose();
        }}
      >
        <header className="flex items-baseline gap-3 border-b border-ink pb-2">
          <h2 className="text-lg mr-auto min-w-0 break-words">Where {of.name} is used</h2>
          <Button look="quiet" autoFocus onClick={onClose}>
            Close
          </Button>
        </header>
        {children}
        {of.kind === 'piece' ? (
          <OfPiece piece={of.id} site={site} />
        ) : (
          <OfReferred kind={of.kind} id={of.id} site={site} />
        )}
      </aside>
    </Portal>
  );
}

function OfPiece({ piece, site }: { piece: string; site: string }) {
  const used = useQuery({
    queryKey: ['piece-uses', piece],
    queryFn: () => answer(api.GET('/api/pieces/{id}/uses', { params: { path: { id: piece } } })),
    gcTime: 0,
  });
  if (used.error) return <Failed error={used.error} />;
  if (!used.data) return <Loading what="the places" />;
  if (!isNowhere(used.data)) return <Level used={used.data} site={site} />;
  return (
    <div className="mt-4">
      <Empty>Nowhere yet. It can be retired or changed without anybody seeing it.</Empty>
    </div>
  );
}

type Referring = { kind: Used['kind']; id: string };

/** The pages and pieces that say it themselves, and where those pieces are used. */
function OfReferred({ kind, id, site }: Referring & { site: string }) {
  const used = useQuery({
    queryKey: ['uses', kind, id],
    queryFn: () => answer(api.GET('/api/uses/{kind}/{id}', { params: { path: { kind, id } } })),
    gcTime: 0,
  });
  if (used.error) return <Failed error={used.error} />;
  if (!used.data) return <Loading what="the places" />;
  const { pages, more, pieces } = used.data;
  if (pages.length === 0 && pieces.length === 0) {
    return (
      <div className="mt-4">
        <Empty>No page and no piece names it itself.</Empty>
      </div>
    );
  }
  return (
    <div className="mt-3">
      <Sites
        pages={pages}
        of={(page, drawn) => (
          <PageDrawn key={page.pageId} page={page} drawn={drawn} kind={kind} id={id} />
        )}
      />
      <More count={more} />
      <Inside pieces={pieces} site={site} />
    </div>
  );
}

/** Of each client so many placements are drawn; the others are named. */
const DRAWN = 4;

/** How high the drawing of a place is at most, in px. */
const HIGH = 120;

function isNowhere(used: UsedIn): boolean {
  return used.pages.length === 0 && used.pieces.length === 0;
}

function bySite<Page extends { siteName: string }>(
  pages: readonly Page[],
): readonly [string, readonly Page[]][] {
  const sites = new Map<string, Page[]>();
  for (const page of pages) sites.set(page.siteName, [...(sites.get(page.siteName) ?? []), page]);
  return [...sites];
}

type SitesProps<Page> = {
  pages: readonly Page[];
  /** Draws one, or only names it. */
  of: (page: Page, drawn: boolean) => ReactNode;
};

/** Pages by the client whose they are. */
function Sites<Page extends { siteName: string }>({ pages, of }: SitesProps<Page>) {
  return bySite(pages).map(([name, here]) => (
    <section key={name} className="mb-3">
      <h3 className="text-[14px]">{name}</h3>
      <ul className="border-t border-hair">{here.map((page, i) => of(page, i < DRAWN))}</ul>
    </section>
  ));
}

type RowProps = { to: string; children: ReactNode };

function Row({ to, children }: RowProps) {
  return (
    <li className="border-b border-hair">
      <Link to={to} className="block py-1.5 hover:bg-sheet">
        {children}
      </Link>
    </li>
  );
}

/** A page that says it itself, with the section in which it does. */
function PageDrawn({ page, drawn, kind, id }: Referring & { page: InPage; drawn: boolean }) {
  const { pageId } = page;
  const spot = useQuery({
    queryKey: ['frame', 'spot', pageId, kind, id],
    queryFn: () =>
      answer(
        api.GET('/api/pages/{id}/uses/{kind}/{ref}', {
          params: { path: { id: pageId, kind, ref: id } },
        }),
      ),
    enabled: drawn,
  });
  const node = spot.data ? `?node=${encodeURIComponent(spot.data.node)}` : '';
  return (
    <Row to={`/sites/${page.siteId}/pages/${pageId}${node}`}>
      {drawn && <Drawing html={spot.data?.html} title={page.title} />}
      <span className="block mt-1 font-medium truncate">{page.title}</span>
    </Row>
  );
}

function Drawing({ html, title }: { html: string | undefined; title: string }) {
  const [place, width] = useWidth<HTMLSpanElement>();
  return (
    <span ref={place} aria-hidden className="grid bg-board">
      <Whole
        html={html}
        title={`On ${title}`}
        viewport={sizes.desktop}
        width={width}
        height={HIGH}
      />
    </span>
  );
}

/** A placement, with the section of the page in which it stands, with that page’s words. */
function PlacementDrawn({ page, drawn }: { page: OnPage; drawn: boolean }) {
  const path = encodeURIComponent(page.path);
  const address = `/api/pages/${page.pageId}/frame?only=${path}`;
  const html = useQuery({
    queryKey: ['frame', address],
    queryFn: () => fetchText(address),
    enabled: drawn,
  });
  return (
    <Row to={`/sites/${page.siteId}/pages/${page.pageId}?node=${path}`}>
      {drawn && <Drawing html={html.data} title={page.title} />}
      <span className="flex items-center gap-2 mt-1">
        <span className="font-medium truncate">{page.title}</span>
        <span className="text-soft ml-auto whitespace-nowrap">revision {page.revision}</span>
        {page.changes > 0 && <Mark tone="local">{page.changes} of its own</Mark>}
        {page.held && <Mark tone="held">held</Mark>}
        {page.behind && !page.held && <Mark tone="local">behind</Mark>}
      </span>
    </Row>
  );
}

function More({ count }: { count: number }) {
  return count > 0 && <p className="text-soft mb-3">and {count} more on pages</p>;
}

function Level({ used, site }: { used: UsedIn; site: string }) {
  return (
    <div className="mt-3">
      <Sites
        pages={used.pages}
        of={(page, drawn) => (
          <PlacementDrawn key={`${page.pageId} ${page.path}`} page={page} drawn={drawn} />
        )}
      />
      <More count={used.more} />
      <Inside pieces={used.pieces} site={site} />
    </div>
  );
}

/** The pieces in which it stands, and where those are used. */
function Inside({ pieces, site }: { pieces: readonly UsedIn[]; site: string }) {
  return pieces.map((piece) => (
    <section key={piece.pieceId} className="mb-4">
      <PieceDrawn piece={piece.pieceId} site={site} />
      <h3 className="text-[14px] mt-1 flex gap-2 items-baseline">
        <Link
          to={`/library/${piece.pieceId}?site=${site}`}
          className="hover:underline underline-offset-4"
        >
          In {piece.name}
        </Link>
        {piece.drafted && <Mark tone="local">in its draft</Mark>}
      </h3>
      <div className="border-l border-line pl-3">
        {isNowhere(piece) ? (
          <p className="text-soft">which is placed nowhere yet</p>
        ) : (
          <Level used={piece} site={site} />
        )}
      </div>
    </section>
  ));
}

/** A piece in the look of a client, drawn when it comes into sight. */
function PieceDrawn({ piece, site }: { piece: string; site: string }) {
  const [place, seen] = useSeen<HTMLDivElement>();
  const [room, width] = useWidth<HTMLDivElement>();
  return (
    <div
      ref={place}
      aria-hidden
      className="border border-line bg-sheet min-h-12 max-h-[120px] overflow-hidden"
    >
      <div ref={room}>
        {seen && <Miniature piece={piece} site={site} scale={width / sizes.desktop.width} />}
      </div>
    </div>
  );
}
