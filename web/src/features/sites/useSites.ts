import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../../api/client';

export type SitePage = Schemas['PageView'];

/** The clients, without their pages. */
export function useSites() {
  return useQuery({ queryKey: ['sites'], queryFn: () => answer(api.GET('/api/sites')) });
}

/** One client with its pages, each before what is filed under it; none is asked for where there is none. */
export function useSite(siteId: string) {
  return useQuery({
    queryKey: ['sites', siteId],
    queryFn: () => answer(api.GET('/api/sites/{id}', { params: { path: { id: siteId } } })),
    enabled: siteId !== '',
  });
}

/** What is known of a client. */
export function useDetails(siteId: string) {
  return useQuery({
    queryKey: ['details', siteId],
    queryFn: () => answer(api.GET('/api/sites/{id}/details', { params: { path: { id: siteId } } })),
  });
}

/** The regions around the content of a page. */
export function useRegions() {
  return useQuery({
    queryKey: ['regions'],
    queryFn: () => answer(api.GET('/api/regions')),
    staleTime: Infinity,
  });
}

/** The kinds of pages that there are. */
export function usePageKinds() {
  return useQuery({
    queryKey: ['page-kinds'],
    queryFn: () => answer(api.GET('/api/page-kinds')),
    staleTime: Infinity,
  });
}
