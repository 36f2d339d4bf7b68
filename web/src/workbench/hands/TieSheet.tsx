import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Problem } from '../../api/client';
import { Button } from '../../ui/Button';
import { count } from '../../ui/count';
import { Sheet } from '../../ui/Sheet';
import { Failed, Loading } from '../../ui/States';
import { Miniature } from '../canvas/Miniature';
import type { AskedEdit, NodeView, Source, TieView } from '../engine/source';

type Props = {
  source: Source;
  node: NodeView;
  site: string;
  onEdit: (edit: AskedEdit) => Promise<Problem | undefined>;
  onClose: () => void;
};

function differs({ fillings, changes }: TieView): string {
  const own = changes === 0 ? 'nothing else differs' : `${count(changes, 'local change')} here`;
  return fillings === 0
    ? own
    : `${count(fillings, 'text or picture', 'texts and pictures')} of its own, ${own}`;
}

/** Makes a copy a placement of a piece again; nothing that is seen changes. */
export function TieSheet({ source, node, site, onEdit, onClose }: Props) {
  const ties = useQuery({
    queryKey: [...source.key, 'ties', node.id],
    queryFn: () => source.ties(node.id),
    gcTime: 0,
  });
  const [chosen, setChosen] = useState('');
  const [problem, setProblem] = useState('');
  const current = ties.data?.find((tie) => tie.pieceId === chosen) ?? ties.data?.[0];
  const tie = async () => {
    if (!current) return;
    const failed = await onEdit({ type: 'TIE', node: node.id, piece: current.pieceId });
    if (failed) setProblem(failed.message);
    else onClose();
  };
  return (
    <Sheet open wide onClose={onClose} title={`Tie “${node.title}” to a piece`}>
      {ties.error && <Failed error={ties.error} retry={() => void ties.refetch()} />}
      {ties.isPending && <Loading what="the pieces that it matches" />}
      {ties.data?.length === 0 && (
        <p>
          No piece of the library is built like it. Keep it as a piece of its own instead: press K.
        </p>
      )}
      {current && (
        <fieldset className="grid gap-3 max-h-[52vh] overflow-y-auto">
          <legend className="sr-only">The piece</legend>
          {ties.data?.map((each) => (
            <label key={each.pieceId} className="grid grid-cols-[16px_256px_1fr] gap-3 items-start">
              <input
                type="radio"
                name="tie"
                className="accent-verdigris mt-1"
                checked={each === current}
                onChange={() => {
                  setChosen(each.pieceId);
                }}
              />
              <span
                aria-hidden
                className="border border-line bg-sheet h-24 overflow-hidden pointer-events-none"
              >
                <Miniature piece={each.pieceId} site={site} scale={0.2} />
              </span>
              <span>
                <strong className="font-semibold">{each.name}</strong>
                <br />
                <span className="text-soft">{differs(each)}</span>
              </span>
            </label>
          ))}
        </fieldset>
      )}
      {current && (
        <p className="text-soft mt-3">
          Nothing that is seen changes. From then on it follows the piece, and what differs here
          stays.
        </p>
      )}
      {problem && (
        <p role="alert" className="text-brick mt-2">
          {problem}
        </p>
      )}
      <div className="flex justify-end gap-3 mt-4">
        <Button onClick={onClose}>Leave it as it is</Button>
        <Button look="main" disabled={!current} onClick={() => void tie()}>
          {current ? `Tie it to ${current.name}` : 'Tie it'}
        </Button>
      </div>
    </Sheet>
  );
}
