import { Redo2, Undo2 } from 'lucide-react';
import { Button } from '../ui/Button';
import type { EditBody, NodeView, WorkbenchView } from './source';
import type { Saving } from './useWorkbench';

type OthersProps = {
  others: readonly { who: string; node: string }[];
  tree: ReadonlyMap<string, NodeView>;
};

/** Whoever else has this open is named, with what is in hand there. */
export function Others({ others, tree }: OthersProps) {
  const [first] = others;
  if (!first) return null;
  const at = tree.get(first.node)?.title;
  return (
    <span role="status" className="bg-slate-tint text-slate px-2 py-0.5 max-w-64 truncate">
      Also open: {first.who}
      {at !== undefined && ` at “${at}”`}
      {others.length > 1 && ` and ${String(others.length - 1)} more`}
    </span>
  );
}

/** What others changed while an edit was made; both hold. */
export function Meanwhile({ list, onClose }: { list: readonly string[]; onClose: () => void }) {
  if (list.length === 0) return null;
  return (
    <span role="status" className="flex gap-2 text-slate max-w-72">
      <span className="truncate" title={list.join('\n')}>
        Both kept. {list[list.length - 1]}
      </span>
      <button type="button" className="underline" onClick={onClose}>
        Close
      </button>
    </span>
  );
}

type SavingProps = {
  saving: Saving;
  reload: () => void;
  keep: (edit: EditBody) => void;
};

export function SavingState({ saving, reload, keep }: SavingProps) {
  if (saving.state === 'failed') {
    const { problem, again } = saving;
    return (
      <span role="alert" className="flex items-center gap-2 text-brick max-w-[480px]">
        <span className="truncate" title={problem.message}>
          {problem.sameNode
            ? problem.message
            : `Not saved: ${problem.stale ? 'changed in another tab' : problem.title.toLowerCase()}`}
        </span>
        {problem.sameNode && again && (
          <Button
            className="!py-1"
            onClick={() => {
              keep(again);
            }}
          >
            Keep mine
          </Button>
        )}
        {problem.stale && (
          <Button className="!py-1" onClick={reload}>
            {problem.sameNode ? 'Take theirs' : 'Load the newest state'}
          </Button>
        )}
      </span>
    );
  }
  return (
    <span role="status" className="text-soft">
      {saving.state === 'saving' ? 'Saving…' : 'Saved'}
    </span>
  );
}

type HistoryProps = { view: WorkbenchView; undo: () => void; redo: () => void };

export function History({ view, undo, redo }: HistoryProps) {
  return (
    <span className="flex items-center gap-2">
      <Button
        look="quiet"
        disabled={view.undo === ''}
        title={view.undo ? `Undo: ${view.undo} (Ctrl Z)` : 'Nothing to undo'}
        onClick={undo}
      >
        <Undo2 size={15} />
        <span className="max-w-40 truncate">Undo{view.undo && `: ${view.undo}`}</span>
      </Button>
      <Button
        look="quiet"
        disabled={view.redo === ''}
        title={view.redo ? `Redo: ${view.redo} (Ctrl Shift Z)` : 'Nothing to redo'}
        onClick={redo}
      >
        <Redo2 size={15} /> Redo
      </Button>
    </span>
  );
}
