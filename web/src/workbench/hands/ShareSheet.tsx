import { useState } from 'react';
import { useRegions } from '../../features/sites/useSites';
import type { Problem } from '../../api/client';
import { Button } from '../../ui/Button';
import { Sheet } from '../../ui/Sheet';
import type { AskedEdit, NodeView } from '../engine/source';

type Props = {
  node: NodeView;
  siteName: string;
  onEdit: (edit: AskedEdit) => Promise<Problem | undefined>;
  onClose: () => void;
};

/** Takes a section from this page and gives it to all pages of the site. */
export function ShareSheet({ node, siteName, onEdit, onClose }: Props) {
  const [region, setRegion] = useState('header');
  const [problem, setProblem] = useState('');
  const regions = useRegions();
  const title = regions.data?.find(({ word }) => word === region)?.title.toLowerCase() ?? '';
  const share = async () => {
    const failed = await onEdit({ type: 'AROUND', node: node.id, region });
    if (failed) setProblem(failed.message);
    else onClose();
  };
  return (
    <Sheet open onClose={onClose} title={`“${node.title}” on all pages of ${siteName}`}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void share();
        }}
      >
        <fieldset className="grid gap-1">
          <legend className="font-medium mb-1">It becomes the</legend>
          {regions.data?.map(({ word, title: name, where }) => (
            <label key={word} className="flex items-baseline gap-2">
              <input
                type="radio"
                name="region"
                checked={region === word}
                className="accent-verdigris"
                onChange={() => {
                  setRegion(word);
                }}
              />
              {name} <span className="text-soft">{where}</span>
            </label>
          ))}
        </fieldset>
        <p className="text-soft">
          It leaves this page and stands on every page. What was the {title} of the whole site until
          now is kept among the shared parts.
        </p>
        {problem && (
          <p role="alert" className="text-brick">
            {problem}
          </p>
        )}
        <div className="flex justify-end gap-3">
          <Button onClick={onClose}>Leave it here</Button>
          <Button look="main" type="submit">
            Make it the {title}
          </Button>
        </div>
      </form>
    </Sheet>
  );
}
