import { useState } from 'react';
import { Problem } from '../api/client';

/** A file that is being brought in, and what came of it. */
export type Sending = {
  key: string;
  name: string;
  state: 'waits' | 'under way' | 'taken in' | 'refused';
  words: string;
};

/**
 * Brings files in one after the other; the others come in although one is refused.
 *
 * @param take takes one in; what it answers is said beside it
 * @param after what is done once all are through
 */
export function useBringIn(take: (file: File) => Promise<string>, after: () => Promise<void>) {
  const [sending, setSending] = useState<readonly Sending[]>([]);
  const put = (key: string, part: Partial<Sending>) => {
    setSending((all) => all.map((one) => (one.key === key ? { ...one, ...part } : one)));
  };
  const bringIn = async (files: readonly File[]) => {
    const fresh = files.map((file, i) => ({ file, key: `${String(Date.now())}-${String(i)}` }));
    setSending((all) => [
      ...all.filter(({ state }) => state === 'waits' || state === 'under way'),
      ...fresh.map(({ file, key }) => ({
        key,
        name: file.name,
        state: 'waits' as const,
        words: '',
      })),
    ]);
    for (const { file, key } of fresh) {
      put(key, { state: 'under way' });
      try {
        put(key, { state: 'taken in', words: await take(file) });
      } catch (error) {
        const words = error instanceof Problem ? error.message : 'It could not be sent; try again.';
        put(key, { state: 'refused', words });
      }
    }
    await after();
  };
  const clear = () => {
    setSending([]);
  };
  return { sending, bringIn, clear };
}
