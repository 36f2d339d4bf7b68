import { useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, leftOutWords, uploadPicture } from '../../api/client';
import { useBringIn } from '../../ui/useBringIn';
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

/** Brings pictures in for a client, or for all. */
export function useBringInPictures(site: string, onIn: (picture: Picture) => void) {
  const queries = useQueryClient();
  return useBringIn(
    async (file) => {
      const added = await uploadPicture(site, file);
      onIn(added.picture);
      return leftOutWords(added);
    },
    () => queries.invalidateQueries({ queryKey: ['pictures'] }),
  );
}
