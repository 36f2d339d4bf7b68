import { useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { answer, api, Problem } from '../../api/client';
import { Button } from '../../ui/Button';
import { Sheet } from '../../ui/Sheet';
import { Failed, Loading } from '../../ui/States';
import { pieceSource, type WorkbenchAnswer, type WorkbenchView } from '../../workbench/source';
import { Workbench } from '../../workbench/Workbench';
import { useSites } from '../sites/useSites';

/** A piece on the workbench, in any client's look. */
export function PieceScreen() {
  const { pieceId = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const sites = useSites();
  const site = search.get('site') ?? sites.data?.[0]?.id ?? '';
  const source = useMemo(() => pieceSource(pieceId, site), [pieceId, site]);
  if (sites.error) return <Failed error={sites.error} retry={() => void sites.refetch()} />;
  if (!sites.data || !site) return <Loading what="the piece" />;
  return (
    <Workbench
      key={`${pieceId} ${site}`}
      source={source}
      heading={(view) => (
        <>
          <h1 className="text-[16px]">{view.title}</h1>
          <label className="flex items-center gap-1.5 text-[12.5px] text-soft mt-1">
            <span className="whitespace-nowrap">in the look of</span>
            <select
              aria-label="In the look of"
              value={site}
              className="border border-line bg-sheet text-ink py-0.5 min-w-0 flex-1 rounded-[2px]"
              onChange={(e) => {
                const next = new URLSearchParams(search);
                next.set('site', e.target.value);
                setSearch(next, { replace: true });
              }}
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
      actions={(view, replace) => <Release view={view} replace={replace} />}
    />
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
