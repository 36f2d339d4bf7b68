import type { NodeView } from '../engine/source';
import { useHold } from '../../ui/useDraft';

type Props = { node: NodeView; onRename: (name: string) => void; onClose: () => void };

/** A field for the name of the thing in hand; leaving it keeps the name that it had. */
export function Rename({ node, onRename, onClose }: Props) {
  useHold();
  return (
    <input
      autoFocus
      aria-label={`Name of the ${node.kind}`}
      defaultValue={node.name}
      onFocus={(event) => {
        event.currentTarget.select();
      }}
      placeholder={`Name of the ${node.kind}`}
      className="border border-verdigris bg-sheet px-2 py-1 text-[12.5px]"
      onKeyDown={(event) => {
        if (event.key === 'Enter') {
          onRename(event.currentTarget.value);
          onClose();
        } else if (event.key === 'Escape') onClose();
      }}
      onBlur={onClose}
    />
  );
}
