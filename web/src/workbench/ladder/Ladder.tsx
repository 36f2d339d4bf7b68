import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Failed, Mark } from '../../ui/States';
import type { DeviceKey } from '../engine/devices';
import { FieldRow } from './FieldRow';
import { Found } from './Found';
import { itemAround } from '../engine/items';
import { levelOf, lineClass } from '../engine/levels';
import { ListPanel } from './ListPanel';
import { Looks } from './Looks';
import { States } from './StateChoice';
import { LocalChanges } from './LocalChanges';
import { PlacementChoices } from './PlacementChoices';
import type { Problem } from '../../api/client';
import type {
  AskedEdit,
  FindingHere,
  NodeView,
  PlacementView,
  Source,
  WorkbenchView,
} from '../engine/source';
import { SectionAddress } from './SectionAddress';
import { Structure } from './Structure';
import { StyleGroups } from './StyleGroups';
import { summary } from './summary';

type Props = {
  source: Source;
  /** Grows with everything that may change what the ladder says. */
  state: string;
  view: WorkbenchView;
  /** Whether what is set in an item of a list is for that item alone. */
  alone: boolean;
  onAlone: (alone: boolean) => void;
  node: NodeView;
  /** What else is in hand; settings are made for all of it. */
  also: readonly NodeView[];
  /** What the survey finds about the thing in hand. */
  found: readonly FindingHere[];
  device: DeviceKey;
  placement: PlacementView | undefined;
  inPiece: boolean;
  /** Whether the keys are to go to the first of its settings. */
  entering: boolean;
  onEntered: () => void;
  onPick: (node: string) => void;
  onEdit: (edit: AskedEdit) => Promise<Problem | undefined>;
};

/** Every box around the thing in hand, outermost on top, with what each contributes. */
export function Ladder(props: Props) {
  const { source, view, alone, onAlone, node, also, device, placement, inPiece, onPick, onEdit } =
    props;
  const { entering, onEntered } = props;
  const ids = [node, ...also].map((n) => n.id);
  const [find, setFind] = useState('');
  const [wanted, setWanted] = useState({ node: node.id, state: 'normal' });
  const state = wanted.node === node.id ? wanted.state : 'normal';
  const query = useQuery({
    queryKey: [...source.key, 'ladder', ids.join(' '), device, state, props.state],
    queryFn: () => source.ladder(ids, device, state),
    placeholderData: (before, last) =>
      last?.queryKey.includes(ids.join(' ')) ? before : undefined,
  });
  const open = useRef<HTMLDivElement>(null);
  const there = query.data !== undefined;
  useEffect(() => {
    if (!entering || !there) return;
    open.current?.querySelector<HTMLElement>('button, input')?.focus();
    onEntered();
  }, [entering, there, onEntered]);
  if (query.error) return <Failed error={query.error} retry={() => void query.refetch()} />;
  const ladder = query.data;
  /** What a piece leaves to its placements is said in the piece itself, not in a variant. */
  const authoring = inPiece && view.piece?.variant === '';
  const outer = ladder?.rungs.filter((rung) => !(inPiece && rung.kind === 'page')) ?? [];
  /** Only sections that stand straight on a page have an address. */
  const onPage =
    !inPiece &&
    !view.shared &&
    node.kind === 'section' &&
    outer.filter(({ kind }) => !isMember(kind)).length === 2;
  return (
    <section aria-label="Ladder" className="h-full overflow-y-auto [scrollbar-width:thin]">
      <header className="flex items-baseline justify-between gap-2 px-4 pt-3 pb-2">
        <h2 className="text-[16px]">Ladder</h2>
        <span className="text-[12.5px]">
          <span className="text-soft">for </span>
          <span className="font-semibold text-verdigris-deep">{device}</span>
        </span>
        <input
          data-find-setting
          type="search"
          value={find}
          aria-label="Find a setting"
          placeholder="Find a setting ( / )"
          className="w-36 border border-line bg-sheet px-2 py-0.5 text-[12.5px] rounded-[2px]"
          onChange={(e) => {
            setFind(e.target.value);
          }}
          onKeyDown={(e) => {
            if (e.key === 'Escape') {
              setFind('');
              e.currentTarget.blur();
            }
          }}
        />
      </header>
      <ol>
        {outer.slice(0, -1).map((rung) => (
          <li key={`${rung.kind} ${rung.id}`} className="border-b border-hair">
            <button
              type="button"
              onClick={() => {
                onPick(rung.node);
              }}
              className="w-full text-left flex gap-3 px-4 hover:bg-sheet"
            >
              <span className={`w-[5px] shrink-0 ${lineClass[levelOf(rung.kind)]}`} />
              <span className="py-1.5 min-w-0 flex-1">
                <span className="flex justify-between gap-2">
                  {isMember(rung.kind) ? (
                    <span className="font-semibold">{rung.title}</span>
                  ) : (
                    <span className="font-semibold capitalize">{rung.kind}</span>
                  )}
                  <span className="text-soft text-[12.5px] truncate">
                    {rung.note ||
                      (isMember(rung.kind) || rung.title.toLowerCase() === rung.kind
                        ? ''
                        : rung.title)}
                  </span>
                </span>
                {!isMember(rung.kind) && <Contributions list={summary(rung.contributes)} />}
              </span>
            </button>
            {view.placements
              .filter((p) => p.id === rung.id)
              .map((p) => (
                <div key={p.id} className="pl-8 pr-4">
                  <PlacementChoices
                    placement={p}
                    parts={view.parts.filter((part) => part.in === p.id)}
                    onEdit={(edit) => void onEdit(edit)}
                  />
                </div>
              ))}
          </li>
        ))}
      </ol>
      <div className="flex gap-3 px-4 bg-sheet border-y border-ink">
        <span className={`w-[5px] shrink-0 ${lineClass[levelOf(node.kind)]}`} />
        <div ref={open} data-ladder-open className="py-2.5 min-w-0 flex-1">
          <div className="flex justify-between items-baseline gap-2 mb-1.5">
            <h3 className="font-sans font-bold capitalize">
              {also.length > 0 ? `${String(ids.length)} in hand` : node.kind}
            </h3>
            <span className="text-soft text-[12.5px] truncate">
              {also.length > 0
                ? 'what they share is set for all'
                : outer[outer.length - 1]?.note || (node.title === node.kind ? '' : node.title)}
            </span>
          </div>
          {props.found.map((finding) => (
            <Found
              key={`${finding.rule} ${finding.message}`}
              finding={finding}
              source={source}
              site={view.siteId}
            />
          ))}
          {!ladder && <p className="text-soft">Fetching its settings…</p>}
          {also.length === 0 && (
            <ListPanel
              node={node}
              list={view.lists.find((list) => list.node === node.id)}
              item={itemAround(view.lists, node.id)}
              alone={alone}
              site={inPiece ? '' : view.siteId}
              onAlone={onAlone}
              onEdit={onEdit}
            />
          )}
          {also.length === 0 && authoring && (
            <Authoring node={node} view={view} onEdit={(edit) => void onEdit(edit)} />
          )}
          {ladder?.fields.map((field) => (
            <FieldRow
              key={`${node.id} ${field.key}`}
              field={field}
              node={node}
              inPiece={authoring}
              site={view.siteId}
              page={view.piece ? '' : view.id}
              inItem={itemAround(view.lists, node.id) !== undefined}
              onEdit={onEdit}
            />
          ))}
          {also.length === 0 && onPage && (
            <SectionAddress page={view.id} node={node.id} state={props.state} />
          )}
          {ladder && also.length === 0 && (
            <Structure ladder={ladder} node={node} device={device} onEdit={onEdit} />
          )}
          {ladder && also.length === 0 && <Looks ladder={ladder} node={node} onEdit={onEdit} />}
          {ladder && ladder.states.length > 1 && (
            <States
              states={ladder.states}
              state={state}
              onState={(next) => {
                setWanted({ node: node.id, state: next });
              }}
            />
          )}
          {ladder && (
            <StyleGroups
              ladder={ladder}
              node={node}
              nodes={ids}
              device={device}
              state={state}
              find={find}
              site={view.siteId}
              onEdit={onEdit}
              onPick={onPick}
            />
          )}
        </div>
      </div>
      {placement && <LocalChanges placement={placement} onPick={onPick} onEdit={onEdit} />}
    </section>
  );
}

