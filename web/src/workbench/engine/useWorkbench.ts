import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Problem } from '../../api/client';
import { askBeforeLeaving } from '../../ui/askBeforeLeaving';
import {
  merged,
  type AskedEdit,
  type Source,
  type WorkbenchAnswer,
  type WorkbenchView,
} from './source';

/** What can be asked for again with an answer to what stood in its way. */
export type Again = { edit: AskedEdit; every: boolean } | { turn: 'undo' | 'redo' };

export type Saving =
  { state: 'saved' } | { state: 'saving' } | { state: 'failed'; problem: Problem; again: Again };

function asProblem(error: unknown): Problem {
  return error instanceof Problem ? error : new Problem(0, 'Not saved', String(error));
}

/**
 * A document on the workbench: its newest state, and edits made one after the other, each on the
 * version that the one before gave.
 */
export function useWorkbench(source: Source) {
  const queries = useQueryClient();
  const query = useQuery({
    queryKey: source.key,
    queryFn: async () => merged(undefined, await source.load()),
    staleTime: Infinity,
    structuralSharing: false,
  });
  const [saving, setSaving] = useState<Saving>({ state: 'saved' });
  const [meanwhile, setMeanwhile] = useState<readonly string[]>([]);
  const [settled, setSettled] = useState(0);
  const line = useRef<Promise<unknown>>(Promise.resolve());
  const waiting = useRef(0);
  const holding = useRef(0);

  const put = useCallback(
    (now: WorkbenchAnswer) => {
      const before = queries.getQueryData<WorkbenchView>(source.key);
      const view = merged(before, now);
      queries.setQueryData(source.key, view);
      return view;
    },
    [queries, source],
  );

  // What is known from an earlier visit is shown at once; edits wait until it is as it is now.
  const at = JSON.stringify(source.key);
  useEffect(() => {
    const queryKey = JSON.parse(at) as string[];
    if (queries.getQueryData(queryKey) === undefined) return;
    line.current = line.current.then(() => queries.refetchQueries({ queryKey, exact: true }));
  }, [queries, at]);

  const run = useCallback(
    (
      change: (now: WorkbenchView) => Promise<WorkbenchAnswer>,
      again: Again,
    ): Promise<Problem | undefined> => {
      waiting.current += 1;
      setSaving({ state: 'saving' });
      const next = line.current.then(async () => {
        const now = queries.getQueryData<WorkbenchView>(source.key);
        const answer = now && (await change(now).catch(asProblem));
        waiting.current -= 1;
        if (answer instanceof Problem) {
          setSaving({ state: 'failed', problem: answer, again });
          return answer;
        }
        if (answer) setMeanwhile(put(answer).merged);
        if (waiting.current === 0) setSaving({ state: 'saved' });
        return undefined;
      });
      line.current = next;
      return next;
    },
    [queries, source, put],
  );

  const edit = useCallback(
    (asked: AskedEdit, { over = false, own = false, every = false } = {}) =>
      run(
        ({ version, stamp, drawing }) =>
          source.edit({ version, stamp, drawing, over, own, every, edit: asked }),
        { edit: asked, every },
      ),
    [run, source],
  );
  const turn = useCallback(
    (way: 'undo' | 'redo', own?: boolean) =>
      run(
        ({ version, drawing }) =>
          source[way]({ version, drawing, ...(own === undefined ? {} : { own }) }),
        { turn: way },
      ),
    [run, source],
  );
  const undo = useCallback(() => turn('undo'), [turn]);
  const redo = useCallback(() => turn('redo'), [turn]);
  /** Takes what others saved; what was not kept is let go. */
  const reload = useCallback(async () => {
    await query.refetch();
    setSaving({ state: 'saved' });
    setSettled((times) => times + 1);
  }, [query]);
  /** Asks again, over what others or the library changed in the same place. */
  const asksFirst = saving.state === 'failed' && saving.problem.asksFirst;
  const keep = useCallback(
    async (again: Again) => {
      const problem = await ('turn' in again
        ? turn(again.turn, true)
        : edit(again.edit, { over: !asksFirst, own: asksFirst, every: again.every }));
      if (!problem) setSettled((times) => times + 1);
    },
    [edit, turn, asksFirst],
  );
  /** Lets go of what was asked for. */
  const letGo = useCallback(
    async (again: Again) => {
      if ('turn' in again) await turn(again.turn, false);
      else setSaving({ state: 'saved' });
    },
    [turn],
  );
  /** Holds back what others save until it is let go. */
  const hold = useCallback(() => {
    holding.current += 1;
    void queries.cancelQueries({ queryKey: source.key, exact: true });
    return () => {
      holding.current -= 1;
    };
  }, [queries, source]);
  /** What others saved is fetched when nothing of one's own is on its way or being typed. */
  const catchUp = useCallback(
    async (version: number, stamp: number) => {
      const now = queries.getQueryData<WorkbenchView>(source.key);
      const busy = waiting.current > 0 || holding.current > 0;
      if (now && (version > now.version || stamp > now.stamp) && !busy) await query.refetch();
    },
    [queries, source, query],
  );
  const replace = useCallback(
    (view: WorkbenchAnswer) => {
      put(view);
    },
    [put],
  );
  /** What the last edit put down, and what could not come along with it. */
  const made = useCallback(() => {
    const { made = [], unfit = [] } = queries.getQueryData<WorkbenchView>(source.key) ?? {};
    return { made, unfit };
  }, [queries, source]);
  useEffect(() => askBeforeLeaving(() => waiting.current > 0), []);
  /** Whether everything that was asked for has been answered. */
  const idle = useCallback(() => waiting.current === 0, []);
  const dismiss = useCallback(() => {
    setMeanwhile([]);
  }, []);
  const typing = useMemo(() => ({ settled, hold }), [settled, hold]);

  return {
    query,
    view: query.data,
    saving,
    meanwhile,
    dismiss,
    edit,
    undo,
    redo,
    typing,
    reload,
    keep,
    letGo,
    catchUp,
    replace,
    made,
    idle,
  };
}
