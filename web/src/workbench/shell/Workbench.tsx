import { DndContext } from '@dnd-kit/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { ZoomIn } from 'lucide-react';
import { useCallback, useMemo, useRef, useState, type ReactNode } from 'react';
import { useLocation, useNavigate, useSearchParams } from 'react-router';
import { answer, api, type Problem } from '../../api/client';
import { BarSlot } from '../../ui/Bar';
import { Button } from '../../ui/Button';
import { useCommands } from '../../ui/commands';
import { Failed, Loading } from '../../ui/States';
import type { May, Spot } from '../hands/actions';
import { History, Others, SavingState } from './BarParts';
import { devices, type DeviceKey } from '../engine/devices';
import { FitPanel } from './FitPanel';
import { FootLine } from './FootLine';
import { foretell } from '../engine/foretell';
import { Frames } from './Frames';
import { landingAt, type Point } from '../canvas/geometry';
import { HandBar } from '../hands/HandBar';
import { Ladder } from '../ladder/Ladder';
import { DragLabel } from '../canvas/LandingMark';
import { holdsOthers } from '../engine/levels';
import type { Canvas, Drawing } from '../engine/drawing';
import { useFit } from './useFit';
import { Notices } from './Notices';
import { Outline } from './Outline';
import { Overlays, type Over } from './Overlays';
import { DRAWING_SCALE, PageDrawing } from './PageDrawing';
import { ReferenceMenu, useReference } from '../canvas/ReferencePicture';
import { Rename } from './Rename';
import {
  type AskedEdit,
  type NodeView,
  type Source,
  type WorkbenchAnswer,
  type WorkbenchView,
} from '../engine/source';
import { kindAround, treeOf } from '../engine/tree';
import { useCarrying, type Surface } from '../hands/useCarrying';
import { useClipboard } from '../hands/useClipboard';
import { itemNodes } from '../engine/items';
import { LibraryDrawer, type DrawerUse } from '../hands/LibraryDrawer';
import { useDeeds } from '../hands/useDeeds';
import { Typing } from '../../ui/useDraft';
import { useHand } from '../hands/useHand';
import { usePresence } from './usePresence';
import { useFindings } from './useFindings';
import { useTrial } from './useTrial';
import { useWorkbench } from '../engine/useWorkbench';

type Props = {
  source: Source;
  /** What stands above the page drawing. */
  heading: (view: WorkbenchView, replace: (view: WorkbenchAnswer) => void) => ReactNode;
  /** What is drawn in the place of the document, to see what it makes of other words. */
  shownAs?: WorkbenchAnswer | undefined;
  /** The document itself is to be drawn again. */
  onShownAsItIs?: () => void;
  /** What can be done with the whole document, at the right end of the foot line. */
  actions?: (view: WorkbenchView, replace: (view: WorkbenchAnswer) => void) => ReactNode;
};

function hasWords(node: NodeView): boolean {
  return !holdsOthers(node.kind) && node.kind !== 'picture' && node.kind !== 'icon';
}

const nothing: readonly NodeView[] = [];

/** Edits after which it is looked whether what was put down fits. */
const putsDown = new Set(['PASTE', 'PASTE_HTML', 'PLACE', 'EXCHANGE']);

/** Page drawing, three widths, ladder and foot line: the same for a page and for a piece. */
export function Workbench(props: Props) {
  const bench = useWorkbench(props.source);
  const kinds = useQuery({
    queryKey: ['kinds'],
    queryFn: () => answer(api.GET('/api/kinds')),
    staleTime: Infinity,
    select: (list): May => new Map(list.map(({ kind, may }) => [kind, may])),
  });
  const { view } = bench;
  if (bench.query.error && !view) {
    return <Failed error={bench.query.error} retry={() => void bench.reload()} />;
  }
  if (kinds.error) return <Failed error={kinds.error} retry={() => void kinds.refetch()} />;
  if (!view || !kinds.data) return <Loading what="the workbench" />;
  return (
    <Typing value={bench.typing}>
      <Bench {...props} bench={bench} view={view} may={kinds.data} />
    </Typing>
  );
}

type BenchProps = Props & { bench: ReturnType<typeof useWorkbench>; view: WorkbenchView; may: May };

