import { useEffect, useRef, useState } from 'react';
import { useAddress } from '../../ui/useAddress';
import { deviceOf, type DeviceKey } from '../engine/devices';
import type { NodeView } from '../engine/source';
import type { Tree } from '../engine/tree';

/** The node of that id, or the outermost one of the placement that has it. */
function standsFor(tree: Tree, id: string): NodeView | undefined {
  return tree.byId.get(id) ?? tree.nodes.find((node) => node.id.startsWith(`${id}/`));
}

/** What is in hand, one thing or several, and the device whose frame takes the edits. */
export function useHand(tree: Tree) {
  const { params, set } = useAddress();
  const lead = deviceOf(params.get('lead'));
  const wanted = params.get('node');
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
    hand.current = inHand.id;
  }, [inHand.id]);
  const now = (): NodeView => tree.byId.get(hand.current) ?? inHand;
  const pick = (node: string, more = false) => {
    if (!more) {
      hand.current = node;
      if (!sticky) setAlso([]);
      set({ node });
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
    set({ lead: device });
  };
  return { lead, inHand, others, held, now, pick, add, letGo, onLead };
}
