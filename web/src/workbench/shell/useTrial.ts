import { useMemo } from 'react';
import type { Drawing } from '../engine/drawing';
import { itemNodes } from '../engine/items';
import {
  merged,
  type NodeView,
  type PlacementView,
  type Source,
  type WorkbenchAnswer,
  type WorkbenchView,
} from '../engine/source';
import { treeOf, type Tree } from '../engine/tree';
import { useTrying } from '../hands/useTrying';

/** What is drawn in the place of the document, with what it puts down in hand. */
export type Trial = {
  drawing: Drawing;
  tree: Tree;
  inHand: NodeView;
  placements: readonly PlacementView[];
  pieces: ReadonlyMap<string, string>;
  items: ReadonlySet<string>;
};

function trialOf(view: WorkbenchView): Trial {
  const tree = treeOf(view.page, view.blocks);
  return {
    drawing: {
      language: view.language,
      css: view.css,
      open: view.open,
      blocks: view.blocks,
      around: view.around,
    },
    tree,
    inHand: tree.byId.get(view.made[0] ?? '') ?? tree.root,
    placements: view.placements,
    pieces: new Map(view.placements.map((p) => [p.id, p.pieceName])),
    items: itemNodes(view.lists),
  };
}

/**
 * What is drawn instead of the document: what an edit would come to, or what was given.
 *
 * @param shownAs what is drawn while nothing is tried; undefined for the document itself
 * @param onShownAsItIs the document itself is to be drawn again
 */
export function useTrial(
  source: Source,
  view: WorkbenchView,
  shownAs: WorkbenchAnswer | undefined,
  onShownAsItIs: (() => void) | undefined,
) {
  const { tried, refused, tryOut } = useTrying(source, view);
  const trial = useMemo(() => {
    const other = tried ?? (shownAs && merged(undefined, shownAs));
    return other && trialOf(other);
  }, [tried, shownAs]);
  /** A touch on what is only tried lets go of it. */
  const lettingGo = (deed: () => void) => {
    if (tried) tryOut(undefined);
    else if (trial) onShownAsItIs?.();
    else deed();
  };
  return { trial, refused, tryOut, lettingGo };
}
