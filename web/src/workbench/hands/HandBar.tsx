import {
  ArrowDown,
  ArrowUp,
  BoxSelect,
  ClipboardPaste,
  Columns2,
  Copy,
  CopyPlus,
  FlipHorizontal2,
  Library,
  LibraryBig,
  ListPlus,
  LogIn,
  PanelTop,
  Pencil,
  Plus,
  Trash2,
  Ungroup,
} from 'lucide-react';

export type HandAction =
  | 'add'
  | 'library'
  | 'duplicate'
  | 'copy'
  | 'paste'
  | 'up'
  | 'down'
  | 'rename'
  | 'mirror'
  | 'row'
  | 'box'
  | 'unwrap'
  | 'piece'
  | 'share'
  | 'into'
  | 'item'
  | 'remove';

type Props = { kind: string; count: number; onAct: (action: HandAction, from: DOMRect) => void };

const tools: readonly { action: HandAction; label: string; key: string; icon: typeof Plus }[] = [
  { action: 'duplicate', label: 'Duplicate', key: 'Ctrl D', icon: CopyPlus },
  { action: 'item', label: 'Add an item to the list', key: 'N', icon: ListPlus },
  { action: 'copy', label: 'Copy', key: 'Ctrl C', icon: Copy },
  { action: 'paste', label: 'Paste', key: 'Ctrl V', icon: ClipboardPaste },
  { action: 'up', label: 'Move up', key: 'Alt ↑', icon: ArrowUp },
  { action: 'down', label: 'Move down', key: 'Alt ↓', icon: ArrowDown },
  { action: 'mirror', label: 'Mirror', key: 'M', icon: FlipHorizontal2 },
  { action: 'row', label: 'Put side by side in a row', key: 'R', icon: Columns2 },
  { action: 'box', label: 'Put a box around', key: 'B', icon: BoxSelect },
  { action: 'unwrap', label: 'Take the container away', key: 'U', icon: Ungroup },
  { action: 'piece', label: 'Keep as a piece', key: 'K', icon: Library },
  { action: 'share', label: 'Make the section a part of all pages', key: 'E', icon: PanelTop },
  { action: 'into', label: 'Into the piece, and back', key: 'I', icon: LogIn },
  { action: 'rename', label: 'Rename', key: 'F2', icon: Pencil },
  { action: 'remove', label: 'Remove', key: 'Delete', icon: Trash2 },
];

/** What can be done with the thing in hand. */
export function HandBar({ kind, count, onAct }: Props) {
  return (
    <div role="toolbar" aria-label="Thing in hand" className="border-y border-line py-1">
      <p className="flex items-baseline gap-2 text-[12.5px] px-1 pb-0.5">
        <span className="font-semibold capitalize mr-auto">
          {count > 1 ? `${count} in hand` : kind}
        </span>
        <button
          type="button"
          className="text-verdigris font-medium inline-flex items-center gap-1 hover:underline"
          title="Add (A)"
          aria-label="Add"
          onClick={(event) => {
            onAct('add', event.currentTarget.getBoundingClientRect());
          }}
        >
          <Plus size={13} className="self-center" /> Add
        </button>
        <button
          type="button"
          className="text-verdigris font-medium inline-flex items-center gap-1 hover:underline"
          title="The library, to try pieces in place (L)"
          aria-label="Library"
          onClick={(event) => {
            onAct('library', event.currentTarget.getBoundingClientRect());
          }}
        >
          <LibraryBig size={13} className="self-center" /> Library
        </button>
      </p>
      <div className="flex flex-wrap gap-px">
        {tools.map(({ action, label, key, icon: Icon }) => (
          <button
            key={action}
            type="button"
            aria-label={action === 'remove' ? `Remove ${kind}` : label}
            title={`${label} (${key})`}
            disabled={
              kind === 'page' && action !== 'paste' && action !== 'copy' && action !== 'into'
            }
            onClick={(event) => {
              onAct(action, event.currentTarget.getBoundingClientRect());
            }}
            className="size-6 grid place-items-center hover:bg-sheet rounded-[2px] disabled:text-soft/40 disabled:hover:bg-transparent"
          >
            <Icon size={15} />
          </button>
        ))}
      </div>
    </div>
  );
}
