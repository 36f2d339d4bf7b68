import { useQueryClient } from '@tanstack/react-query';
import { answer, api } from '../../api/client';
import { SetHere } from '../../features/sites/SetHere';
import { Button } from '../../ui/Button';
import { useKeep } from '../../ui/Keep';
import type { FindingHere, Source } from '../engine/source';

type Props = { finding: FindingHere; source: Source; site: string };

/** What the survey finds about the thing in hand, and what mends it. */
export function Found({ finding, source, site }: Props) {
  const queries = useQueryClient();
  const drawAnew = async () => {
    for (const queryKey of [source.key, ['page-survey'], ['details', site], ['frame'], ['sites']]) {
      await queries.invalidateQueries({ queryKey });
    }
  };
  const { problem, keep } = useKeep(async () => {
    await answer(
      api.POST('/api/sites/{id}/survey/{rule}/mend', {
        params: {
          path: { id: site, rule: finding.rule },
          query: { document: finding.document, node: finding.node },
        },
      }),
    );
    await drawAnew();
  });
  return (
    <div className="border-l-[3px] border-brick pl-2.5 mb-2 text-brick text-[12.5px]">
      <p>{finding.message}</p>
      {finding.mendable && (
        <Button look="quiet" onClick={() => void keep()}>
          Mend it
        </Button>
      )}
      {problem && <p role="alert">{problem}</p>}
      {finding.unset !== '' && <SetHere siteId={site} unset={finding.unset} onSet={drawAnew} />}
    </div>
  );
}
