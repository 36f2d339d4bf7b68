import { useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api } from '../../api/client';

/** What visitors can be given to keep, as the server takes it. */
export const accepted = '.pdf,.docx,.xlsx,.pptx,.odt,.ods,.odp,.epub,.zip,.txt,.csv,.ics,.vcf';

/** A client's files, also those that are put away. */
export function useFiles(site: string) {
  return useQuery({
    queryKey: ['files', site],
    queryFn: () => answer(api.GET('/api/sites/{id}/files', { params: { path: { id: site } } })),
  });
}

/** Asks again for all that tells of files. */
export function useFilesAgain() {
  const queries = useQueryClient();
  return async () => {
    for (const key of ['files', 'link-targets', 'link-target', 'survey']) {
      await queries.invalidateQueries({ queryKey: [key] });
    }
  };
}
