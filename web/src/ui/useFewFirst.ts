import { useDeferredValue } from 'react';

/**
 * The first few of a long list for its first drawing, which is seen at once, and all of it from
 * then on: the rest is drawn where no key or click waits for it.
 */
export function useFewFirst<T>(all: readonly T[], few: number): readonly T[] {
  return useDeferredValue(all, all.slice(0, few));
}
