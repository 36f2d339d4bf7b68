import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { answer, api } from '../../api/client';
import type { FindingHere, WorkbenchView } from '../engine/source';

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
        .flatMap((rule) => rule.findings.map((finding) => ({ ...finding, rule: rule.word })))
        .filter((finding) => finding.document === view.id) ?? none,
    [rules, view.id],
  );
}
