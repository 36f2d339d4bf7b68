import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { answer, api, Problem, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { when } from '../../ui/count';
import { Sheet } from '../../ui/Sheet';
import { Failed, Loading } from '../../ui/States';
import {
  pieceSource,
  type WorkbenchAnswer,
  type WorkbenchView,
} from '../../workbench/engine/source';
import { Workbench } from '../../workbench/shell/Workbench';
import { useSites } from '../sites/useSites';
import { Variants } from './Variants';
import { WhereUsed } from './WhereUsed';

/** A piece on the workbench, in any client's look. */
export function PieceScreen() {
  const { pieceId = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const sites = useSites();
  const site = search.get('site') ?? sites.data?.[0]?.id ?? '';
  const variant = search.get('variant') ?? '';
  const source = useMemo(() => pieceSource(pieceId, site, variant), [pieceId, site, variant]);
  const set = (key: string, value: string) => {
    const next = new URLSearchParams(search);
    if (value === '') next.delete(key);
    else next.set(key, value);
    setSearch(next, { replace: true });
  };
  if (sites.error) return <Failed error={sites.error} retry={() => void sites.refetch()} />;
  if (!sites.data || !site) return <Loading what="the piece" />;
  return (
    <Workbench
      key={`${pieceId} ${site} ${variant}`}
      source={source}
      heading={(view, replace) => (
        <>
          <h1 className="text-[16px]">{view.title}</h1>
          <label className="flex items-center gap-1.5 text-[12.5px] text-soft mt-1">
            <span className="whitespace-nowrap">in the look of</span>
            <select
              aria-label="In the look of"
              value={site}
              className="border border-line bg-sheet text-ink py-0.5 min-w-0 flex-1 rounded-[2px]"
              onChange={(e) => {
                set('site', e.target.value);
              }}
            >
              {sites.data.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </select>
          </label>
          <Variants
            view={view}
            replace={replace}
            onShow={(shown) => {
              set('variant', shown);
            }}
          />
        </>
      )}
      actions={(view, replace) => (
        <>
          <Uses piece={{ id: view.id, name: view.title }} site={site} />
          <Revisions piece={view.id} site={site} />
          <Release view={view} replace={replace} />
        </>
      )}
    />
  );
}

/** Opens beside the workbench where the piece is used. */
function Uses({ piece, site }: { piece: { id: string; name: string }; site: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        look="quiet"
        onClick={() => {
          setOpen(true);
        }}
      >
        Where used
      </Button>
      {open && (
        <WhereUsed
          piece={piece}
          site={site}
          onClose={() => {
            setOpen(false);
          }}
        />
      )}
    </>
  );
}

type Revision = Schemas['RevisionInfo'];

/** Releases one by one; the follow-ups between two of them are one line, that unfolds. */
function folded(revisions: readonly Revision[]): readonly (readonly Revision[])[] {
  const lines: Revision[][] = [];
  for (const revision of revisions) {
    const last = lines[lines.length - 1];
    if (revision.followUp && last?.[0]?.followUp) last.push(revision);
    else lines.push([revision]);
  }
  return lines;
}

/** Every revision of the piece, the newest first. */
function Revisions({ piece, site }: { piece: string; site: string }) {
  const [open, setOpen] = useState(false);
  const revisions = useQuery({
    queryKey: ['revisions', piece],
    queryFn: () =>
      answer(api.GET('/api/pieces/{id}/revisions', { params: { path: { id: piece } } })),
    enabled: open,
  });
  const pieces = useQuery({
    queryKey: ['pieces'],
    queryFn: () => answer(api.GET('/api/pieces')),
    enabled: open,
  });
  const nameOf = (id: string) => pieces.data?.find((p) => p.id === id)?.name ?? 'another piece';
  const told = (r: Revision) =>
    r.followUp ? `with ${nameOf(r.followedPiece)} ${r.followedRevision}` : r.note;
  const row = (r: Revision) => (
    <p className="grid grid-cols-[2.5rem_1fr_auto] gap-2 py-1">
      <span className="font-semibold tabular-nums">{r.number}</span>
      <span className={r.goneBackOn ? 'line-through text-soft' : ''}>{told(r)}</span>
      <span className="text-soft">
        {r.goneBackOn ? 'gone back on' : when(r.released)}
        {r.number > 1 && (
          <Link
            to={`/library/${piece}/compare?from=${r.number - 1}&to=${r.number}&site=${site}`}
            className="text-verdigris underline underline-offset-2 ml-2"
          >
            what changed
          </Link>
        )}
      </span>
    </p>
  );
  return (
    <>
      <Button
        look="quiet"
        onClick={() => {
          setOpen(true);
        }}
      >
        Revisions
      </Button>
      <Sheet
        open={open}
        onClose={() => {
          setOpen(false);
        }}
        title="Revisions"
      >
        {!revisions.data ? (
          <Loading what="the revisions" />
        ) : (
          <ol className="max-h-[60vh] overflow-y-auto">
            {folded(revisions.data).map((line) => (
              <li key={line[0]?.number} className="border-t border-line">
                {line.length === 1 && line[0] ? (
                  row(line[0])
                ) : (
                  <details>
                    <summary className="py-1 text-soft cursor-pointer">
                      {line[line.length - 1]?.number} to {line[0]?.number}: {line.length} follow-ups
                    </summary>
                    {line.map((r) => (
                      <div key={r.number}>{row(r)}</div>
                    ))}
                  </details>
                )}
              </li>
            ))}
          </ol>
        )}
      </Sheet>
    </>
  );
}

type ReleaseProps = { view: WorkbenchView; replace: (view: WorkbenchAnswer) => void };

function Release({ view, replace }: ReleaseProps) {
  const queries = useQueryClient();
  const [open, setOpen] = useState(false);
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState('');
  const piece = view.piece;
  if (!piece) return null;

  const release = async () => {
    try {
      const next = await answer(
        api.POST('/api/pieces/{id}/release', {
          params: { path: { id: view.id }, query: { site: view.siteId } },
          body: { version: view.version, note },
        }),
      );
      replace(next);
      setOpen(false);
      setNote('');
      setProblem('');
      await queries.invalidateQueries({
        predicate: (query) => query.queryKey[0] !== 'workbench' || query.queryKey[1] === 'page',
      });
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'The release failed; try again.');
    }
  };

  return (
    <>
      {!piece.draft && piece.behind.length > 0 && (
        <Link
          to={`/rollouts/${view.id}`}
          className="bg-verdigris text-white font-medium px-3 py-1.5 rounded-[3px] hover:bg-verdigris-deep"
        >
          Review the rollout
        </Link>
      )}
      {piece.draft && (
        <Button
          look="main"
          onClick={() => {
            setOpen(true);
          }}
        >
          Release revision {piece.current + 1}
        </Button>
      )}
      <Sheet
        open={open}
        onClose={() => {
          setOpen(false);
        }}
        title={`Release revision ${piece.current + 1} of ${view.title}`}
      >
        <label className="block">
          <span className="font-medium">What is new</span>
          <textarea
            autoFocus
            rows={3}
            value={note}
            onChange={(e) => {
              setNote(e.target.value);
            }}
            className="mt-1 w-full border border-line bg-sheet px-2 py-1.5"
          />
        </label>
        <p className="mt-2 text-soft">
          Every site goes on showing the revision that it has adopted. You review what would change
          before anything does.
        </p>
        {problem && (
          <p role="alert" className="mt-2 text-brick">
            {problem}
          </p>
        )}
        <div className="mt-5 flex justify-end gap-3">
          <Button
            onClick={() => {
              setOpen(false);
            }}
          >
            Go on drawing
          </Button>
          <Button look="main" onClick={() => void release()}>
            Release revision {piece.current + 1}
          </Button>
        </div>
      </Sheet>
    </>
  );
}
