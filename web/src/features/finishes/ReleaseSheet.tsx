import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Problem } from '../../api/client';
import { Button } from '../../ui/Button';
import { count, when } from '../../ui/count';
import { Sheet } from '../../ui/Sheet';
import { Failed, Mark } from '../../ui/States';
import { inputClass } from '../../ui/inputClass';
import { ReachLine } from './ReachLine';
import type { Table } from './table';
import type { Change } from './useFinishes';

type Props = {
  table: Table;
  run: (change: Change) => Promise<Problem | undefined>;
  onClose: () => void;
};

/** What is new in the draft or the newest revision, client by client, and who shall show it. */
export function ReleaseSheet({ table, run, onClose }: Props) {
  const plan = useQuery({
    queryKey: ['finishes-plan', table.stamp],
    queryFn: () => answer(api.GET('/api/finishes/plan')),
    placeholderData: (before) => before,
  });
  const next = table.draft ? table.revision + 1 : table.revision;
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState('');
  const open = plan.data?.filter((site) => table.draft || site.from < table.revision) ?? [];
  const chosen = open.filter((site) => !left.has(site.id)).map((site) => site.id);

  const finish = async (failed: Problem | undefined) => {
    await Promise.resolve();
    if (failed) setProblem(failed.message);
    else onClose();
  };
  const release = async () =>
    finish(
      await run((had, version) =>
        answer(
          api.POST('/api/finishes/release', {
            params: { query: { had, version } },
            body: { note, sites: chosen },
          }),
        ),
      ),
    );
  const adopt = async () => {
    let failed: Problem | undefined;
    for (const site of chosen) {
      failed ??= await run((had, version) =>
        answer(
          api.POST('/api/finishes/adopt', {
            params: { query: { had, version } },
            body: { site, revision: table.revision },
          }),
        ),
      );
    }
    await finish(failed);
  };

  return (
    <Sheet
      open
      wide
      onClose={onClose}
      title={
        table.draft
          ? `Release revision ${next} of the house’s finishes`
          : open.length > 0
            ? `Bring sites to revision ${next}`
            : 'Revisions of the house’s finishes'
      }
    >
      {table.draft && (
        <label className="block mb-4">
          <span className="font-medium">What is new</span>
          <input
            className={`${inputClass} mt-1`}
            value={note}
            onChange={(e) => {
              setNote(e.target.value);
            }}
          />
        </label>
      )}
      {plan.error && <Failed error={plan.error} />}
      {!plan.data && <p className="text-soft">Working out what would change…</p>}
      {open.length > 0 && (
        <ul className="border-t border-line max-h-[46vh] overflow-y-auto">
          {open.map((site) => (
            <li
              key={site.id}
              className="grid grid-cols-[220px_minmax(0,1fr)] gap-4 border-b border-hair py-2"
            >
              <label className="flex items-start gap-2 font-medium">
                <input
                  type="checkbox"
                  className="accent-verdigris mt-1"
                  checked={!left.has(site.id)}
                  onChange={(e) => {
                    const set = new Set(left);
                    if (e.target.checked) set.delete(site.id);
                    else set.add(site.id);
                    setLeft(set);
                  }}
                />
                <span>
                  {site.name}
                  <span className="block font-normal text-soft">shows revision {site.from}</span>
                </span>
              </label>
              <div className="text-[13px]">
                <ReachLine reach={site.reach} />
              </div>
            </li>
          ))}
        </ul>
      )}
      {problem && (
        <p role="alert" className="text-brick mt-3">
          {problem}
        </p>
      )}
      {!table.draft && plan.data && open.length === 0 && (
        <p className="text-soft">Every site shows revision {table.revision}.</p>
      )}
      {(table.draft || open.length > 0) && (
        <div className="mt-5 flex items-center justify-end gap-3">
          <span className="mr-auto text-soft">
            Sites that are left out go on as they are. Nothing is published by this.
          </span>
          <Button onClick={onClose}>Not now</Button>
          <Button
            look="main"
            disabled={table.draft ? note.trim() === '' : chosen.length === 0}
            onClick={() => void (table.draft ? release() : adopt())}
          >
            {table.draft
              ? `Release, and show at ${count(chosen.length, 'site')}`
              : `Show at ${count(chosen.length, 'site')}`}
          </Button>
        </div>
      )}
      <History table={table} run={run} />
      {!table.draft && open.length === 0 && (
        <div className="mt-5 flex justify-end">
          <Button onClick={onClose}>Close</Button>
        </div>
      )}
    </Sheet>
  );
}

function History({ table, run }: Pick<Props, 'table' | 'run'>) {
  const [site, setSite] = useState(table.sites[0]?.id ?? '');
  const [problem, setProblem] = useState('');
  const shown = table.sites.find((s) => s.id === site)?.revision;
  const show = async (revision: number) => {
    const failed = await run((had, version) =>
      answer(
        api.POST('/api/finishes/adopt', {
          params: { query: { had, version } },
          body: { site, revision },
        }),
      ),
    );
    setProblem(failed?.message ?? '');
  };
  return (
    <section aria-label="Revisions" className="mt-6 text-[13px]">
      <h3 className="text-[15px] border-b border-line pb-1 flex items-center gap-3">
        Revisions
        <select
          aria-label="At which site"
          value={site}
          className="border border-line bg-sheet px-1.5 py-0.5 rounded-[2px] font-sans font-normal text-[13px]"
          onChange={(e) => {
            setSite(e.target.value);
          }}
        >
          {table.sites.map((s) => (
            <option key={s.id} value={s.id}>
              at {s.name}
            </option>
          ))}
        </select>
      </h3>
      <ul>
        {table.revisions.map((revision) => (
          <li key={revision.number} className="flex items-center gap-3 border-b border-hair py-1.5">
            <strong className="font-semibold">{revision.number}</strong>
            <span>{revision.note}</span>
            <span className="text-soft">{when(revision.released)}</span>
            <span className="ml-auto">
              {revision.number === shown ? (
                <Mark tone="library">shown there</Mark>
              ) : (
                <Button look="quiet" onClick={() => void show(revision.number)}>
                  Show revision {revision.number} there
                </Button>
              )}
            </span>
          </li>
        ))}
      </ul>
      {problem && (
        <p role="alert" className="text-brick mt-1">
          {problem}
        </p>
      )}
    </section>
  );
}
