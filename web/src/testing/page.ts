import { treeOf } from '../workbench/engine/tree';
import { nodeView as node } from './samples';

/** A page with a section, a row of two columns and a picture in it, for tests. */
export const page = node('page', 'page', '');
export const blocks = [
  {
    id: 'map',
    html: '<section></section>',
    nodes: [
      node('map', 'section', 'page'),
      node('heading', 'heading', 'map'),
      node('row', 'row', 'map'),
      node('left', 'column', 'row'),
      node('picture', 'picture', 'left'),
      node('right', 'column', 'row'),
    ],
  },
  { id: 'notice', html: '<p></p>', nodes: [node('notice', 'text', 'page')] },
];
export const tree = treeOf(page, blocks);
export const at = (id: string) => tree.byId.get(id) ?? page;
