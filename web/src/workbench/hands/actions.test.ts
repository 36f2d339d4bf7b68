import { describe, expect, it } from 'vitest';
import { at, page, tree } from '../../testing/page';
import { freshViews, nodeView as node } from '../../testing/samples';
import { addables, addTo, hidden, moved, spotFor } from './actions';

const holds = ['heading', 'text', 'picture', 'row', 'box'];
const may = new Map([
  ['page', ['section', ...holds]],
  ['section', holds],
  ['row', ['column']],
  ['column', holds],
  ['box', holds],
]);

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
    expect(spotFor(tree, may, at('picture'), 'section', true)).toBeUndefined();
    expect(spotFor(tree, may, at('left'), 'text', true)).toBeDefined();
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
