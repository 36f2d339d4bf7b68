import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useRef, useState } from 'react';
import { Problem } from '../api/client';
import type { EditBody, Source, WorkbenchView } from './source';

export type Saving =
  { state: 'saved' } | { state: 'saving' } | { state: 'failed'; problem: Problem };

function asProblem(error: unknown): Problem {
  return error instanceof Problem ? error : new Problem(0, 'Not saved', String(error));
}

/**
 * A document on the workbench: its newest state, and edits made one after the other, each on the
 * version that the one before gave.
 */
export function useWorkbench(source: Source) {
  const queries = useQueryClient();
  const query = useQuery({ queryKey: source.key, queryFn: source.load, staleTime: Infinity });
  const [saving, setSaving] = useState<Saving>({ state: 'saved' });
  const line = useRef<Promise<unknown>>(Promise.resolve());

  const run = useCallback(
    (change: (version: number) => Promise<WorkbenchView>): Promise<Problem | undefined> => {
      const next = line.current.then(async () => {
        const now = queries.getQueryData<WorkbenchView>(source.key);
        if (!now) return undefined;
        setSaving({ state: 'saving' });
        try {
          queries.setQueryData(source.key, await change(now.version));
          setSaving({ state: 'saved' });
          return undefined;
        } catch (error) {
          const problem = asProblem(error);
          setSaving({ state: 'failed', problem });
          return problem;
        }
      });
      line.current = next;
      return next;
    },
    [queries, source],
  );

  const edit = useCallback(
    (body: EditBody) => run((version) => source.edit({ ...body, version })),
    [run, source],
  );
  const undo = useCallback(() => run(source.undo), [run, source]);
  const redo = useCallback(() => run(source.redo), [run, source]);
  const reload = useCallback(async () => {
    await query.refetch();
    setSaving({ state: 'saved' });
  }, [query]);
  const replace = useCallback(
    (view: WorkbenchView) => {
      queries.setQueryData(source.key, view);
    },
    [queries, source],
  );

  return { query, view: query.data, saving, edit, undo, redo, reload, replace };
}
