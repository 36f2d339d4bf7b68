import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, Problem, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { ButtonLink } from '../../ui/ButtonLink';
import { count, names, when } from '../../ui/count';
import { Sheet } from '../../ui/Sheet';
import { Empty, Failed, Loading, Mark } from '../../ui/States';
import { Decision } from './Decision';
import { useRollouts } from './useRollouts';

/** What is waiting, and what was done. */
export function RolloutsScreen() {
  const rollouts = useRollouts();
  if (rollouts.error)
    return <Failed error={rollouts.error} retry={() => void rollouts.refetch()} />;
  if (!rollouts.data) return <Loading what="the rollouts" />;
  const { inside, waiting, history } = rollouts.data;
  return (
    <main className="h-full overflow-y-auto px-8 py-6 max-w-5xl">
      <h1 className="text-2xl border-b border-ink pb-3">Rollouts</h1>
      {inside.length > 0 && (
        <section aria-label="Asked inside pieces" className="mt-6">
          <h2 className="text-lg">Asked inside pieces</h2>
          <p className="text-soft mb-2">
            Answered once, here in the library. Until then the piece inside stays as it is, and all
            else goes on.
          </p>
          <ul>
            {inside.map((one) => (
              <InsideRow key={`${one.pieceId} ${one.placementId}`} one={one} />
            ))}
          </ul>
        </section>
      )}
      <section aria-label="Waiting" className="mt-6">
        <h2 className="text-lg mb-2">Waiting</h2>
        {waiting.length === 0 && (
          <Empty>
            Every site shows the current revision of every piece. Release a piece to begin a
            rollout.
          </Empty>
        )}
        <ul>
          {waiting.map((item) => (
            <li
              key={item.pieceId}
              className="grid grid-cols-[minmax(0,1fr)_auto] gap-4 items-center border-t border-line py-3"
            >
              <div>
                <p>
                  <strong className="font-semibold">
                    {item.name}, revision {item.revision}
                  </strong>{' '}
                  <span className="text-soft">“{item.note}”</span>
                </p>
                <p>
                  {count(item.placements, 'placement')} at {names(item.sites)}{' '}
                  {item.toDecide > 0 && <Mark tone="conflict">{item.toDecide} to decide</Mark>}
                </p>
              </div>
              <ButtonLink to={`/rollouts/${item.pieceId}`}>Review</ButtonLink>
            </li>
          ))}
        </ul>
      </section>
      <section aria-label="History" className="mt-10">
        <h2 className="text-lg mb-2">History</h2>
        {history.length === 0 && <p className="text-soft">Nothing has been rolled out yet.</p>}
        <ul>
          {history.map((done) => (
            <DoneRow key={done.id} done={done} />
          ))}
        </ul>
      </section>
    </main>
  );
}

/** What stands in a piece and changed there as well as in its own piece. */
function InsideRow({ one }: { one: Schemas['Inside'] }) {
  const queries = useQueryClient();
  const [decided, setDecided] = useState<Record<string, string>>({});
  const [problem, setProblem] = useState('');
  const answerAll = async () => {
    try {
      await answer(
        api.POST('/api/rollouts/answers', {
          body: {
            pieceId: one.pieceId,
            etag: one.etag,
            decisions: Object.entries(decided).map(([key, settle]) => ({ key, settle })),
          },
        }),
      );
      await queries.invalidateQueries();
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'It could not be kept; try again.');
    }
  };
  return (
    <li className="border-t border-line py-3 max-w-2xl">
      <p className="mb-2">
        <strong className="font-semibold">{one.placedName}</strong> {one.from} → {one.to}, in{' '}
        <Link
          to={`/library/${one.pieceId}`}
          className="font-semibold underline underline-offset-2 decoration-line hover:decoration-ink"
        >
          {one.name}
        </Link>
      </p>
      {one.questions.map((question) => (
        <Decision
          key={question.key}
          question={question}
          settled={decided[question.key]}
          pageName={one.name}
          onSettle={(settle) => {
            setDecided({ ...decided, [question.key]: settle });
          }}
        />
      ))}
      {problem && (
        <p role="alert" className="text-brick mb-2">
          {problem}
        </p>
      )}
      <Button
        look="main"
        disabled={one.questions.some((q) => !decided[q.key])}
        onClick={() => void answerAll()}
      >
        Let {one.name} follow
      </Button>
    </li>
  );
}

