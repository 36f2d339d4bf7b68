import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { ArrowDown, ArrowUp, Plus, Trash2 } from 'lucide-react';
import { levelOf, lineClass } from './levels';
import type { EditBody, NodeView } from './source';

type Props = {
  nodes: readonly NodeView[];
  section: NodeView;
  inHand: NodeView;
  onPick: (node: string) => void;
  onEdit: (edit: EditBody) => void;
};

function below(nodes: readonly NodeView[], root: NodeView): { node: NodeView; depth: number }[] {
  const depths = new Map([[root.id, 0]]);
  const rows = [{ node: root, depth: 0 }];
  for (const node of nodes) {
    const depth = depths.get(node.parent);
    if (depth !== undefined) {
      depths.set(node.id, depth + 1);
      rows.push({ node, depth: depth + 1 });
    }
  }
  return rows;
}

/** Every level of the section in hand by name, so that exactly the one meant can be chosen. */
export function Outline({ nodes, section, inHand, onPick, onEdit }: Props) {
  const siblings = nodes.filter((n) => n.parent === inHand.parent);
  const index = siblings.findIndex((n) => n.id === inHand.id);
  const move = (by: number) => {
    onEdit({ type: 'MOVE', node: inHand.id, parent: inHand.parent, index: index + by });
  };
  return (
    <section aria-label="Outline" className="flex flex-col min-h-0">
      <header className="flex items-center gap-0.5 pb-1">
        <h2 className="text-[13.5px] mr-auto">Outline</h2>
        <AddMenu nodes={nodes} inHand={inHand} onEdit={onEdit} />
        <Tool
          label="Move up"
          disabled={index <= 0}
          onClick={() => {
            move(-1);
          }}
        >
          <ArrowUp size={14} />
        </Tool>
        <Tool
          label="Move down"
          disabled={index < 0 || index >= siblings.length - 1}
          onClick={() => {
            move(1);
          }}
        >
          <ArrowDown size={14} />
        </Tool>
        <Tool
          label={`Remove ${inHand.kind}`}
          disabled={inHand.parent === ''}
          onClick={() => {
            onEdit({ type: 'REMOVE', node: inHand.id });
          }}
        >
          <Trash2 size={14} />
        </Tool>
      </header>
      <ul className="overflow-y-auto min-h-0 [scrollbar-width:thin] border-t border-line">
        {below(nodes, section).map(({ node, depth }) => (
          <li key={node.id}>
            <button
              type="button"
              aria-current={node.id === inHand.id}
              onClick={() => {
                onPick(node.id);
              }}
              className="w-full text-left flex items-center gap-1.5 py-[3px] pr-1 text-[12.5px] hover:bg-sheet aria-[current=true]:bg-sheet aria-[current=true]:font-semibold"
              style={{ paddingLeft: 4 + depth * 11 }}
            >
              <span className={`w-[5px] h-4 shrink-0 ${lineClass[levelOf(node.kind)]}`} />
              <span className="truncate">{node.title}</span>
              {node.locals > 0 && (
                <span className="ml-auto text-ochre shrink-0" title="Local changes">
                  {node.locals} local
                </span>
              )}
              {node.hiddenOn.length > 0 && (
                <span className="ml-auto text-soft shrink-0 text-[11px]">
                  not on {node.hiddenOn.join(', ')}
                </span>
              )}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

type ToolProps = {
  label: string;
  disabled?: boolean;
  onClick: () => void;
  children: React.ReactNode;
};

function Tool({ label, disabled = false, onClick, children }: ToolProps) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
      className="size-6 grid place-items-center hover:bg-sheet disabled:text-soft/40 disabled:hover:bg-transparent"
    >
      {children}
    </button>
  );
}

function AddMenu({ nodes, inHand, onEdit }: Pick<Props, 'nodes' | 'inHand' | 'onEdit'>) {
  const parent = nodes.find((n) => n.id === inHand.parent);
  const inside = nodes.filter((n) => n.parent === inHand.id).length;
  const after = nodes
    .filter((n) => n.parent === inHand.parent)
    .findIndex((n) => n.id === inHand.id);
  return (
    <Menu>
      <MenuButton
        className="flex items-center gap-1 px-1.5 h-6 text-verdigris font-medium hover:bg-sheet"
        aria-label="Add"
      >
        <Plus size={14} /> Add
      </MenuButton>
      <MenuItems
        anchor="bottom start"
        className="z-30 bg-paper border border-ink py-1 text-[13px] w-48 focus:outline-none"
      >
        {inHand.may.length > 0 && (
          <Choices
            title={`Into this ${inHand.kind}`}
            kinds={inHand.may}
            onChoose={(kind) => {
              onEdit({ type: 'ADD', node: inHand.id, index: inside, kind });
            }}
          />
        )}
        {parent && (
          <Choices
            title={`After this ${inHand.kind}`}
            kinds={parent.may}
            onChoose={(kind) => {
              onEdit({ type: 'ADD', node: parent.id, index: after + 1, kind });
            }}
          />
        )}
      </MenuItems>
    </Menu>
  );
}

type ChoicesProps = {
  title: string;
  kinds: readonly string[];
  onChoose: (kind: string) => void;
};

function Choices({ title, kinds, onChoose }: ChoicesProps) {
  if (kinds.length === 0) return null;
  return (
    <>
      <p className="px-3 pt-1.5 pb-0.5 text-[11.5px] text-soft">{title}</p>
      {kinds.map((kind) => (
        <MenuItem key={kind}>
          <button
            type="button"
            onClick={() => {
              onChoose(kind);
            }}
            className="block w-full text-left px-3 py-1 capitalize data-focus:bg-verdigris-tint"
          >
            {kind}
          </button>
        </MenuItem>
      ))}
    </>
  );
}
