import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { answer, api } from '../../api/client';
import type { WorkbenchView } from '../engine/source';

/** Something that the survey finds on the page that is worked on. */
export type FindingHere = {
  /** The node that it is about; empty for the page as a whole. */
  node: string;
  message: string;
};

/** What only stands in is counted by itself. */
const COUNTED_BY_ITSELF = 'stand-ins';

const none: readonly FindingHere[] = [];

/** What the survey finds in the document of a page, anew after every change; nothing for a piece. */
export function useFindings(view: WorkbenchView): readonly FindingHere[] {
  const survey = useQuery({
    queryKey: ['page-survey', view.id, view.version, view.stamp],
    queryFn: () => answer(api.GET('/api/pages/{id}/survey', { params: { path: { id: view.id } } })),
    enabled: !view.piece,
    placeholderData: keepPreviousData,
    gcTime: 0,
  });
  const rules = view.piece ? undefined : survey.data;
  return useMemo(
    () =>
      rules
        ?.filter((rule) => rule.word !== COUNTED_BY_ITSELF)
        .flatMap((rule) => rule.findings)
        .filter((finding) => finding.document === view.id)
        .map(({ node, message }) => ({ node, message })) ?? none,
    [rules, view.id],
  );
}
