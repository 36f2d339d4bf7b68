import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, Problem, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { count } from '../../ui/count';
import { Empty, Failed, Loading } from '../../ui/States';
import { RuleForm, type Rule } from './RuleForm';
import { useRegions } from './useSites';

type Coverage = Schemas['CoverageView'];

function useCoverage(siteId: string) {
  const queries = useQueryClient();
  const key = ['coverage', siteId];
  const path = { id: siteId };
  const kept = useQuery({
    queryKey: key,
    queryFn: () => answer(api.GET('/api/sites/{id}/coverage', { params: { path } })),
  });
  const [draft, setDraft] = useState<readonly Rule[]>();
  const tried = useQuery({
    queryKey: ['coverage-tried', siteId, draft],
    queryFn: () =>
      answer(
        api.POST('/api/sites/{id}/coverage/tried', {
          params: { path },
          body: { version: kept.data?.version ?? 0, rules: [...(draft ?? [])] },
        }),
      ),
    enabled: draft !== undefined,
    placeholderData: keepPreviousData,
  });
  const put = async (rules: readonly Rule[], version: number) => {
    const now = await answer(
      api.PUT('/api/sites/{id}/coverage', {
        params: { path },
        body: { version, rules: [...rules] },
      }),
    );
    queries.setQueryData(key, now);
    setDraft(undefined);
    await queries.invalidateQueries({ queryKey: ['frame'] });
    return now;
  };
  return { kept, tried, draft, setDraft, put };
}

/** Every page against header, bands, side column and footer, with the rules that say so beside it. */
export function CoverageTab({ siteId }: { siteId: string }) {
  const { kept, tried, draft, setDraft, put } = useCoverage(siteId);
  const regions = useRegions();
  const [open, setOpen] = useState<number>();
  const [problem, setProblem] = useState('');
  const [before, setBefore] = useState<readonly Rule[]>();
  if (kept.error) return <Failed error={kept.error} retry={() => void kept.refetch()} />;
  if (!kept.data) return <Loading what="what the pages share" />;
  const saved = kept.data.rules.map(({ rule }) => rule);
  const rules = draft ?? saved;
  const view = draft ? (tried.data ?? kept.data) : kept.data;
  const keep = async (next: readonly Rule[]) => {
    setProblem('');
    try {
      const now = await put(next, kept.data.version);
      setBefore(saved);
      setOpen(undefined);
      return now;
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'The rules were not kept; try again.');
      return undefined;
    }
  };
  const change = (at: number, rule: Rule) => {
    setDraft(rules.map((each, i) => (i === at ? rule : each)));
  };
  const given = new Set(rules.filter(({ scope }) => scope === 'site').map(({ region }) => region));
  const missing = ['header', 'footer'].find((region) => !given.has(region));
  const fresh: Rule = {
    id: '',
    region: missing ?? 'header',
    band: '',
    scope: missing ? 'site' : 'page',
    of: missing ? '' : (kept.data.pages[0]?.id ?? ''),
    except: [],
    part: '',
    piece: '',
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_380px] gap-8 min-h-0 pt-4">
      <section aria-label="What each page gets" className="min-h-0 overflow-auto pb-8">
        <h2 className="text-lg pb-2">What each page gets</h2>
        <Table siteId={siteId} view={view} trying={draft !== undefined} />
        <Parts siteId={siteId} view={kept.data} />
      </section>
      <section
        aria-label="Rules"
        className="min-h-0 overflow-y-auto pb-8 border-l border-line pl-6 pr-1"
      >
        <div className="flex items-baseline justify-between pb-2">
          <h2 className="text-lg">Rules</h2>
          <Button
            look="quiet"
            onClick={() => {
              setDraft([...rules, fresh]);
              setOpen(rules.length);
            }}
          >
            New rule
          </Button>
        </div>
        {rules.length === 0 && (
          <Empty>
            No page shares anything yet. Give the whole site a header and a footer first; or take a
            section of a page in hand and make it the header there.
          </Empty>
        )}
        <ul>
          {rules.map((rule, i) => {
            const told = view.rules[i];
            return (
              <li key={rule.id || `new ${i}`} className="border-t border-line py-2">
                <button
                  type="button"
                  aria-expanded={open === i}
                  className="w-full text-left hover:bg-sheet"
                  onClick={() => {
                    setOpen(open === i ? undefined : i);
                  }}
                >
                  <span className="font-medium">
                    {rule.band ||
                      (regions.data?.find(({ word }) => word === rule.region)?.title ?? '')}
                    :
                  </span>{' '}
                  <span>{told?.title || 'none'}</span>
                  <span className="block text-[13px] text-soft">
                    for {told?.words ?? 'the whole site'}
                    {rule.except.length > 0 &&
                      `, but ${count(rule.except.length, 'exception')}`} ·{' '}
                    {count(told?.pages ?? 0, 'page')}
                  </span>
                </button>
                {open === i && (
                  <RuleForm
                    rule={rule}
                    pages={view.pages}
                    parts={kept.data.parts}
                    siteId={siteId}
                    onChange={(next) => {
                      change(i, next);
                    }}
                    onDrop={() => {
                      setDraft(rules.filter((each) => each !== rule));
                      setOpen(undefined);
                    }}
                  />
                )}
              </li>
            );
          })}
        </ul>
        {draft && view.faults.length > 0 && (
          <ul className="mt-3 text-brick">
            {view.faults.map((fault) => (
              <li key={fault}>{fault}</li>
            ))}
          </ul>
        )}
        {problem && (
          <p role="alert" className="mt-3 text-brick">
            {problem}
          </p>
        )}
        {draft ? (
          <div className="mt-4 flex gap-3">
            <Button
              look="main"
              disabled={view.faults.length > 0 || tried.isFetching}
              onClick={() => void keep(draft)}
            >
              Keep these rules
            </Button>
            <Button
              onClick={() => {
                setDraft(undefined);
                setOpen(undefined);
                setProblem('');
              }}
            >
              Back to what is kept
            </Button>
          </div>
        ) : (
          before && (
            <p role="status" className="mt-4 flex items-baseline gap-3 text-soft">
              Kept.
              <Button
                look="quiet"
                onClick={() => {
                  void keep(before).then(() => {
                    setBefore(undefined);
                  });
                }}
              >
                Undo
              </Button>
            </p>
          )
        )}
      </section>
    </div>
  );
}

