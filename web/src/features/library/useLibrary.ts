import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import type { Card } from './filter';

/** What can be done to pieces where they are listed. */
export type Deed =
  | { do: 'describe'; id: string; said: Schemas['DescribeRequest'] }
  | { do: 'tag'; pieces: string[]; add: string[]; remove: string[] }
  | { do: 'retire' | 'bring-back'; pieces: string[] }
  | { do: 'release'; pieces: string[]; note: string };

function ask(deed: Deed): Promise<Card[]> {
  switch (deed.do) {
    case 'describe':
      return answer(
        api.PUT('/api/pieces/{id}/description', {
          params: { path: { id: deed.id } },
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

const asked = { queryKey: ['pieces'], queryFn: () => answer(api.GET('/api/pieces')) };

/** How long the list is kept while nobody looks at it, in ms. */
const KEPT = 3_600_000;

/** What comes first on a screen is asked for in the meantime, in ms. */
const AFTER = 300;

/** Asks for the list of pieces after what is on the screen, so that the library opens at once. */
export function useLibraryAhead() {
  const queries = useQueryClient();
  useEffect(() => {
    const timer = setTimeout(
      () => void queries.prefetchQuery({ ...asked, gcTime: KEPT, staleTime: KEPT }),
      AFTER,
    );
    return () => {
      clearTimeout(timer);
    };
  }, [queries]);
}

/** The pieces as they are listed, and what can be done to them there. */
export function useLibrary() {
  const queries = useQueryClient();
  const pieces = useQuery(asked);
  const deeds = useMutation({
    mutationFn: ask,
    onSuccess: async (cards, deed) => {
      queries.setQueryData(['pieces'], cards);
      if (deed.do === 'release') await queries.invalidateQueries({ queryKey: ['rollouts'] });
    },
  });
  /** Begins a piece with nothing in it, as a draft; its id comes back. */
  const begin = async (said: Schemas['DescribeRequest']) => {
    const begun = await answer(api.POST('/api/pieces', { body: said }));
    await queries.invalidateQueries({ queryKey: ['pieces'] });
    return begun.id;
  };
  return { pieces, carryOut: deeds.mutateAsync, begin, busy: deeds.isPending };
}

/** The kinds and purposes that there are. */
export function useChoices() {
  return useQuery({
    queryKey: ['piece-choices'],
    queryFn: () => answer(api.GET('/api/pieces/choices')),
    staleTime: Infinity,
  });
}
