import { useCallback, useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { deviceOf, type DeviceKey } from '../engine/devices';
import type { NodeView } from '../engine/source';
import type { Tree } from '../engine/tree';

/**
 * The address as it was last asked for. It is drawn in a transition, and keys may come faster: what
 * was asked for and not drawn yet is remembered in order.
 */
function useAddress() {
  const [search, setSearch] = useSearchParams();
  const asked = useRef({ search, drawn: search, coming: [] as string[] });
  /** Whether what is drawn is what was asked for last; to be asked in an effect. */
  const settled = useCallback(() => {
    const now = asked.current;
    if (now.drawn !== search) {
      const at = now.coming.indexOf(search.toString());
      if (at < 0) now.search = search;
      now.coming = at < 0 ? [] : now.coming.slice(at + 1);
      now.drawn = search;
    }
    return now.coming.length === 0;
  }, [search]);
  const set = useCallback(
    (key: string, value: string) => {
      const next = new URLSearchParams(asked.current.search);
      next.set(key, value);
      if (next.toString() === asked.current.search.toString()) return;
      asked.current.search = next;
      asked.current.coming.push(next.toString());
      setSearch(next, { replace: true });
    },
    [setSearch],
  );
  return { search, set, settled };
}

/** The node of that id, or the outermost one of the placement that has it. */
function standsFor(tree: Tree, id: string): NodeView | undefined {
  return tree.byId.get(id) ?? tree.nodes.find((node) => node.id.startsWith(`${id}/`));
}

/** What is in hand, one thing or several, and the device whose frame takes the edits. */
export function useHand(tree: Tree) {
  const { search, set, settled } = useAddress();
  const lead = deviceOf(search.get('lead'));
  const wanted = search.get('node');
  const [also, setAlso] = useState<readonly string[]>([]);
  /** Whether what is in hand stays there while something else is taken as well. */
  const [sticky, setSticky] = useState(false);
  const inHand =
    (wanted === null ? undefined : standsFor(tree, wanted)) ??
    tree.children(tree.root.id)[0] ??
    tree.root;
  const others = also.flatMap((id) => (id === inHand.id ? [] : (tree.byId.get(id) ?? [])));
  const held = [inHand, ...others];
  /** What is in hand since the last key, also before it is drawn. */
  const hand = useRef(inHand.id);
  useEffect(() => {
    if (settled()) hand.current = inHand.id;
  }, [settled, inHand.id]);
  const now = (): NodeView => tree.byId.get(hand.current) ?? inHand;
  const pick = (node: string, more = false) => {
    if (!more) {
      hand.current = node;
      if (!sticky) setAlso([]);
      set('node', node);
    } else {
      setAlso((before) =>
        before.includes(node) ? before.filter((id) => id !== node) : [...before, node],
      );
    }
  };
  /** Keeps something in hand while others are taken. */
  const add = (node: string) => {
    setSticky(true);
    setAlso((before) => [...before.filter((id) => id !== node), node]);
  };
  /** Lets go of all but one; false if there is only one. */
  const letGo = () => {
    setAlso([]);
    setSticky(false);
    return also.length > 0;
  };
  const onLead = (device: DeviceKey) => {
    set('lead', device);
  };
  return { lead, inHand, others, held, now, pick, add, letGo, onLead };
}