type TableProps = { siteId: string; view: Coverage; trying: boolean };

function Table({ siteId, view, trying }: TableProps) {
  if (view.spots.length === 0) {
    return <p className="text-soft">Nothing stands around the content of any page yet.</p>;
  }
  return (
    <table className="w-full border-collapse text-[13.5px]">
      {trying && (
        <caption className="caption-top text-left text-ochre pb-1.5">
          As it would be with the rules beside it; nothing is kept yet.
        </caption>
      )}
      <thead>
        <tr className="border-b border-ink text-left">
          <th className="font-medium py-1.5 pr-4">Page</th>
          {view.spots.map((spot) => (
            <th key={`${spot.region} ${spot.band}`} className="font-medium py-1.5 pr-4">
              {spot.title}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {view.pages.map((page) => (
          <tr key={page.id} className="border-b border-hair align-top">
            <th
              scope="row"
              className="text-left font-medium py-1.5 pr-4"
              style={{ paddingLeft: page.depth * 18 }}
            >
              <Link
                to={`/sites/${siteId}/pages/${page.id}`}
                className="hover:underline underline-offset-4"
              >
                {page.title}
              </Link>
            </th>
            {page.cells.map((cell, i) => (
              <td key={view.spots[i]?.title} className="py-1.5 pr-4">
                {cell.title ? <span>{cell.title}</span> : <span className="text-soft">none</span>}
                {(cell.rule !== '' || cell.lost.length === 0) && (
                  <span className="block text-[12.5px] text-soft">{cell.reason}</span>
                )}
                {cell.lost.map((lost) => (
                  <span key={lost.rule} className="block text-[12.5px] text-soft">
                    Not the one for {lost.words}: {lost.reason}
                  </span>
                ))}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The shared parts themselves, each of which is worked on once for all its pages. */
function Parts({ siteId, view }: { siteId: string; view: Coverage }) {
  if (view.parts.length === 0) return null;
  return (
    <>
      <h2 className="text-lg pt-7 pb-1">Shared parts</h2>
      <ul className="border-t border-line">
        {view.parts.map((part) => (
          <li
            key={part.id}
            className="flex items-baseline gap-4 border-b border-hair py-1.5 text-[13.5px]"
          >
            <span className="font-medium">{part.title}</span>
            <span className="text-soft">
              {part.pages === 0 ? 'on no page' : `on ${count(part.pages, 'page')}`}
            </span>
            <Link
              to={`/sites/${siteId}/pages/${part.id}?from=${encodeURIComponent(`/sites/${siteId}?tab=coverage`)}`}
              className="ml-auto text-verdigris hover:underline underline-offset-2"
            >
              {part.pages > 1 ? `Edit for all ${part.pages} pages` : 'Edit'}
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}
