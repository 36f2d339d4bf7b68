import { startTransition, useEffect, useState } from 'react';

/** How long the first few have for themselves, in ms. */
const ALONE = 250;

/**
 * The first few of a long list for its first drawing, which is seen at once, and all of it a moment
 * later: no answer that the first wait for, key or click waits for the rest.
 */
export function useFewFirst<T>(all: readonly T[], few: number): readonly T[] {
  const [every, setEvery] = useState(false);
  useEffect(() => {
    const later = setTimeout(() => {
      startTransition(() => {
        setEvery(true);
      });
    }, ALONE);
    return () => {
      clearTimeout(later);
    };
  }, []);
  return every ? all : all.slice(0, few);
}
