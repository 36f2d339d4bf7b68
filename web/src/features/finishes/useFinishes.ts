import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { answer, api, Problem, type Schemas } from '../../api/client';
import { putTable, taken, tableQuery } from './table';

export type FinishesEdit = Schemas['AskedStep'];
export type Tried = Schemas['Tried'];
/** A change of the finishes, told which table is there already, and the version of the finishes. */
export type Change = (had: string, version: number) => Promise<Schemas['Table']>;

function problemOf(error: unknown): Problem {
  return error instanceof Problem ? error : new Problem(0, 'Not saved', String(error));
}

/** Everything that shows what the finishes make of something. */
const dependents = [
  'workbench',
  'piece-frame',
  'specimen',
  'contrast',
  'fonts',
  'finishes-plan',
  'finishes-uses',
  'finishes-drawn',
];

/** The table of the finishes, and the edits made in it, one after the other. */
export function useFinishes() {
  const queries = useQueryClient();
  const query = useQuery(tableQuery(queries));
  const line = useRef<Promise<unknown>>(Promise.resolve());
  const [saving, setSaving] = useState(false);

  const run = useCallback(
    (change: Change): Promise<Problem | undefined> => {
      const next = line.current.then(async () => {
        setSaving(true);
        try {
          putTable(queries, await taken(queries, change));
          for (const name of dependents) void queries.invalidateQueries({ queryKey: [name] });
          return undefined;
        } catch (error) {
          return problemOf(error);
        } finally {
          setSaving(false);
        }
      });
      line.current = next;
      return next;
    },
    [queries],
  );
  const edit = useCallback(
    (body: FinishesEdit) =>
      run((had) => answer(api.POST('/api/finishes/edits', { params: { query: { had } }, body }))),
    [run],
  );
  const undo = useCallback(
    () =>
      run((had, version) =>
        answer(api.POST('/api/finishes/undo', { params: { query: { had, version } } })),
      ),
    [run],
  );
  const redo = useCallback(
    () =>
      run((had, version) =>
        answer(api.POST('/api/finishes/redo', { params: { query: { had, version } } })),
      ),
    [run],
  );
  return { query, table: query.data, saving, run, edit, undo, redo };
}

/**
 * What an edit would look like. One request is under way at a time; when it is back, the newest
 * edit goes next, so that the drawing follows the pointer however fast that is.
 */
export function useTry(edit: FinishesEdit | undefined, look: string, page: string) {
  const [tried, setTried] = useState<{ token: string; of: string; result: Tried }>();
  const wanted = useRef<Schemas['TryRequest']>(undefined);
  const busy = useRef(false);
  const of = edit && JSON.stringify([edit, look, page]);

  useEffect(() => {
    if (!edit) {
      wanted.current = undefined;
      return;
    }
    wanted.current = { edit, look, page };
    if (busy.current) return;
    const next = async () => {
      busy.current = true;
      while (wanted.current) {
        const body: Schemas['TryRequest'] = wanted.current;
        wanted.current = undefined;
        try {
          const result = await answer(api.POST('/api/finishes/try', { body }));
          if (body.edit.type === 'VALUE') {
            setTried({ token: body.edit.token, of: body.edit.value, result });
          }
        } catch {
          // What cannot be tried is not drawn; saving it says why.
        }
      }
      busy.current = false;
    };
    void next();
    // The edit is compared by what it says.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [of]);

  return edit ? tried : undefined;
}

/** How far an edit would go, once the hand has come to rest. */
export function useReach(edit: FinishesEdit | undefined) {
  const [rested, setRested] = useState<FinishesEdit>();
  const said = edit && JSON.stringify(edit);
  useEffect(() => {
    const timer = setTimeout(() => {
      setRested(edit);
    }, 250);
    return () => {
      clearTimeout(timer);
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [said]);
  return useQuery({
    queryKey: ['finishes-reach', JSON.stringify(rested ?? null)],
    enabled: rested !== undefined && edit !== undefined,
    gcTime: 0,
    queryFn: () =>
      rested ? answer(api.POST('/api/finishes/reach', { body: rested })) : Promise.reject(),
    placeholderData: (before) => before,
  });
}
