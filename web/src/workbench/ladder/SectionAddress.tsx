import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, Problem } from '../../api/client';
import { Button } from '../../ui/Button';

type Props = {
  page: string;
  node: string;
  /** Grows with everything that may change what the section is called. */
  state: string;
};

/** Where a link to a section of a page leads; it follows the section's name when that is asked. */
export function SectionAddress({ page, node, state }: Props) {
  const queries = useQueryClient();
  const key = ['section-address', page, node];
  const params = { path: { id: page }, query: { node } };
  const [problem, setProblem] = useState('');
  const now = useQuery({
    queryKey: [...key, state],
    queryFn: () => answer(api.GET('/api/pages/{id}/section-address', { params })),
    placeholderData: (before) => before,
    retry: false,
  });
  if (!now.data) return null;
  const { address, byName, etag } = now.data;
  const follow = async () => {
    try {
      const query = { node, etag };
      await answer(
        api.POST('/api/pages/{id}/section-address', { params: { path: params.path, query } }),
      );
      setProblem('');
      await queries.invalidateQueries({ queryKey: key });
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'That failed; try again.');
    }
  };
  return (
    <div className="mb-2 text-[12.5px]">
      <div className="flex items-baseline gap-3">
        <span className="font-medium">Address</span>
        <span className="truncate" title={`#${address}`}>
          #{address}
        </span>
        {address !== byName && (
          <Button
            look="quiet"
            className="ml-auto"
            title={`Links of this site follow; one from elsewhere to #${address} opens the page at its top`}
            onClick={() => void follow()}
          >
            Make it #{byName}
          </Button>
        )}
      </div>
      {problem && (
        <p role="alert" className="text-brick">
          {problem}
        </p>
      )}
    </div>
  );
}
