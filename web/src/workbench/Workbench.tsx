import { Redo2, Undo2 } from 'lucide-react';
import { useCallback, useEffect, useMemo, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { Button } from '../ui/Button';
import { Failed, Loading } from '../ui/States';
import { BarSlot } from '../ui/Bar';
import { deviceOf, type DeviceKey } from './devices';
import { FootLine } from './FootLine';
import { Frames } from './Frames';
import { Ladder } from './Ladder';
import { Outline } from './Outline';
import { PageDrawing } from './PageDrawing';
import type { NodeView, Source, WorkbenchView } from './source';
import { useWorkbench, type Saving } from './useWorkbench';

type Props = {
  source: Source;
  /** What stands above the page drawing. */
  heading: (view: WorkbenchView) => ReactNode;
  /** What can be done with the whole document, at the right end of the foot line. */
  actions?: (view: WorkbenchView, replace: (view: WorkbenchView) => void) => ReactNode;
};

function chainOf(nodes: readonly NodeView[], node: NodeView): NodeView[] {
  const parent = nodes.find((n) => n.id === node.parent);
  return parent ? [...chainOf(nodes, parent), node] : [node];
}

function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
}

/** Page drawing, three widths, ladder and foot line: the same for a page and for a piece. */
export function Workbench({ source, heading, actions }: Props) {
  const bench = useWorkbench(source);
  const { view, edit, undo, redo } = bench;
  const [search, setSearch] = useSearchParams();
  const lead = deviceOf(search.get('lead'));
  const wanted = search.get('node');

  const set = useCallback(
    (key: string, value: string) => {
      setSearch(
        (before) => {
          const next = new URLSearchParams(before);
          next.set(key, value);
          return next;
        },
        { replace: true },
      );
    },
    [setSearch],
  );
  const pick = useCallback(
    (node: string) => {
      set('node', node);
    },
    [set],
  );
  const onLead = useCallback(
    (device: DeviceKey) => {
      set('lead', device);
    },
    [set],
  );

  const inHand = useMemo(() => {
    const nodes = view?.nodes ?? [];
    return (
      nodes.find((n) => n.id === wanted) ?? nodes.find((n) => n.kind === 'section') ?? nodes[0]
    );
  }, [view, wanted]);
  const chain = useMemo(() => (view && inHand ? chainOf(view.nodes, inHand) : []), [view, inHand]);

  const onKey = useCallback(
    (event: KeyboardEvent) => {
      if (event.defaultPrevented || isTyping(event.target)) return;
      const key = event.key.toLowerCase();
      if ((event.ctrlKey || event.metaKey) && (key === 'z' || key === 'y')) {
        event.preventDefault();
        void (key === 'y' || event.shiftKey ? redo() : undo());
      } else if (event.key === 'Escape' && inHand?.parent) {
        pick(inHand.parent);
      } else if (event.key === 'Delete' && inHand?.parent) {
        void edit({ type: 'REMOVE', node: inHand.id });
      }
    },
    [undo, redo, edit, inHand, pick],
  );
  useEffect(() => {
    document.addEventListener('keydown', onKey);
    return () => {
      document.removeEventListener('keydown', onKey);
    };
  }, [onKey]);

  if (bench.query.error && !view) {
    return <Failed error={bench.query.error} retry={() => void bench.reload()} />;
  }
  if (!view || !inHand) return <Loading what="the workbench" />;

  const sections = view.nodes.filter((n) => n.kind === 'section');
  const section = chain.find((n) => n.kind === 'section') ?? sections[0];
  const placement = view.placements.find((p) => p.id === inHand.placement);
  return (
    <div className="grid grid-cols-[200px_minmax(0,1fr)_312px] grid-rows-[minmax(0,1fr)_auto] h-full">
      <BarSlot>
        <SavingState saving={bench.saving} reload={() => void bench.reload()} />
        <History view={view} undo={() => void undo()} redo={() => void redo()} />
      </BarSlot>
      <aside className="border-r border-line bg-board flex flex-col min-h-0 p-3 pl-2.5 gap-3">
        <div className="pl-1">{heading(view)}</div>
        <div className="overflow-y-auto min-h-32 max-h-[52%] shrink-0 [scrollbar-width:thin]">
          <PageDrawing
            html={view.html}
            sections={sections}
            placements={view.placements}
            inHand={section?.id ?? ''}
            onPick={pick}
          />
        </div>
        {section && (
          <Outline
            nodes={view.nodes}
            section={section}
            inHand={inHand}
            onPick={pick}
            onEdit={(body) => void edit(body)}
          />
        )}
      </aside>
      <div className="min-h-0 min-w-0 bg-paper">
        <Frames
          html={view.html}
          lead={lead}
          chain={chain}
          onLead={onLead}
          onPick={pick}
          onKey={onKey}
        />
      </div>
      <aside className="border-l border-line min-h-0">
        <Ladder
          source={source}
          version={view.version}
          site={view.siteId}
          node={inHand}
          device={lead}
          placement={placement}
          inPiece={view.piece !== undefined && view.piece !== null}
          onPick={pick}
          onEdit={edit}
        />
      </aside>
      <FootLine
        view={view}
        node={inHand}
        placement={placement}
        lead={lead}
        onEdit={(body) => void edit(body)}
        actions={actions?.(view, bench.replace)}
      />
    </div>
  );
}

function SavingState({ saving, reload }: { saving: Saving; reload: () => void }) {
  if (saving.state === 'failed') {
    return (
      <span role="alert" className="flex items-center gap-2 text-brick max-w-[420px]">
        <span className="truncate" title={saving.problem.message}>
          Not saved:{' '}
          {saving.problem.stale ? 'changed in another tab' : saving.problem.title.toLowerCase()}
        </span>
        {saving.problem.stale && <Button onClick={reload}>Load the newest state</Button>}
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

function History({ view, undo, redo }: HistoryProps) {
  return (
    <span className="flex items-center gap-2">
      <Button
        look="quiet"
        disabled={view.undo === ''}
        title={view.undo ? `Undo: ${view.undo} (Ctrl Z)` : 'Nothing to undo'}
        onClick={undo}
      >
        <Undo2 size={15} />
        <span className="max-w-44 truncate">Undo{view.undo && `: ${view.undo}`}</span>
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
