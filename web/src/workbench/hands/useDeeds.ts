import { useCallback, useEffect, useRef } from 'react';
import { hidden, moved } from './actions';
import type { Point } from '../canvas/geometry';
import type { HandAction } from './HandBar';
import { deedOf, type Deed } from './keys';
import type { AskedEdit, NodeView } from '../engine/source';
import { stepFrom, type Tree } from '../engine/tree';
import type { useHand } from './useHand';

type Props = {
  tree: Tree;
  hand: ReturnType<typeof useHand>;
  edit: (body: AskedEdit) => Promise<unknown>;
  undo: () => Promise<unknown>;
  redo: () => Promise<unknown>;
  /** The nodes that the last edit put down. */
  made: () => readonly string[];
  copy: () => Promise<void>;
  paste: () => void;
  /** Where a box opens that belongs to the thing in hand. */
  nearHand: () => Point;
  /** Whether the keys are needed elsewhere. */
  busy: boolean;
  onAdd: (at: Point) => void;
  onLibrary: () => void;
  onRename: () => void;
  onEnter: (node: NodeView) => void;
  onPreview: () => void;
  onKeep: () => void;
  onShare: () => void;
  onInto: () => void;
};

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLInputElement ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement
  );
}

/** What is taken in hand when a thing goes: the next one, else the one before, else what is around. */
function heir(tree: Tree, node: NodeView): NodeView {
  for (const step of ['next', 'previous'] as const) {
    const found = stepFrom(tree, node, step);
    if (found.id !== node.id) return found;
  }
  return stepFrom(tree, node, 'parent');
}

/** What can be done with what is in hand, by the bar and by the keys. */
export function useDeeds(props: Props) {
  const { tree, hand, edit, undo, redo, made, copy, paste, nearHand, busy } = props;
  const { lead, inHand, held, now: current, pick, add, letGo, onLead } = hand;

  const act = (action: HandAction, at: Point) => {
    const now = current();
    const nodes = now.id === inHand.id ? held.map((node) => node.id) : [now.id];
    switch (action) {
      case 'add':
        props.onAdd(at);
        break;
      case 'library':
        props.onLibrary();
        break;
      case 'duplicate':
        void edit({ type: 'DUPLICATE', nodes });
        break;
      case 'copy':
        void copy();
        break;
      case 'paste':
        paste();
        break;
      case 'up':
      case 'down': {
        const body = moved(tree, now, action === 'up' ? -1 : 1);
        if (body) void edit(body);
        break;
      }
      case 'rename':
        props.onRename();
        break;
      case 'mirror':
        void edit({ type: 'MIRROR', node: now.id });
        break;
      case 'row':
      case 'box':
        void edit({ type: 'WRAP', nodes, kind: action });
        break;
      case 'unwrap':
        void edit({ type: 'UNWRAP', node: now.id });
        break;
      case 'item':
        void edit({ type: 'ADD_ITEM', node: now.id });
        break;
      case 'share':
        props.onShare();
        return;
      case 'piece':
        props.onKeep();
        break;
      case 'into':
        props.onInto();
        break;
      case 'remove': {
        const next = heir(tree, now);
        void edit({ type: 'REMOVE', nodes }).then((problem) => {
          if (!problem) pick(next.id);
        });
        break;
      }
    }
  };

  const turn = (way: () => Promise<unknown>) => {
    void way().then(() => {
      const [first] = made();
      if (first !== undefined) pick(first);
    });
  };

  const run = (deed: Deed) => {
    const now = current();
    switch (deed.is) {
      case 'act':
        act(deed.action, nearHand());
        break;
      case 'step': {
        const last = deed.more ? (held[held.length - 1] ?? now) : now;
        const next = stepFrom(tree, last, deed.step);
        if (next.id !== last.id) pick(next.id, deed.more);
        break;
      }
      case 'work':
        onLead(deed.device);
        break;
      case 'undo':
        turn(undo);
        break;
      case 'redo':
        turn(redo);
        break;
      case 'cut':
        void copy().then(() => {
          act('remove', nearHand());
        });
        break;
      case 'let go':
        if (!letGo() && now.parent) pick(now.parent);
        break;
      case 'enter':
        props.onEnter(now);
        break;
      case 'keep':
        add(now.id);
        break;
      case 'find':
        document.querySelector<HTMLElement>('[data-find-setting]')?.focus();
        break;
      case 'hide': {
        const body = hidden(held, lead);
        if (body && now.parent) void edit(body);
        break;
      }
      case 'preview':
        props.onPreview();
        break;
    }
  };

  const onKey = (event: KeyboardEvent) => {
    if (event.defaultPrevented || isTyping(event.target) || busy) return;
    const target = event.target as Element | null;
    if (target?.closest('[role="dialog"], [role="menu"], [role="listbox"]')) return;
    const deed = deedOf(event);
    if (!deed) return;
    const onControl = Boolean(target?.closest('button, a, summary'));
    if (onControl && (deed.is === 'enter' || deed.is === 'keep')) return;
    const copies = deed.is === 'cut' || (deed.is === 'act' && deed.action === 'copy');
    if (copies && document.getSelection()?.toString()) return;
    if (deed.is !== 'let go') event.preventDefault();
    run(deed);
  };
  const latest = useRef(onKey);
  useEffect(() => {
    latest.current = onKey;
  });
  const key = useCallback((event: KeyboardEvent) => {
    latest.current(event);
  }, []);
  useEffect(() => {
    document.addEventListener('keydown', key);
    return () => {
      document.removeEventListener('keydown', key);
    };
  }, [key]);

  return { act, key };
}