function DoneRow({ done }: { done: Schemas['Done'] }) {
  const queries = useQueryClient();
  const [plan, setPlan] = useState<Schemas['TakeBackPlan']>();
  const [decided, setDecided] = useState<Record<string, string>>({});
  const [problem, setProblem] = useState('');
  const path = { id: done.id };

  const listed = (decisions: Record<string, string>) =>
    Object.entries(decisions).map(([key, settle]) => ({ key, settle }));
  const takeBack = async (decisions: Record<string, string>, etag: string) => {
    try {
      const body = { etag, decisions: listed(decisions) };
      await answer(api.POST('/api/rollouts/{id}/take-back', { params: { path }, body }));
      setPlan(undefined);
      queries.removeQueries({ queryKey: ['workbench'] });
      await queries.invalidateQueries();
    } catch (error) {
      setProblem(
        error instanceof Problem ? error.message : 'It could not be taken back; try again.',
      );
    }
  };
  const goBack = async () => {
    try {
      await answer(
        api.POST('/api/rollouts/go-back', {
          body: { pieceId: done.pieceId, version: done.pieceVersion, revision: done.backTo },
        }),
      );
      await queries.invalidateQueries();
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'It could not be done; try again.');
    }
  };
  /** What there is to decide depends on what is decided already. */
  const planFor = async (decisions: Record<string, string>) => {
    setProblem('');
    setDecided(decisions);
    try {
      const next = await answer(
        api.POST('/api/rollouts/{id}/take-back/plan', {
          params: { path },
          body: { decisions: listed(decisions) },
        }),
      );
      if (next.questions.length === 0 && next.together.length === 0) await takeBack({}, next.etag);
      else setPlan(next);
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'It could not be planned; try again.');
    }
  };

  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto] gap-4 items-center border-t border-line py-2.5">
      <div className={done.takenBack ? 'text-soft' : ''}>
        <p>
          <strong className="font-semibold">
            {done.replacedBy === ''
              ? `${done.name}, revision ${String(done.revision)}`
              : `${done.replacedBy} in the place of ${done.name}`}
          </strong>{' '}
          {done.sites.length > 0 && (
            <>
              {done.replacedBy === '' ? 'to' : 'at'} {names(done.sites)}
            </>
          )}
          {done.along.length > 0 && <span className="text-soft">, with {names(done.along)}</span>}
        </p>
        <p className="text-soft">
          applied {when(done.applied)} by {done.by}
          {done.takenBack && <> · taken back {when(done.takenBack)}</>}
        </p>
        {problem && !plan && (
          <p role="alert" className="text-brick">
            {problem}
          </p>
        )}
      </div>
      {!done.takenBack && <Button onClick={() => void planFor({})}>Take back</Button>}
      {done.backTo > 0 && (
        <Button
          title="The piece gets a new revision with the earlier drawing; no site shows anything new"
          onClick={() => void goBack()}
        >
          Go back to revision {done.backTo} in the library
        </Button>
      )}
      {plan && (
        <Sheet
          open
          onClose={() => {
            setPlan(undefined);
          }}
          title={
            done.replacedBy === ''
              ? `Take back revision ${String(done.revision)} of ${done.name}`
              : `Put ${done.name} back in the place of ${done.replacedBy}`
          }
        >
          {plan.together.length > 0 && (
            <p className="mb-3">
              These went on from it and go back with it:{' '}
              {names(plan.together.map((d) => `revision ${d.revision}`))}.
            </p>
          )}
          {plan.questions.length > 0 && (
            <p className="mb-2">
              {count(plan.questions.length, 'edit')} made since then{' '}
              {plan.questions.length === 1 ? 'needs' : 'need'} a decision:
            </p>
          )}
          {plan.questions.map((question) => (
            <Decision
              key={question.key}
              question={question}
              settled={decided[question.key]}
              pageName="page"
              takingBack
              onSettle={(settle) => {
                void planFor({ ...decided, [question.key]: settle });
              }}
            />
          ))}
          {problem && (
            <p role="alert" className="text-brick mt-2">
              {problem}
            </p>
          )}
          <div className="mt-5 flex justify-end gap-3">
            <Button
              onClick={() => {
                setPlan(undefined);
              }}
            >
              Leave it applied
            </Button>
            <Button
              look="main"
              disabled={plan.questions.some((q) => !decided[q.key])}
              onClick={() => void takeBack(decided, plan.etag)}
            >
              Take back
            </Button>
          </div>
        </Sheet>
      )}
    </li>
  );
}
