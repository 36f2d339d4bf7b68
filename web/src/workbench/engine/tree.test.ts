import { describe, expect, it } from 'vitest';
import { freshViews, workbenchAnswer } from '../../testing/samples';
import { at, blocks, page, tree } from '../../testing/page';
import { merged } from './source';
import { siblingAfter, stepFrom } from './tree';

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

describe('an answer put together with what was there', () => {
  const answer = workbenchAnswer({ version: 2, blocks: [{ id: 'notice' }, { id: 'map' }] });
  const around = { before: '<main><div class="own">', after: '</div></main>', parts: [] };
  const before = { ...answer, css: 'a{}', blocks, fresh: freshViews, around };

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
