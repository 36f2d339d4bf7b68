import { describe, expect, it } from 'vitest';
import { addables, addTo, hidden, moved, spotFor } from '../hands/actions';
import { freshViews, nodeView as node, workbenchAnswer } from '../../testing/samples';
import { merged } from './source';
import { siblingAfter, stepFrom, treeOf } from './tree';

const page = node('page', 'page', '');
const blocks = [
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
const tree = treeOf(page, blocks);
const at = (id: string) => tree.byId.get(id) ?? page;
const holds = ['heading', 'text', 'picture', 'row', 'box'];
const may = new Map([
  ['page', ['section', ...holds]],
  ['section', holds],
  ['row', ['column']],
  ['column', holds],
  ['box', holds],
]);

describe('the tree', () => {
  it('knows what is around a node and what is in it', () => {
    expect(tree.chain(at('picture')).map((n) => n.id)).toEqual([
      'page',
      'map',
      'row',
      'left',
      'picture',
    ]);
    expect(tree.inside('row').map((n) => n.id)).toEqual(['row', 'left', 'picture', 'right']);
  });

  it('goes a step by the keys, and stays where there is none', () => {
    expect(stepFrom(tree, at('left'), 'next').id).toBe('right');
    expect(stepFrom(tree, at('left'), 'parent').id).toBe('row');
    expect(stepFrom(tree, at('row'), 'child').id).toBe('left');
    expect(stepFrom(tree, at('row'), 'previous').id).toBe('heading');
    expect(stepFrom(tree, at('right'), 'next').id).toBe('right');
    expect(stepFrom(tree, page, 'parent').id).toBe('page');
    expect(siblingAfter(tree, at('right'))).toBe('');
  });
});

describe('where something new goes', () => {
  const listed = addables(freshViews);
  const text = listed.find((addable) => addable.kind === 'text');

  it('is the thing in hand if it can hold it, else after it, else after what is around it', () => {
    expect(spotFor(tree, may, at('left'), 'text')).toEqual({
      how: 'into',
      node: 'left',
      before: '',
    });
    expect(spotFor(tree, may, at('heading'), 'text')).toEqual({
      how: 'after',
      node: 'map',
      before: 'row',
    });
    expect(spotFor(tree, may, at('picture'), 'section')).toEqual({
      how: 'after',
      node: 'page',
      before: 'notice',
    });
  });

  it('is asked for with the count of a row’s columns only', () => {
    const three = listed.find((addable) => addable.kind === 'row');
    const spot = { how: 'into', node: 'map', before: '' } as const;
    expect(text && addTo(spot, text)).toEqual({
      type: 'ADD',
      node: 'map',
      before: '',
      kind: 'text',
    });
    expect(three && addTo(spot, three)).toMatchObject({ kind: 'row', value: 'equal', count: 3 });
  });
});

it('moves one place among siblings, and nowhere past the ends', () => {
  expect(moved(tree, at('map'), 1)).toMatchObject({ node: 'page', nodes: ['map'], before: '' });
  expect(moved(tree, at('row'), -1)).toMatchObject({ node: 'map', before: 'heading' });
  expect(moved(tree, at('map'), -1)).toBeUndefined();
  expect(moved(tree, page, 1)).toBeUndefined();
});

it('hides several by what the first one is', () => {
  const seen = node('a', 'text', 'page');
  const unseen = { ...node('b', 'text', 'page'), hiddenOn: ['phone'] };
  expect(hidden([seen, unseen], 'phone')).toMatchObject({ nodes: ['a', 'b'], on: true });
  expect(hidden([unseen, seen], 'phone')).toMatchObject({ on: false });
  expect(hidden([], 'phone')).toBeUndefined();
});

describe('an answer put together with what was there', () => {
  const answer = workbenchAnswer({ version: 2, blocks: [{ id: 'notice' }, { id: 'map' }] });
  const before = { ...answer, css: 'a{}', blocks, fresh: freshViews };

  it('keeps the same blocks and the style sheet where nothing new is said of them', () => {
    const view = merged(before, answer);
    expect(view.css).toBe('a{}');
    expect(view.fresh).toBe(freshViews);
    expect(view.blocks.map((block) => block.id)).toEqual(['notice', 'map']);
    expect(view.blocks[1]).toBe(blocks[0]);
  });

  it('takes what is new, and leaves out what is gone', () => {
    const map = { id: 'map', html: '<section>1</section>', nodes: [at('map')] };
    const view = merged(before, { ...answer, css: 'b{}', blocks: [map], fresh: [] });
    expect(view.css).toBe('b{}');
    expect(view.fresh).toEqual([]);
    expect(view.blocks).toEqual([map]);
  });
});
