import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { answer, api, Problem, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { count } from '../../ui/count';
import { Empty, Failed, Loading } from '../../ui/States';
import { deviceOf, devices } from '../../workbench/engine/devices';
import { BeforeAfter } from './BeforeAfter';
import { Decision } from './Decision';
import { SiteDecision } from './SiteDecision';
import { openKeys, StatusGlyph, statusWords } from './status';
import { useAddress } from '../../ui/useAddress';

type Placement = Schemas['RolloutPlacement'];
type Plan = Schemas['Plan'];

/** The review of a rollout: places on one side, before and after in the middle, decisions on the other. */
export function ReviewScreen() {
  const { pieceId = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const along = search.getAll('along');
  const plan = useQuery({
    queryKey: ['plan', pieceId, along],
    queryFn: () =>
      answer(api.GET('/api/rollouts/plan', { params: { query: { piece: pieceId, along } } })),
    refetchOnMount: 'always',
    placeholderData: (before) => before,
  });
  if (plan.error) return <Failed error={plan.error} retry={() => void plan.refetch()} />;
  if (!plan.data) return <Loading what="the plan" />;
  if (plan.data.sites.length === 0) {
    return (
      <main className="p-8">
        <h1 className="text-2xl mb-4">{plan.data.name}</h1>
        <Empty>
          Every placement shows revision {plan.data.revision}. There is nothing to roll out.{' '}
          <Link className="text-verdigris underline" to="/rollouts">
            Back to Rollouts
          </Link>
        </Empty>
      </main>
    );
  }
  return (
    <Review
      plan={plan.data}
      along={along}
      onAlong={(one, on) => {
        const next = new URLSearchParams(search);
        next.delete('along');
        along.filter((each) => each !== one).forEach((each) => next.append('along', each));
        if (on) next.append('along', one);
        setSearch(next, { replace: true });
      }}
      replan={() => void plan.refetch()}
    />
  );
}

type ReviewProps = {
  plan: Plan;
  /** What is chosen to come along, each `site/piece`. */
  along: readonly string[];
  onAlong: (one: string, on: boolean) => void;
  replan: () => void;
};

function Review({ plan, along, onAlong, replan }: ReviewProps) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const { params, set } = useAddress();
  const device = deviceOf(params.get('at'));
  const all = useMemo(() => plan.sites.flatMap((s) => s.placements), [plan]);
  const first = all.find((p) => p.status === 'to_decide') ?? all[0];
  const inHand = all.find((p) => p.placementId === params.get('placement')) ?? first;
  const [decided, setDecided] = useState<Record<string, string>>({});
  const [left, setLeft] = useState<readonly string[]>([]);
  const [problem, setProblem] = useState<Problem>();
  const [busy, setBusy] = useState(false);

  const chosen = plan.sites.filter((site) => !left.includes(site.id));
  const site = plan.sites.find((s) => inHand !== undefined && s.placements.includes(inHand));
  const decisions = Object.entries(decided).map(([key, settle]) => ({ key, settle }));
  const accepted = along.map((one) => {
    const [siteId = '', id = ''] = one.split('/');
    return { siteId, pieceId: id };
  });
  const toDecide = all.filter((p) => p.status === 'to_decide').length;
  const held = all.filter((p) => p.status === 'held').length;
  const waiting = chosen
    .flatMap((s) => s.placements)
    .filter((p) => openKeys(p, decided).length > 0).length;

  const apply = async () => {
    setBusy(true);
    setProblem(undefined);
    try {
      await answer(
        api.POST('/api/rollouts', {
          body: {
            pieceId: plan.pieceId,
            revision: plan.revision,
            sites: chosen.map((s) => s.id),
            decisions,
            accepted,
            pages: all.map((p) => ({ pageId: p.pageId, version: p.pageVersion })),
            stamps: chosen.map((s) => ({ siteId: s.id, stamp: s.stamp })),
          },
        }),
      );
      queries.removeQueries({ queryKey: ['workbench'] });
      await queries.invalidateQueries();
      await navigate('/rollouts');
    } catch (error) {
      setProblem(error instanceof Problem ? error : new Problem(0, 'Not applied', String(error)));
      setBusy(false);
    }
  };

  return (
    <div className="grid grid-cols-[288px_minmax(0,1fr)_300px] grid-rows-[minmax(0,1fr)_auto] h-full">
      <nav aria-label="Placements" className="bg-board border-r border-line overflow-y-auto p-4">
        <h1 className="text-[17px]">
          {plan.name} → {plan.revision}
        </h1>
        <p className="text-soft mt-1">“{plan.note}”</p>
        <p className="mt-2 flex gap-3">
          <span className="font-semibold">{count(all.length, 'placement')}</span>
          {toDecide > 0 && <span className="font-semibold text-brick">{toDecide} to decide</span>}
          {held > 0 && <span className="text-slate">{held} held</span>}
        </p>
        {plan.sites.map((s) => (
          <section key={s.id} className="mt-5">
            <header className="flex items-baseline justify-between border-b border-ink pb-1">
              <h2 className="text-[15px]">{s.name}</h2>
              <span className="text-soft text-[12.5px]">
                {count(s.placements.length, 'placement')}
              </span>
            </header>
            <AlongList site={s} onAlong={onAlong} />
            <ul>
              {s.placements.map((p) => (
                <li key={`${p.pageId} ${p.placementId}`}>
                  <button
                    type="button"
                    aria-current={p === inHand}
                    onClick={() => {
                      set({ placement: p.placementId });
                    }}
                    className="w-full grid grid-cols-[18px_1fr_auto] gap-2 items-center text-left py-2 pl-1.5 pr-1 border-b border-line/70 border-l-[3px] border-l-transparent hover:bg-paper aria-[current=true]:bg-sheet aria-[current=true]:border-l-ink aria-[current=true]:font-semibold"
                  >
                    <StatusGlyph status={p.status} decided={openKeys(p, decided).length === 0} />
                    <span>
                      {p.pageTitle}
                      {p.pieceId !== plan.pieceId && (
                        <span className="block text-[12px] font-normal text-soft">
                          in {p.pieceName} {p.to}
                        </span>
                      )}
                    </span>
                    <span className="text-[12.5px] font-normal text-soft">
                      {statusWords(p, decided)}
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </nav>
      <section aria-label="Before and after" className="min-h-0 min-w-0 flex flex-col px-4">
        <header className="flex items-baseline gap-4 py-3">
          <h2 className="text-[16px] truncate">
            {inHand ? `${site?.name ?? ''}, ${inHand.pageTitle}` : 'Nothing comes yet'}
          </h2>
          <div role="group" aria-label="Width" className="ml-auto flex gap-3 text-[13px]">
            {devices.map((d) => (
              <button
                key={d.key}
                type="button"
                aria-pressed={d.key === device}
                onClick={() => {
                  set({ at: d.key });
                }}
                className="text-soft aria-pressed:text-ink aria-pressed:font-bold aria-pressed:underline underline-offset-4 hover:text-ink"
              >
                {d.title} {d.width}
              </button>
            ))}
          </div>
        </header>
        {inHand ? (
          <BeforeAfter
            plan={plan}
            placement={inHand}
            device={device}
            decisions={decisions}
            accepted={accepted}
          />
        ) : (
          <p className="text-soft">Choose what comes along at a site to see it here.</p>
        )}
      </section>
      <aside aria-label="Decisions" className="border-l border-line overflow-y-auto p-4">
        {site && site.questions.length > 0 && (
          <section aria-label={`For all of ${site.name}`} className="mb-4">
            <h2 className="text-[16px] mb-2">For all of {site.name}</h2>
            {site.questions.map((question) => (
              <SiteDecision
                key={question.key}
                question={question}
                siteName={site.name}
                settled={decided[question.key]}
                onSettle={(settle) => {
                  setDecided({ ...decided, [question.key]: settle });
                }}
              />
            ))}
          </section>
        )}
        {site && site.outOfSight.length > 0 && (
          <section aria-label={`Seen less at ${site.name}`} className="mb-4">
            <h2 className="text-[16px] mb-2">Filled for all of {site.name}, and seen less</h2>
            <p className="text-soft mb-1">
              The library takes their place away, hides it or fixes it. They are kept with the
              client.
            </p>
            <ul>
              {site.outOfSight.map((one) => (
                <li key={`${one.nodeTitle} ${one.label}`} className="border-t border-hair py-1">
                  <span className="[overflow-wrap:anywhere]">{one.value}</span>{' '}
                  <span className="text-soft">
                    {one.label.toLowerCase()} of “{one.nodeTitle}”, now on {one.pages.join(', ')}
                  </span>
                </li>
              ))}
            </ul>
          </section>
        )}
        {inHand && (
          <Decisions
            placement={inHand}
            siteName={site?.name ?? ''}
            decided={decided}
            onSettle={(key, settle) => {
              setDecided({ ...decided, [key]: settle });
            }}
          />
        )}
        <section aria-label="Before you apply" className="mt-6 border-t border-ink pt-3">
          <h3 className="text-[15px] mb-1">Before you apply</h3>
          {plan.sites.map((s) => (
            <label key={s.id} className="flex gap-2 items-start py-1 cursor-pointer">
              <input
                type="checkbox"
                className="accent-verdigris mt-1"
                checked={!left.includes(s.id)}
                onChange={(e) => {
                  setLeft(e.target.checked ? left.filter((id) => id !== s.id) : [...left, s.id]);
                }}
              />
              <span>
                {s.name}
                {left.includes(s.id)
                  ? ', later'
                  : `, ${count(new Set(s.placements.filter(changesPage).map((p) => p.pageId)).size, 'page changes', 'pages change')}`}
              </span>
            </label>
          ))}
        </section>
      </aside>
      <footer className="col-span-3 border-t border-ink flex items-center gap-4 px-4 h-12 text-[13px]">
        {problem ? (
          <span role="alert" className="text-brick flex items-center gap-3 min-w-0">
            <span className="truncate" title={problem.message}>
              {problem.message}
            </span>
            {problem.stale && (
              <Button
                onClick={() => {
                  setProblem(undefined);
                  replan();
                }}
              >
                Plan again
              </Button>
            )}
          </span>
        ) : (
          <span className="text-soft">
            Planned in {plan.millis} ms. Nothing is published by this. It can be taken back as a
            whole.
          </span>
        )}
        <span className="ml-auto flex items-center gap-4 whitespace-nowrap">
          {waiting > 0 && (
            <span className="text-brick">
              {count(waiting, 'placement waits', 'placements wait')} on{' '}
              {waiting === 1 ? 'its' : 'their'} revision until decided
            </span>
          )}
          <Button look="main" disabled={chosen.length === 0 || busy} onClick={() => void apply()}>
            {busy ? 'Applying…' : `Apply to ${count(chosen.length, 'site')}`}
          </Button>
        </span>
      </footer>
    </div>
  );
}

/** What is still to decide may be seen; what is looked at before is the page as it has it. */
function changesPage(placement: Placement): boolean {
  return placement.changes.length > 0 || placement.status === 'to_decide';
}

type AlongProps = {
  site: Plan['sites'][number];
  onAlong: (one: string, on: boolean) => void;
};

/** The pieces around it that follow at a site, and why; what brings more has to be chosen. */
function AlongList({ site, onAlong }: AlongProps) {
  return (
    <ul className="text-[12.5px] py-1">
      {site.along.map((one) => (
        <li key={one.pieceId} className="py-0.5">
          {one.offered ? (
            <label className="flex gap-2 items-start cursor-pointer">
              <input
                type="checkbox"
                className="accent-verdigris mt-0.5"
                checked={one.chosen}
                onChange={(e) => {
                  onAlong(`${site.id}/${one.pieceId}`, e.target.checked);
                }}
              />
              <span>
                <span className="font-medium">
                  {one.name} {one.from} → {one.to}
                </span>
                , which also brings {one.brings.join('; ')}
              </span>
            </label>
          ) : (
            <span className="text-soft">
              <span className="font-medium">
                {one.name} {one.from} → {one.to}
              </span>{' '}
              follows, as it contains it
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}

type DecisionsProps = {
  placement: Placement;
  siteName: string;
  decided: Record<string, string>;
  onSettle: (key: string, settle: string) => void;
};

const verdictWords: Record<string, string> = {
  stands: 'stands',
  absorbed: 'no longer needed: the library says the same',
  dormant: 'kept, in something removed here',
  gone: 'to decide',
  both: 'to decide',
  shape: 'to decide',
  written: 'written in: these words were fixed and are a slot now',
};

function Decisions({ placement, siteName, decided, onSettle }: DecisionsProps) {
  return (
    <>
      <h2 className="text-[16px] mb-2">
        {placement.questions.length > 0
          ? `${placement.questions.length} to decide`
          : placement.status === 'held'
            ? 'Held'
            : placement.siteQuestions.length > 0
              ? 'Nothing else to decide here'
              : 'Nothing to decide'}
      </h2>
      {placement.status === 'held' && (
        <p className="text-slate">
          This placement is held at revision {placement.from}. Let it follow on its page to carry
          the release to it.
        </p>
      )}
      {placement.questions.map((question) => (
        <Decision
          key={question.key}
          question={question}
          settled={decided[question.key]}
          pageName={siteName || 'page'}
          onSettle={(settle) => {
            onSettle(question.key, settle);
          }}
        />
      ))}
      {placement.fillings > 0 && (
        <p className="mt-2">
          {count(placement.fillings, 'slot')} filled here, none touched: words and pictures stay the
          page’s own.
        </p>
      )}
      {placement.verdicts.length > 0 && (
        <>
          <h3 className="text-[14px] mt-4">Local changes here</h3>
          <ul className="mt-1 text-[13px]">
            {placement.verdicts.map((v) => (
              <li
                key={`${v.node} ${v.label}`}
                className="border-l-[3px] border-ochre pl-2.5 py-0.5 my-1"
              >
                <span className="font-semibold">{v.label}</span> {v.value}
                <span className="text-soft">
                  {' '}
                  · {v.node}: {verdictWords[v.verdict] ?? v.verdict}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
      {placement.changes.length > 0 && (
        <>
          <h3 className="text-[14px] mt-4">
            {count(placement.changes.length, 'node changes', 'nodes change')}
          </h3>
          <ul className="mt-1 text-[13px]">
            {placement.changes.map((change) => (
              <li key={change.node}>
                <span className="font-semibold">{change.title}</span>{' '}
                <span className="text-soft">
                  {change.type === 'changed' ? change.what.join(', ').toLowerCase() : change.type}
                  {change.devices.length < 3 && ` on ${change.devices.join(' and ')}`}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}
