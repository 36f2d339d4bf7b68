import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Sheet } from '../../ui/Sheet';
import type { AskedEdit, NodeView } from '../engine/source';

type Props = {
  node: NodeView;
  onEdit: (edit: AskedEdit) => Promise<Error | undefined>;
  onClose: () => void;
};

/** Puts the thing in hand into the library; where it stood, the piece is placed. */
export function KeepSheet({ node, onEdit, onClose }: Props) {
  const [name, setName] = useState(node.name);
  const [purpose, setPurpose] = useState('');
  const [problem, setProblem] = useState('');
  const keep = async () => {
    const failed = await onEdit({ type: 'KEEP', node: node.id, name, purpose });
    if (failed) setProblem(failed.message);
    else onClose();
  };
  return (
    <Sheet open onClose={onClose} title={`Keep the ${node.kind} as a piece`}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
        className="grid gap-3"
      >
        <p className="text-soft">
          It stays as it looks here. From then on it can be placed anywhere, and a change of the
          piece gets to all of these places.
        </p>
        <label className="block">
          <span className="font-medium">Name</span>
          <input
            autoFocus
            value={name}
            maxLength={80}
            onChange={(e) => {
              setName(e.target.value);
            }}
            className="mt-1 w-full border border-line bg-sheet px-2 py-1.5"
          />
        </label>
        <label className="block">
          <span className="font-medium">What it is for</span>
          <input
            value={purpose}
            maxLength={200}
            onChange={(e) => {
              setPurpose(e.target.value);
            }}
            className="mt-1 w-full border border-line bg-sheet px-2 py-1.5"
          />
        </label>
        {problem && (
          <p role="alert" className="text-brick">
            {problem}
          </p>
        )}
        <div className="flex justify-end gap-3 mt-2">
          <Button onClick={onClose}>Leave it as it is</Button>
          <Button look="main" type="submit" disabled={name.trim() === ''}>
            Keep as a piece
          </Button>
        </div>
      </form>
    </Sheet>
  );
}
