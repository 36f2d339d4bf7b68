import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import type { Card } from './filter';

/** What can be done to pieces where they are listed. */
export type Deed =
  | { do: 'describe'; id: string; etag: string; said: Schemas['DescribeRequest'] }
  | { do: 'tag'; pieces: string[]; add: string[]; remove: string[] }
  | { do: 'retire' | 'bring-back'; pieces: string[] }
  | { do: 'release'; pieces: Schemas['DraftSeen'][]; note: string };

function ask(deed: Deed): Promise<Card[]> {
  switch (deed.do) {
    case 'describe':
      return answer(
        api.PUT('/api/pieces/{id}/description', {
          params: { path: { id: deed.id }, query: { etag: deed.etag } },
          body: deed.said,
        }),
      );
    case 'tag': {
      const { pieces, add, remove } = deed;
      return answer(api.POST('/api/pieces/tags', { body: { pieces, add, remove } }));
    }
    case 'retire':
      return answer(api.POST('/api/pieces/retired', { body: { pieces: deed.pieces } }));
    case 'bring-back':
      return answer(api.POST('/api/pieces/brought-back', { body: { pieces: deed.pieces } }));
    case 'release': {
      const { pieces, note } = deed;
      return answer(api.POST('/api/pieces/released', { body: { pieces, note } }));
    }
  }
}

const asked = queryOptions({
  queryKey: ['pieces'],
  queryFn: () => answer(api.GET('/api/pieces')),
});

/** The kinds and purposes that there are: the same as long as the application runs. */
const choices = queryOptions({
  queryKey: ['piece-choices'],
  queryFn: () => answer(api.GET('/api/pieces/choices')),
  staleTime: Infinity,
  gcTime: Infinity,
});

/** How long the list is kept while nobody looks at it, in ms. */
const KEPT = 3_600_000;

/** What comes first on a screen is asked for in the meantime, in ms. */
const AFTER = 300;

/** How long the list counts as new, in ms: long enough for what it is shown on to be drawn. */
const NEW = 1000;

/**
 * The list of pieces. What is known of it already is shown at once, and asked for again only when it
 * has been drawn, so that the server draws the pieces first; but at once after it was changed here.
 */
export function usePieceList({ enabled = true } = {}) {
  const queries = useQueryClient();
  useEffect(() => {
    if (!enabled) return;
    const timer = setTimeout(
      () => void queries.prefetchQuery({ ...asked, gcTime: KEPT, staleTime: NEW }),
      NEW,
    );
    return () => {
      clearTimeout(timer);
    };
  }, [queries, enabled]);
  return useQuery({ ...asked, enabled, refetchOnMount: (query) => query.state.isInvalidated });
}

/** Asks for the list of pieces after what is on the screen, so that the library opens at once. */
export function useLibraryAhead() {
  const queries = useQueryClient();
  useEffect(() => {
    const timer = setTimeout(() => {
      void queries.prefetchQuery({ ...asked, gcTime: KEPT, staleTime: KEPT });
      void queries.prefetchQuery(choices);
    }, AFTER);
    return () => {
      clearTimeout(timer);
    };
  }, [queries]);
}

/** The pieces as they are listed, and what can be done to them there. */
export function useLibrary() {
  const queries = useQueryClient();
  const pieces = usePieceList();
  const deeds = useMutation({
    mutationFn: ask,
    onSuccess: async (cards, deed) => {
      queries.setQueryData(asked.queryKey, cards);
      if (deed.do === 'release') await queries.invalidateQueries({ queryKey: ['rollouts'] });
    },
  });
  /** Begins a piece with nothing in it, as a draft; its id comes back. */
  const begin = async (said: Schemas['DescribeRequest']) => {
    const begun = await answer(api.POST('/api/pieces', { body: said }));
    await queries.invalidateQueries(asked);
    return begun.id;
  };
  return { pieces, carryOut: deeds.mutateAsync, begin, busy: deeds.isPending };
}

/** The kinds and purposes that there are. */
export function useChoices() {
  return useQuery(choices);
}
