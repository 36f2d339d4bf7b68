import { Redo2, Undo2 } from 'lucide-react';
import { Button } from '../../ui/Button';
import type { NodeView, WorkbenchView } from '../engine/source';
import type { Saving } from '../engine/useWorkbench';

type OthersProps = {
  others: readonly { who: string; node: string }[];
  tree: ReadonlyMap<string, NodeView>;
};

/** Whoever else has this open is named, with what is in hand there. */
export function Others({ others, tree }: OthersProps) {
  const [first] = others;
  if (!first) return null;
  const at = tree.get(first.node)?.title;
  const place = at === undefined ? '' : ` at “${at}”`;
  const more = others.length > 1 ? ` and ${String(others.length - 1)} more` : '';
  const said = `Also open: ${first.who}${place}${more}`;
  return (
    <span
      role="status"
      className="bg-slate-tint text-slate px-2 py-0.5 min-w-36 max-w-64 !shrink truncate"
      title={said}
    >
      {said}
    </span>
  );
}

/** Whether what is seen is kept. */
export function SavingState({ saving }: { saving: Saving }) {
  const said = { saved: 'Saved', saving: 'Saving…', failed: 'Not saved' }[saving.state];
  return (
    <span role="status" className={saving.state === 'failed' ? 'text-brick' : 'text-soft'}>
      {said}
    </span>
  );
}

type HistoryProps = { view: WorkbenchView; undo: () => void; redo: () => void };

export function History({ view, undo, redo }: HistoryProps) {
  return (
    <span className="flex items-center gap-2 min-w-0 !shrink">
      <Button
        look="quiet"
        className="min-w-0"
        disabled={view.undo === ''}
        title={view.undo ? `Undo: ${view.undo} (Ctrl Z)` : 'Nothing to undo'}
        onClick={undo}
      >
        <Undo2 size={15} className="shrink-0" />
        <span className="max-w-40 truncate">Undo{view.undo && `: ${view.undo}`}</span>
      </Button>
      <Button
        look="quiet"
        disabled={view.redo === ''}
        title={view.redo ? `Redo: ${view.redo} (Ctrl Shift Z)` : 'Nothing to redo'}
        onClick={redo}
      >
        <Redo2 size={15} className="shrink-0" /> Redo
      </Button>
    </span>
  );
}
