import { useCallback } from 'react';
import { useSearchParams } from 'react-router';

/** What a screen keeps in the address, so that it leads back to the same place. */
export function useAddress() {
  const [params, setParams] = useSearchParams();
  /** Keeps words by their names; "" takes one out. Several calls before it is drawn add up. */
  const set = useCallback(
    (entries: Readonly<Record<string, string>>) => {
      const next = new URLSearchParams(window.location.search);
      for (const [name, value] of Object.entries(entries)) {
        if (value === '') next.delete(name);
        else next.set(name, value);
      }
      setParams(next, { replace: true });
    },
    [setParams],
  );
  return { params, set };
}
