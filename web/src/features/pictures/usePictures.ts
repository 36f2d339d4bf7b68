import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, leftOutWords, Problem, uploadPicture } from '../../api/client';
import type { Picture } from './narrow';

/**
 * Where a picture's file is had; it is another address for another file.
 *
 * @param width in px of a narrower one, where there is one
 */
export function fileOf({ id, version }: Pick<Picture, 'id' | 'version'>, width = 0): string {
  const narrower = width > 0 ? `&width=${String(width)}` : '';
  return `/api/pictures/${id}/file?v=${String(version)}${narrower}`;
}

/** The kinds of files that are taken in. */
export const accepted = 'image/png,image/jpeg,image/svg+xml';

/** All pictures, the house's and every client's. */
export function usePictures() {
  return useQuery({ queryKey: ['pictures'], queryFn: () => answer(api.GET('/api/pictures')) });
}

/** What pages of a client may have: its own pictures and the house's. */
export function usePicturesAtHand(site: string) {
  return useQuery({
    queryKey: ['pictures', 'at-hand', site],
    queryFn: () => answer(api.GET('/api/pictures/at-hand', { params: { query: { site } } })),
  });
}

/** A file that is being brought in, and what came of it. */
export type Sending = {
  key: string;
  name: string;
  state: 'waits' | 'under way' | 'taken in' | 'refused';
  words: string;
};

/** Brings files in one after the other; the others come in although one is refused. */
export function useBringIn(site: string, onIn: (picture: Picture) => void) {
  const queries = useQueryClient();
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
        const added = await uploadPicture(site, file);
        put(key, { state: 'taken in', words: leftOutWords(added) });
        onIn(added.picture);
      } catch (error) {
        const words = error instanceof Problem ? error.message : 'It could not be sent; try again.';
        put(key, { state: 'refused', words });
      }
    }
    await queries.invalidateQueries({ queryKey: ['pictures'] });
  };
  const clear = () => {
    setSending([]);
  };
  return { sending, bringIn, clear };
}
