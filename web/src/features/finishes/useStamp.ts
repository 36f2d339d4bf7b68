import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { answer, api } from '../../api/client';
import { tableNow } from './table';

const everyMs = 2500;

/** Learns of changes of the finishes made in another tab or by somebody else, and draws anew. */
export function useStamp() {
  const queries = useQueryClient();
  const { data } = useQuery({
    queryKey: ['finishes-stamp'],
    queryFn: () => answer(api.GET('/api/finishes/stamp')),
    refetchInterval: everyMs,
    refetchOnWindowFocus: true,
  });
  const known = useRef<number>(undefined);
  useEffect(() => {
    if (!data) return;
    const seen = tableNow(queries)?.stamp ?? known.current;
    if (known.current !== undefined && known.current !== data.stamp && seen !== data.stamp) {
      for (const name of [
        'finishes',
        'workbench',
        'piece-frame',
        'specimen',
        'contrast',
        'fonts',
      ]) {
        void queries.invalidateQueries({ queryKey: [name] });
      }
    }
    known.current = data.stamp;
  }, [data, queries]);
}
