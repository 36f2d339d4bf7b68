import { useCallback, useEffect, useRef } from 'react';

/**
 * Writes one after the other, each on what the one before has left, so that two quick changes of one
 * thing do not meet.
 *
 * @param etag of the thing as it is shown
 */
export function useInTurn(etag: string) {
  const line = useRef<Promise<unknown>>(Promise.resolve());
  const seen = useRef(etag);
  useEffect(() => {
    seen.current = etag;
  }, [etag]);
  return useCallback(
    <T extends { etag: string }>(write: (etag: string) => Promise<T>): Promise<T> => {
      const next = line.current.then(async () => {
        const after = await write(seen.current);
        seen.current = after.etag;
        return after;
      });
      line.current = next.catch(() => undefined);
      return next;
    },
    [],
  );
}
