import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api, fetchText, type Schemas } from '../../api/client';
import sizes from '../../api/devices.json';
import { Button } from '../../ui/Button';
import { Empty, Failed, Loading, Mark } from '../../ui/States';
import { Miniature } from '../../workbench/canvas/Miniature';
import { Whole } from '../../workbench/canvas/Whole';

type Used = Schemas['UsedIn'];
type OnPage = Schemas['OnPage'];

type Props = {
  piece: { id: string; name: string };
  /** In whose look pieces are drawn. */
  site: string;
  onClose: () => void;
};

/** Where a piece is used, through every level, beside what one is at. */
export function WhereUsed({ piece, site, onClose }: Props) {
  const used = useQuery({
    queryKey: ['piece-uses', piece.id],
    queryFn: () => answer(api.GET('/api/pieces/{id}/uses', { params: { path: { id: piece.id } } })),
    gcTime: 0,
  });
  return (
    <aside
      aria-label={`Where ${piece.name} is used`}
      className="fixed right-0 top-[46px] bottom-0 z-30 w-[380px] bg-paper border-l border-ink overflow-y-auto px-5 py-4"
      onKeyDown={(event) => {
        if (event.key === 'Escape') onClose();
      }}
    >
      <header className="flex items-baseline gap-3 border-b border-ink pb-2">
        <h2 className="text-lg mr-auto">Where {piece.name} is used</h2>
        <Button look="quiet" autoFocus onClick={onClose}>
          Close
        </Button>
      </header>
      {used.error && <Failed error={used.error} />}
      {used.isPending && <Loading what="the places" />}
      {used.data &&
        (isNowhere(used.data) ? (
          <div className="mt-4">
            <Empty>Nowhere yet. It can be retired or changed without anybody seeing it.</Empty>
          </div>
        ) : (
          <Level used={used.data} site={site} />
        ))}
    </aside>
  );
}

/** Of each client so many placements are drawn; the others are named. */
const DRAWN = 4;

/** The room for the drawing of a placement, in px. */
const ROOM = { width: 334, height: 120 };

/** The section of a page in which a placement stands, with that page’s words. */
function PlacementDrawn({ page }: { page: OnPage }) {
  const address = `/api/pages/${page.pageId}/frame?only=${encodeURIComponent(page.path)}`;
  const html = useQuery({ queryKey: ['frame', address], queryFn: () => fetchText(address) });
  return (
    <span aria-hidden className="grid bg-board">
      <Whole html={html.data} title={`On ${page.title}`} viewport={sizes.desktop} {...ROOM} />
    </span>
  );
}

function isNowhere(used: Used): boolean {
  return used.pages.length === 0 && used.pieces.length === 0;
}

function bySite(pages: readonly OnPage[]): readonly [string, readonly OnPage[]][] {
  const sites = new Map<string, OnPage[]>();
  for (const page of pages) sites.set(page.siteName, [...(sites.get(page.siteName) ?? []), page]);
  return [...sites];
}

function Level({ used, site }: { used: Used; site: string }) {
  return (
    <div className="mt-3">
      {bySite(used.pages).map(([name, pages]) => (
        <section key={name} className="mb-3">
          <h3 className="text-[14px]">{name}</h3>
          <ul className="border-t border-hair">
            {pages.map((page, i) => (
              <li key={`${page.pageId} ${page.path}`} className="border-b border-hair">
                <Link
                  to={`/sites/${page.siteId}/pages/${page.pageId}?node=${encodeURIComponent(page.path)}`}
                  className="block py-1.5 hover:bg-sheet text-[13px]"
                >
                  {i < DRAWN && <PlacementDrawn page={page} />}
                  <span className="flex items-center gap-2 mt-1">
                    <span className="font-medium truncate">{page.title}</span>
                    <span className="text-soft ml-auto whitespace-nowrap">
                      revision {page.revision}
                    </span>
                    {page.changes > 0 && <Mark tone="local">{page.changes} of its own</Mark>}
                    {page.held && <Mark tone="held">held</Mark>}
                    {page.behind && !page.held && <Mark tone="local">behind</Mark>}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      ))}
      {used.more > 0 && <p className="text-soft text-[13px] mb-3">and {used.more} more on pages</p>}
      {used.pieces.map((piece) => (
        <section key={piece.pieceId} className="mb-4">
          <div aria-hidden className="border border-line bg-sheet max-h-[120px] overflow-hidden">
            <Miniature piece={piece.pieceId} site={site} scale={0.265} />
          </div>
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
              <p className="text-soft text-[13px]">which is placed nowhere yet</p>
            ) : (
              <Level used={piece} site={site} />
            )}
          </div>
        </section>
      ))}
    </div>
  );
}
