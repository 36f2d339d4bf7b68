import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, fetchText, type Schemas } from '../../api/client';
import { count, names, reachWords } from '../../ui/count';
import { Empty, Failed, Loading, Mark } from '../../ui/States';
import { useWidth } from '../../ui/useWidth';
import { Frame } from '../../workbench/canvas/Frame';
import { useSites } from '../sites/useSites';

/** The pieces, each shown as itself and whole, at two widths. */
export function LibraryScreen() {
  const pieces = useQuery({ queryKey: ['pieces'], queryFn: () => answer(api.GET('/api/pieces')) });
  const sites = useSites();
  const [look, setLook] = useState('');
  const [wanted, setWanted] = useState('');
  if (pieces.error) return <Failed error={pieces.error} retry={() => void pieces.refetch()} />;
  if (sites.error) return <Failed error={sites.error} retry={() => void sites.refetch()} />;
  if (!pieces.data || !sites.data) return <Loading what="the library" />;
  const site = look || (sites.data[0]?.id ?? '');
  const shown = pieces.data.filter((piece) =>
    `${piece.name} ${piece.purpose}`.toLowerCase().includes(wanted.trim().toLowerCase()),
  );
  return (
    <main className="h-full overflow-y-auto px-8 py-6">
      <header className="flex items-end gap-6 border-b border-ink pb-3">
        <div>
          <h1 className="text-2xl">Library</h1>
          <p className="text-soft">
            {pieces.data.length === 0
              ? 'No pieces yet'
              : `${count(pieces.data.length, 'piece')}, each as it stands in its current revision`}
          </p>
        </div>
        {pieces.data.length > 0 && (
          <>
            <label className="ml-auto">
              <span className="sr-only">Find a piece</span>
              <input
                type="search"
                placeholder="Find a piece"
                value={wanted}
                onChange={(e) => {
                  setWanted(e.target.value);
                }}
                className="border border-line bg-sheet px-2.5 py-1.5 rounded-[2px] w-52"
              />
            </label>
            <label className="flex items-center gap-2">
              In the look of
              <select
                aria-label="In the look of"
                value={site}
                onChange={(e) => {
                  setLook(e.target.value);
                }}
                className="border border-line bg-sheet px-2 py-1.5 rounded-[2px]"
              >
                {sites.data.map((s) => (
                  <option key={s.id} value={s.id}>
                    {s.name}
                  </option>
                ))}
              </select>
            </label>
          </>
        )}
      </header>
      {pieces.data.length === 0 && (
        <div className="mt-8">
          <Empty>
            {sites.data.length === 0 ? (
              <>
                Pieces are shown in a client’s look.{' '}
                <Link to="/sites/new" className="text-verdigris underline underline-offset-2">
                  Set up the first client
                </Link>
              </>
            ) : (
              'The library is empty.'
            )}
          </Empty>
        </div>
      )}
      {pieces.data.length > 0 && shown.length === 0 && (
        <div className="mt-8">
          <Empty>No piece is called “{wanted}”. Search for another word.</Empty>
        </div>
      )}
      <ul className="grid gap-8 mt-6">
        {shown.map((piece) => (
          <PieceCard key={piece.id} piece={piece} site={site} />
        ))}
      </ul>
    </main>
  );
}

function PieceCard({ piece, site }: { piece: Schemas['PieceCard']; site: string }) {
  const html = useQuery({
    queryKey: ['piece-frame', piece.id, piece.current, site],
    queryFn: () => fetchText(`/api/pieces/${piece.id}/frame?site=${site}`),
  });
  return (
    <li className="grid grid-cols-[230px_minmax(0,1fr)_200px] gap-6 items-start border-b border-hair pb-8">
      <div>
        <h2 className="text-lg">
          <Link
            to={`/library/${piece.id}?site=${site}`}
            className="hover:underline underline-offset-4"
          >
            {piece.name}
          </Link>
        </h2>
        <p className="text-soft mt-0.5">{piece.purpose}</p>
        <p className="mt-3">
          Revision {piece.current} {piece.draft && <Mark tone="local">draft not released</Mark>}
        </p>
        <p>{reachWords(piece.reach)}</p>
        {piece.behind.length > 0 && (
          <p className="mt-1">
            <Link to={`/rollouts/${piece.id}`} className="text-ochre underline underline-offset-2">
              {names(piece.behind)} {piece.behind.length === 1 ? 'shows' : 'show'} an older revision
            </Link>
          </p>
        )}
        <p className="mt-4">
          <Link
            to={`/library/${piece.id}?site=${site}`}
            className="inline-block border border-line bg-sheet hover:border-ink px-3 py-1.5 rounded-[3px] font-medium"
          >
            Open on the workbench
          </Link>
        </p>
      </div>
      {html.error ? (
        <Failed error={html.error} />
      ) : (
        <>
          <Sample
            key={`wide ${site}`}
            html={html.data}
            title={`${piece.name} on a desktop`}
            width={1280}
            screen={800}
          />
          <Sample
            key={`narrow ${site}`}
            html={html.data}
            title={`${piece.name} on a phone`}
            width={390}
            screen={844}
          />
        </>
      )}
    </li>
  );
}

type SampleProps = { html: string | undefined; title: string; width: number; screen: number };

function Sample({ html, title, width, screen }: SampleProps) {
  const [area, room] = useWidth<HTMLDivElement>();
  return (
    <div ref={area} className="outline outline-1 outline-line bg-sheet min-h-24">
      {html && room > 0 && (
        <Frame html={html} title={title} width={width} screen={screen} scale={room / width} />
      )}
    </div>
  );
}
