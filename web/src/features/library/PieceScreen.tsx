import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { answer, api, fetchText, Problem, type Schemas } from '../../api/client';
import sizes from '../../api/devices.json';
import { Button } from '../../ui/Button';
import { ButtonLink } from '../../ui/ButtonLink';
import { when } from '../../ui/count';
import { Sheet } from '../../ui/Sheet';
import { Failed, Loading } from '../../ui/States';
import { useSeen } from '../../ui/useSeen';
import { Whole } from '../../workbench/canvas/Whole';
import {
  pieceSource,
  type WorkbenchAnswer,
  type WorkbenchView,
} from '../../workbench/engine/source';
import { Workbench } from '../../workbench/shell/Workbench';
import { useSites } from '../sites/useSites';
import { AtEveryClient } from './AtEveryClient';
import { usePieceList } from './useLibrary';
import { Variants } from './Variants';
import { UsesButton } from '../uses/UsesButton';
import { useAddress } from '../../ui/useAddress';

/** A piece on the workbench, in any client's look. */
export function PieceScreen() {
  const { pieceId = '' } = useParams();
  const { params, set } = useAddress();
  const sites = useSites();
  const site = params.get('site') ?? sites.data?.[0]?.id ?? '';
  const variant = params.get('variant') ?? '';
  const words = params.get('words') ?? '';
  const source = useMemo(() => pieceSource(pieceId, site, variant), [pieceId, site, variant]);
  const sampled = useSampled(pieceId, site, variant, words);
  if (sites.error) return <Failed error={sites.error} retry={() => void sites.refetch()} />;
  if (!sites.data || !site) return <Loading what="the piece" />;
  return (
    <Workbench
      key={`${pieceId} ${site} ${variant}`}
      source={source}
      shownAs={sampled}
      onShownAsItIs={() => {
        set({ words: '' });
      }}
      heading={(view, replace) => (
        <>
          <h1 className="text-[16px]">{view.title}</h1>
          <label className="block text-[12.5px] text-soft mt-1">
            in the look of
            <select
              aria-label="In the look of"
              value={site}
              className="block border border-line bg-sheet text-ink py-0.5 w-full rounded-[2px]"
              onChange={(e) => {
                set({ site: e.target.value });
              }}
            >
              {sites.data.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </select>
          </label>
          <label className="flex items-center gap-1.5 text-[12.5px] text-soft mt-1">
            <span className="whitespace-nowrap">with</span>
            <select
              aria-label="With which words"
              value={words}
              className="border border-line bg-sheet text-ink py-0.5 min-w-0 flex-1 rounded-[2px]"
              onChange={(e) => {
                set({ words: e.target.value });
              }}
            >
              <option value="">its own words</option>
              <option value="short">short words</option>
              <option value="long">long words</option>
              <option value="none">no words, no pictures</option>
            </select>
          </label>
          <AtEveryClient piece={{ id: view.id, name: view.title }} version={view.version} />
          <Variants
            view={view}
            replace={replace}
            onShow={(shown) => {
              set({ variant: shown });
            }}
          />
        </>
      )}
      actions={(view, replace) => (
        <>
          <UsesButton of={{ kind: 'piece', id: view.id, name: view.title }} site={site} />
          <Revisions view={view} site={site} replace={replace} />
          <Release view={view} replace={replace} />
        </>
      )}
    />
  );
}

/** What the piece makes of short, long or no words; undefined for its own. */
function useSampled(id: string, site: string, variant: string, words: string) {
  const sampled = useQuery({
    queryKey: ['sampled', id, site, variant, words],
    queryFn: () =>
      answer(
        api.GET('/api/pieces/{id}/sampled', {
          params: { path: { id }, query: { site, variant, words } },
        }),
      ),
    enabled: words !== '' && site !== '',
    gcTime: 0,
  });
  return words === '' ? undefined : sampled.data;
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
function Revisions({ view, site, replace }: ReleaseProps & { site: string }) {
  const piece = view.id;
  const [open, setOpen] = useState(false);
  const [problem, setProblem] = useState('');
  /** Makes an earlier revision the draft; undo brings back what was drawn. */
  const restore = async (revision: number) => {
    try {
      const next = await answer(
        api.POST('/api/pieces/{id}/edits', {
          params: { path: { id: piece }, query: { site } },
          body: {
            version: view.version,
            stamp: view.stamp,
            edit: { type: 'RESTORE', revision },
          },
        }),
      );
      replace(next);
      setOpen(false);
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'It was not done; try again.');
    }
  };
  const revisions = useQuery({
    queryKey: ['revisions', piece],
    queryFn: () =>
      answer(api.GET('/api/pieces/{id}/revisions', { params: { path: { id: piece } } })),
    enabled: open,
  });
  const pieces = usePieceList({ enabled: open });
  const nameOf = (id: string) => pieces.data?.find((p) => p.id === id)?.name ?? 'another piece';
  const told = (r: Revision) =>
    r.followUp ? `with ${nameOf(r.followedPiece)} ${r.followedRevision}` : r.note;
  const row = (r: Revision) => (
    <div className="grid grid-cols-[176px_2rem_1fr_auto] gap-3 py-1.5">
      <RevisionDrawn piece={piece} revision={r.number} site={site} />
      <span className="font-semibold tabular-nums">{r.number}</span>
      <span className={r.goneBackOn ? 'line-through text-soft' : ''}>{told(r)}</span>
      <span className="text-soft">
        {r.goneBackOn ? 'gone back on' : when(r.released)}
        {r.number < (view.piece?.current ?? 0) && !view.piece?.variant && (
          <button
            type="button"
            className="text-verdigris underline underline-offset-2 ml-2"
            title="The draft becomes what this revision was; undo brings it back"
            onClick={() => void restore(r.number)}
          >
            make it the draft
          </button>
        )}
        {r.number > 1 && (
          <Link
            to={`/library/${piece}/compare?from=${r.number - 1}&to=${r.number}&site=${site}`}
            className="text-verdigris underline underline-offset-2 ml-2"
          >
            what changed
          </Link>
        )}
      </span>
    </div>
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
        title={`Revisions of ${view.title}`}
        wide
      >
        {problem && (
          <p role="alert" className="text-brick mb-2">
            {problem}
          </p>
        )}
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

type DrawnProps = { piece: string; revision: number; site: string };

/** The room for the drawing of a revision, in px. */
const DRAWN = { width: 176, height: 96 };

/** A revision as it looks at a client's; drawn when it is seen. */
function RevisionDrawn({ piece, revision, site }: DrawnProps) {
  const [place, seen] = useSeen<HTMLDivElement>();
  const html = useQuery({
    queryKey: ['revision-frame', piece, revision, site],
    queryFn: () => fetchText(`/api/pieces/${piece}/frame?site=${site}&revision=${revision}`),
    enabled: seen,
  });
  return (
    <div ref={place} className="grid bg-board" style={DRAWN}>
      <Whole html={html.data} title={`Revision ${revision}`} viewport={sizes.desktop} {...DRAWN} />
    </div>
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
        <ButtonLink to={`/rollouts/${view.id}`}>Review the rollout</ButtonLink>
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
