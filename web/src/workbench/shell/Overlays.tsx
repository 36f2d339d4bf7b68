import type { ReactNode } from 'react';
import type { Problem } from '../../api/client';
import type { May, Spot } from '../hands/actions';
import { AddBox } from '../hands/AddBox';
import type { DeviceKey } from '../engine/devices';
import type { Point } from '../canvas/geometry';
import { KeepSheet } from '../hands/KeepSheet';
import { LevelChoice } from '../hands/LevelChoice';
import { ShareSheet } from '../hands/ShareSheet';
import { TieSheet } from '../hands/TieSheet';
import type { Drawing } from '../engine/drawing';
import { Preview } from './Preview';
import type { AskedEdit, NodeView, Source, WorkbenchView } from '../engine/source';
import type { Tree } from '../engine/tree';

/** What lies over the workbench; one thing at a time. */
export type Over =
  | { is: 'add'; node: string; at: Point; spot: Spot | undefined }
  | { is: 'levels'; at: Point; nodes: readonly string[] }
  | { is: 'keep' | 'tie' | 'share' | 'preview' };

type Props = {
  over: Over;
  source: Source;
  view: WorkbenchView;
  tree: Tree;
  may: May;
  drawing: Drawing;
  lead: DeviceKey;
  inHand: NodeView;
  /** The place for something that is added where the pointer is. */
  spotAt: (at: Point) => Spot | undefined;
  onOver: (over: Over | undefined) => void;
  onPick: (node: string) => void;
  onEdit: (edit: AskedEdit) => Promise<Problem | undefined>;
  onTry: (edit: AskedEdit | undefined) => void;
};

/** Sheets and boxes over the workbench. */
export function Overlays(props: Props): ReactNode {
  const { over, view, tree, may, inHand, onOver, onPick, onEdit } = props;
  const itself = view.piece ? view.id : '';
  const onClose = () => {
    onOver(undefined);
  };
  switch (over.is) {
    case 'keep':
      return (
        <KeepSheet
          source={props.source}
          node={inHand}
          client={view.piece ? '' : view.siteName}
          onEdit={onEdit}
          onClose={onClose}
        />
      );
    case 'tie':
      return (
        <TieSheet
          source={props.source}
          node={inHand}
          site={view.siteId}
          onEdit={onEdit}
          onClose={onClose}
        />
      );
    case 'share':
      return (
        <ShareSheet
          node={tree.chain(inHand)[1] ?? inHand}
          siteName={view.siteName}
          onEdit={onEdit}
          onClose={onClose}
        />
      );
    case 'add':
      return (
        <AddBox
          tree={tree}
          may={may}
          fresh={view.fresh}
          node={tree.byId.get(over.node) ?? inHand}
          at={over.at}
          spot={over.spot}
          site={view.siteId}
          itself={itself}
          onEdit={onEdit}
          onTry={props.onTry}
          onClose={onClose}
        />
      );
    case 'levels':
      return (
        <LevelChoice
          tree={tree}
          at={over.at}
          nodes={over.nodes}
          onPick={(node) => {
            onPick(node);
            onClose();
          }}
          onAdd={(at) => {
            onOver({ is: 'add', node: inHand.id, at, spot: props.spotAt(at) });
          }}
          onClose={onClose}
        />
      );
    case 'preview':
      return (
        <Preview
          drawing={props.drawing}
          tree={tree}
          section={tree.chain(inHand)[1]?.id ?? ''}
          device={props.lead}
          onClose={onClose}
        />
      );
  }
}