function Bench(props: BenchProps) {
  const { source, heading, actions, shownAs, onShownAsItIs, bench, view, may } = props;
  const { undo, redo, catchUp, edit: send, made: lastMade, idle } = bench;
  const [typing, setTyping] = useState('');
  /** The thing whose settings the keys go to as soon as they are there. */
  const [entering, setEntering] = useState('');
  const [over, setOver] = useState<Over>();
  const [drawer, setDrawer] = useState<DrawerUse>();
  const [renaming, setRenaming] = useState(false);
  /** Whether what is set in an item of a list is for that item alone. */
  const [alone, setAlone] = useState(false);
  const navigate = useNavigate();
  const queries = useQueryClient();
  const location = useLocation();
  const [search] = useSearchParams();
  const [reference, setReference] = useReference(source.key.join(' '));
  const surfaces = useRef(new Map<DeviceKey, Surface>());
  const drawn = useRef<Surface | undefined>(undefined);

  const drawing = useMemo<Drawing>(
    () => ({
      language: view.language,
      css: view.css,
      open: view.open,
      blocks: view.blocks,
      around: view.around,
    }),
    [view.language, view.css, view.open, view.blocks, view.around],
  );
  const tree = useMemo(() => treeOf(view.page, view.blocks), [view.page, view.blocks]);
  const { trial, refused, tryOut, lettingGo } = useTrial(source, view, shownAs, onShownAsItIs);
  const pieceNames = useMemo(
    () => new Map(view.placements.map((p) => [p.id, p.pieceName])),
    [view.placements],
  );
  const items = useMemo(() => itemNodes(view.lists), [view.lists]);
  const surveyed = useFindings(view);
  const hand = useHand(tree);
  const { lead, inHand, others, held, now: current, pick, onLead } = hand;
  const heldIds = held.map((node) => node.id);
  const canvases = useCallback(
    (): readonly Canvas[] => [...surfaces.current.values()].map((surface) => surface.canvas),
    [],
  );
  const onCanvas = useCallback(
    (device: DeviceKey, canvas: Canvas, element: HTMLElement, scale: number) => {
      surfaces.current.set(device, { canvas, element, scale });
    },
    [],
  );
  const onDrawingCanvas = useCallback((canvas: Canvas, element: HTMLElement) => {
    drawn.current = { canvas, element, scale: DRAWING_SCALE };
  }, []);

  const { findings, setFindings, lookAt } = useFit(source, tree, surfaces);
  const unfit = findings.filter((finding) => tree.byId.has(finding.node));
  const edit = useCallback(
    async (body: AskedEdit): Promise<Problem | undefined> => {
      const drawings = [...canvases(), ...(drawn.current ? [drawn.current.canvas] : [])];
      if (idle()) for (const canvas of drawings) foretell(canvas, tree, view.fresh, body);
      const problem = await send(body, { every: !alone });
      if (problem) for (const canvas of drawings) canvas.putBack();
      if (problem) return problem;
      if (body.type === 'KEEP')
        void queries.invalidateQueries({ queryKey: ['pieces'], refetchType: 'all' });
      const last = lastMade();
      const [first] = last.made;
      if (first !== undefined) {
        pick(first);
        if (putsDown.has(body.type)) lookAt(last);
      }
      return undefined;
    },
    [send, lastMade, pick, idle, canvases, tree, view.fresh, alone, lookAt, queries],
  );
  const onVersion = useCallback(
    (version: number, stamp: number) => void catchUp(version, stamp),
    [catchUp],
  );
  const here = usePresence(source, inHand.id, onVersion);

  const clipboard = useClipboard({
    clip: () => source.clip(heldIds),
    target: inHand.id,
    onPaste: (body) => void edit(body),
  });
  const surfaceOfLead = () => surfaces.current.get(lead);
  const carrying = useCarrying({
    tree,
    inHand: held,
    lead: surfaceOfLead,
    drawing: () => drawn.current,
    onEdit: edit,
    onPick: pick,
    onLanded: () => {
      setOver(undefined);
    },
  });

  /** Where a box opens that belongs to the thing in hand. */
  const nearHand = (): Point => {
    const surface = surfaceOfLead();
    const box = surface?.canvas.element(inHand.id)?.getBoundingClientRect();
    const rect = surface?.element.getBoundingClientRect();
    if (!surface || !rect) return { x: 260, y: 120 };
    const bottom = box && inHand.kind !== 'page' ? box.bottom * surface.scale : 40;
    return {
      x: rect.left + (box?.left ?? 0) * surface.scale + 12,
      y: Math.min(window.innerHeight - 420, Math.max(90, rect.top + bottom + 8)),
    };
  };
  const openAdd = (at: Point, spot?: Spot) => {
    setOver({ is: 'add', node: current().id, at, spot });
  };
  const spotAt = (at: Point): Spot | undefined => {
    const surface = surfaceOfLead();
    const rect = surface?.element.getBoundingClientRect();
    if (!surface || !rect) return undefined;
    const landing = landingAt(
      surface.canvas,
      tree,
      { x: (at.x - rect.left) / surface.scale, y: (at.y - rect.top) / surface.scale },
      { kind: 'text', nodes: [] },
    );
    return landing?.how === 'into'
      ? { how: 'before', node: landing.target, before: landing.before }
      : undefined;
  };
  const type = (id: string) => {
    const node = tree.byId.get(id);
    const words = node && hasWords(node);
    setTyping(words ? id : '');
    if (words) pick(id);
  };
  const { act, key } = useDeeds({
    tree,
    hand,
    edit,
    undo,
    redo,
    made: () => lastMade().made,
    copy: clipboard.copy,
    paste: clipboard.pasteCopied,
    nearHand,
    busy: typing !== '' || over?.is === 'preview',
    onAdd: openAdd,
    onLibrary: () => {
      setDrawer('insert');
    },
    onRename: () => {
      setRenaming(true);
    },
    onEnter: (node) => {
      if (hasWords(node)) type(node.id);
      else setEntering(node.id);
    },
    onPreview: () => {
      setOver({ is: 'preview' });
    },
    onKeep: () => {
      if (current().parent !== '') setOver({ is: 'keep' });
    },
    onShare: () => {
      if (isPage && !view.shared && current().parent !== '') setOver({ is: 'share' });
    },
    onInto: () => {
      const from = view.placements.find((p) => p.id === current().placement);
      const back = search.get('from');
      if (from) {
        const here = `${location.pathname}${location.search}`;
        const to = `/library/${from.pieceId}?site=${view.siteId}&from=${encodeURIComponent(here)}`;
        void navigate(to);
      } else if (back) void navigate(back);
    },
  });

  useCommands(
    useMemo(
      () => [
        {
          title: 'True size',
          run: () => {
            setOver({ is: 'preview' });
          },
        },
        { title: 'Undo', run: () => void undo() },
        { title: 'Redo', run: () => void redo() },
        ...devices.map((device) => ({
          title: `Work at ${device.title.toLowerCase()}`,
          run: () => {
            onLead(device.key);
          },
        })),
      ],
      [undo, redo, onLead],
    ),
  );

  const section = tree.chain(inHand)[1];
  const placement = view.placements.find((p) => p.id === inHand.placement);
  const isPage = view.piece === undefined || view.piece === null;
  return (
    <DndContext {...carrying} autoScroll={{ threshold: { x: 0, y: 0.12 } }}>
      <div
        className={`grid grid-rows-[minmax(0,1fr)_auto] h-full ${
          drawer
            ? 'grid-cols-[200px_232px_minmax(0,1fr)_312px]'
            : 'grid-cols-[200px_minmax(0,1fr)_312px]'
        }`}
      >
        <BarSlot>
          <Others others={here} tree={tree.byId} />
          <SavingState saving={bench.saving} />
          <ReferenceMenu reference={reference} onChange={setReference} />
          <Button
            look="quiet"
            title="True size (P)"
            onClick={() => {
              setOver({ is: 'preview' });
            }}
          >
            <ZoomIn size={15} /> True size
          </Button>
          <History view={view} undo={() => void undo()} redo={() => void redo()} />
        </BarSlot>
        <aside className="border-r border-line bg-board flex flex-col min-h-0 p-3 pl-2.5 gap-2">
          <div className="pl-1">{heading(view, bench.replace)}</div>
          <div className="overflow-y-auto min-h-24 max-h-[46%] shrink-0 pt-2 [scrollbar-width:thin]">
            <PageDrawing
              drawing={trial?.drawing ?? drawing}
              tree={trial?.tree ?? tree}
              site={view.siteId}
              placements={(trial ?? view).placements}
              findings={surveyed}
              inHand={(trial ? trial.tree.chain(trial.inHand)[1] : section)?.id ?? ''}
              renaming={renaming && inHand.id === section?.id}
              onPick={pick}
              onRename={(node, value) => void edit({ type: 'RENAME', node, value })}
              onRenamed={() => {
                setRenaming(false);
              }}
              onBetween={(before, at) => {
                openAdd(at, { how: 'before', node: tree.root.id, before });
              }}
              onCanvas={onDrawingCanvas}
            />
          </div>
          <HandBar
            kind={inHand.kind}
            count={held.length}
            onAct={(action, from) => {
              act(action, { x: from.right + 6, y: from.top });
            }}
          />
          {renaming && inHand.id !== section?.id && (
            <Rename
              node={inHand}
              onRename={(value) => void edit({ type: 'RENAME', node: inHand.id, value })}
              onClose={() => {
                setRenaming(false);
              }}
            />
          )}
          {section && (
            <Outline
              tree={tree}
              placements={view.placements}
              items={items}
              section={section}
              inHand={inHand}
              also={others}
              onPick={pick}
            />
          )}
        </aside>
        {drawer && (
          <LibraryDrawer
            tree={tree}
            may={may}
            node={inHand}
            placement={placement}
            mayThere={may.get(placement ? kindAround(tree, inHand, placement.id) : '') ?? []}
            use={drawer}
            onUse={setDrawer}
            site={view.siteId}
            itself={isPage ? '' : view.id}
            refused={refused}
            onTry={tryOut}
            onEdit={edit}
            onClose={() => {
              setDrawer(undefined);
            }}
          />
        )}
        <div className="min-h-0 min-w-0 bg-paper relative">
          <Frames
            drawing={trial?.drawing ?? drawing}
            tree={trial?.tree ?? tree}
            lead={lead}
            inHand={trial?.inHand ?? inHand}
            also={trial ? nothing : others}
            pieces={trial?.pieces ?? pieceNames}
            items={trial?.items ?? items}
            typing={trial ? '' : typing}
            site={view.siteId}
            reference={reference}
            onReference={setReference}
            onLead={onLead}
            onPick={(node, more) => {
              lettingGo(() => {
                pick(node, more);
              });
            }}
            onType={(node) => {
              lettingGo(() => {
                type(node);
              });
            }}
            onChoose={(at, nodes) => {
              lettingGo(() => {
                setOver({ is: 'levels', at, nodes });
              });
            }}
            onEdit={edit}
            onKey={key}
            onCanvas={onCanvas}
            canvases={canvases}
          />
          {tree.children(tree.root.id).length === 0 && (
            <p className="absolute left-10 top-24 max-w-sm text-[14px] text-soft">
              Nothing stands here yet.{' '}
              <button
                type="button"
                className="text-verdigris font-medium underline underline-offset-2"
                onClick={() => {
                  openAdd(nearHand());
                }}
              >
                Add the first thing
              </button>{' '}
              by its name, or press A. It needs no section around it.
            </p>
          )}
          <Notices
            saving={bench.saving}
            meanwhile={bench.meanwhile}
            note={view.note}
            onDismiss={bench.dismiss}
            onReload={() => void bench.reload()}
            onKeep={(again) => void bench.keep(again)}
            onLetGo={(again) => void bench.letGo(again)}
          />
          {unfit.length > 0 && (
            <FitPanel
              findings={unfit}
              onPick={pick}
              onEdit={edit}
              onMended={(mended) => {
                setFindings(unfit.filter((finding) => !mended.includes(finding)));
              }}
              onClose={() => {
                setFindings([]);
              }}
            />
          )}
        </div>
        <aside className="border-l border-line min-h-0">
          <Ladder
            source={source}
            state={`${String(view.version)} ${String(view.stamp)}`}
            view={view}
            alone={alone}
            onAlone={setAlone}
            node={inHand}
            also={others}
            found={surveyed.filter((finding) => finding.node === inHand.id)}
            device={lead}
            placement={placement}
            inPiece={!isPage}
            entering={entering === inHand.id}
            onEntered={() => {
              setEntering('');
            }}
            onPick={pick}
            onEdit={edit}
          />
        </aside>
        <FootLine
          view={view}
          findings={surveyed}
          node={inHand}
          placement={placement}
          lead={lead}
          onEdit={(body) => void edit(body)}
          onExchange={() => {
            setDrawer('exchange');
          }}
          onTie={() => {
            setOver({ is: 'tie' });
          }}
          onPick={pick}
          actions={actions?.(view, bench.replace)}
        />
      </div>
      {over && (
        <Overlays
          over={over}
          source={source}
          view={view}
          tree={tree}
          may={may}
          drawing={drawing}
          lead={lead}
          inHand={inHand}
          spotAt={spotAt}
          onOver={setOver}
          onPick={pick}
          onEdit={edit}
          onTry={tryOut}
        />
      )}
      <DragLabel />
    </DndContext>
  );
}
