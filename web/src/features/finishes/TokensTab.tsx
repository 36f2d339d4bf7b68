import { useCallback, useMemo, useState } from 'react';
import { Problem } from '../../api/client';
import { useSite } from '../sites/useSites';
import { LookChoice } from './LookChoice';
import type { Parts } from './parts';
import { quickCss } from './quickCss';
import { SpecimenPane } from './SpecimenPane';
import { TokenDetail } from './TokenDetail';
import { TokenTable } from './TokenTable';
import type { Table } from './table';
import { useTry, type FinishesEdit } from './useFinishes';

type Props = Parts & {
  params: URLSearchParams;
  /** Fetches the table anew. */
  refresh: () => Promise<Table | undefined>;
};

/** What is typed into a cell, on which value; kept until it is saved or left. */
type Typed = { place: string; value: string; bySlider: boolean; on: string };

/** Tokens as rows, the house and the clients as columns, and a specimen that follows the hand. */
export function TokensTab({ table, look, edit, set, params, refresh }: Props) {
  const site = useSite(look);
  const wantedToken = params.get('token') ?? '';
  const token = table.tokens.find((t) => t.id === wantedToken || t.name === wantedToken);
  const column = params.get('column') ?? '';
  const page = params.get('page') ?? '';
  const pages = site.data?.pages ?? [];
  const stands = token && (column === '' ? token.house.value : (token.sites[column]?.value ?? ''));
  const place = `${token?.id ?? ''} ${column}`;
  const [typed, setTyped] = useState<Typed>();
  const here = typed?.place === place ? typed : undefined;
  const value = here?.value;
  const type = useCallback(
    (next: string | undefined, bySlider = false) => {
      setTyped((before) =>
        next === undefined
          ? undefined
          : {
              place,
              value: next,
              bySlider,
              on: before?.place === place ? before.on : (stands ?? ''),
            },
      );
    },
    [place, stands],
  );

  const candidate = useMemo<FinishesEdit | undefined>(
    () =>
      token && value !== undefined && value !== stands
        ? { type: 'VALUE', site: column, token: token.id, value }
        : undefined,
    [token, column, value, stands],
  );
  // With nothing tried on, what stands is looked at, for its colour and its pairs.
  const standing = useMemo<FinishesEdit | undefined>(
    () =>
      token && stands !== undefined && (stands !== '' || column !== '')
        ? { type: 'VALUE', site: column, token: token.id, value: stands }
        : undefined,
    [token, column, stands],
  );
  const tried = useTry(candidate ?? standing, look, page);
  const quick =
    token && candidate && tried?.token === token.id
      ? quickCss(token.type, tried.result.follows, value ?? '')
      : '';

  const commit = async (wanted: string) => {
    if (!token) return undefined;
    // A ruler gives coordinates; what is kept is the colour that they come to.
    const hex = here?.bySlider && tried?.of === wanted ? tried.result.colour?.hex : undefined;
    const next = hex ?? wanted;
    const leave = () => {
      setTyped((now) => (now?.place === place ? undefined : now));
    };
    if (next === stands) {
      leave();
      return undefined;
    }
    const problem = await edit({
      type: 'VALUE',
      site: column,
      token: token.id,
      value: next,
      expected: here?.on ?? stands ?? '',
    });
    if (!problem) leave();
    else if (problem.stale) {
      // What is typed stays; once the newer value is in sight, Enter may replace it.
      const newest = await refresh();
      const now = newest?.tokens.find((t) => t.id === token.id);
      const on = column === '' ? now?.house.value : now?.sites[column]?.value;
      setTyped({ place, value: next, bySlider: false, on: on ?? '' });
      return new Problem(
        problem.status,
        problem.title,
        `Somebody else, or another tab, made it ${on === '' ? 'as the house' : (on ?? 'something else')} meanwhile. Enter puts yours in its place, Esc leaves theirs.`,
      );
    }
    return problem;
  };

  const hand = {
    token,
    column,
    value: value ?? stands ?? '',
    typing: value !== undefined,
    type,
    commit,
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_420px] min-h-0">
      <TokenTable
        table={table}
        look={look}
        hand={hand}
        problem={candidate ? (tried?.result.problem ?? '') : ''}
        edit={edit}
        onTake={(id, site) => {
          set({
            token: id,
            column: site,
            ...(site !== '' && site !== look ? { look: site, page: '' } : {}),
          });
        }}
      />
      <aside
        aria-label="Detail and specimen"
        className="border-l border-line min-h-0 grid grid-rows-[auto_minmax(0,1fr)]"
      >
        {token && (
          <TokenDetail
            key={`${token.id} ${column}`}
            table={table}
            token={token}
            hand={hand}
            tried={tried?.result}
            candidate={candidate}
            standing={standing}
            edit={edit}
            set={set}
          />
        )}
        <section
          aria-label="Specimen"
          className="p-4 min-h-0 overflow-y-auto [scrollbar-width:thin] row-start-2"
        >
          <div className="flex items-center gap-3 mb-2">
            <LookChoice table={table} look={look} set={set} />
            <select
              aria-label="What is drawn"
              value={page}
              onChange={(e) => {
                set({ page: e.target.value });
              }}
              className="border border-line bg-sheet px-1.5 py-1 rounded-[2px] text-[13px] min-w-28 flex-1"
            >
              <option value="">specimen</option>
              {pages.map((p) => (
                <option key={p.id} value={p.id}>
                  {p.title}
                </option>
              ))}
            </select>
          </div>
          <SpecimenPane
            key={`${look} ${page}`}
            look={look}
            page={page}
            html={candidate ? tried?.result.html : undefined}
            quick={quick}
          />
        </section>
      </aside>
    </div>
  );
}