function isMember(kind: string): boolean {
  return kind === 'placement' || kind === 'item';
}

type AuthoringProps = {
  node: NodeView;
  view: WorkbenchView;
  onEdit: (edit: AskedEdit) => void;
};

/** What the author of a piece leaves to its placements: optional parts, lists of like things. */
function Authoring({ node, view, onEdit }: AuthoringProps) {
  const outermost = node.parent === view.page.id || node.kind === 'page';
  if (outermost || node.placement !== '' || itemAround(view.lists, node.id)) return null;
  const part = view.parts.find((p) => p.node === node.id);
  const isList = view.lists.some((list) => list.node === node.id);
  return (
    <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-[12.5px]">
      <label className="flex items-center gap-1">
        <input
          type="checkbox"
          className="accent-verdigris"
          checked={part !== undefined}
          onChange={(e) => {
            onEdit({ type: 'OPTIONAL', node: node.id, on: e.target.checked });
          }}
        />
        optional at placements
      </label>
      {!isList && (
        <button
          type="button"
          className="text-verdigris hover:underline"
          title="It, and what beside it is built alike, become items of one list"
          onClick={() => {
            onEdit({ type: 'MAKE_LIST', node: node.id });
          }}
        >
          Make a list of it
        </button>
      )}
    </div>
  );
}

function Contributions({ list }: { list: ReturnType<typeof summary> }) {
  if (list.length === 0) return <span className="text-soft/80 text-[12.5px]">adds nothing</span>;
  return (
    <span className="flex flex-wrap gap-x-2.5 gap-y-0.5 text-[12.5px] text-soft">
      {list.map((item) => (
        <span key={item.label} className="flex items-center gap-1">
          {item.swatch && (
            <span className="size-3 border border-line" style={{ background: item.swatch }} />
          )}
          {item.local ? (
            <Mark tone="local">
              {item.label} {item.value}
            </Mark>
          ) : (
            <span>
              {item.label} {item.value}
            </span>
          )}
        </span>
      ))}
    </span>
  );
}
