// @vitest-environment jsdom
import { beforeEach, describe, expect, it } from 'vitest';
import { sceneOf, type Scene } from '../../testing/scene';
import { foretell } from './foretell';
import type { AskedEdit, FreshView } from './source';

const html = `
  <section class="section" data-node="map"><h2 class="heading" data-node="h">Plots</h2><div
    class="row" data-node="row"><div class="column" data-node="left"><p class="text"
    data-node="t">Words</p><p class="text" data-node="u">More</p></div><div class="column"
    data-node="right"><div class="picture" data-node="p"></div></div></div></section><section
    class="section" data-node="notice"><p class="text" data-node="n">Notice</p></section>`;

const fresh: readonly FreshView[] = [
  {
    title: 'Text',
    kind: 'text',
    value: '',
    count: 0,
    html: '<p class="text g1" data-node="fresh-1">A new line of text.</p>',
  },
  {
    title: 'Row of 2',
    kind: 'row',
    value: 'equal',
    count: 2,
    html: '<div class="row g2" data-node="fresh-2"><div class="column" data-node="fresh-3"></div><div class="column" data-node="fresh-4"></div></div>',
  },
];

let scene: Scene;
const before = 'map(h row(left(t u) right(p))) notice(n)';
beforeEach(() => {
  scene = sceneOf(html);
});

function after(edit: AskedEdit): string {
  foretell(scene.canvas, scene.tree, fresh, edit);
  return scene.shown();
}

describe('what is drawn before the server answers', () => {
  it('begins with what stands there', () => {
    expect(scene.shown()).toBe(before);
  });

  it('takes away what is removed, once where it lies in another', () => {
    expect(after({ type: 'REMOVE', nodes: ['left', 't'] })).toBe('map(h row(right(p))) notice(n)');
    expect([...scene.astray]).toEqual(['map']);
  });

  it('puts a copy after what is duplicated, with no ids of its own', () => {
    expect(after({ type: 'DUPLICATE', nodes: ['notice'] })).toBe(
      'map(h row(left(t u) right(p))) notice(n) new section(new text)',
    );
  });

  it('moves things into another container and among their siblings', () => {
    expect(after({ type: 'MOVE', node: 'right', nodes: ['n', 't'], before: 'p' })).toBe(
      'map(h row(left(u) right(t n p))) notice',
    );
    expect([...scene.astray].sort()).toEqual(['map', 'notice']);
    expect(after({ type: 'MOVE', node: 'page', nodes: ['notice'], before: 'map' })).toBe(
      'notice map(h row(left(u) right(t n p)))',
    );
  });

  it('moves a column within its row', () => {
    expect(after({ type: 'MOVE', node: 'row', nodes: ['right'], before: 'left' })).toBe(
      'map(h row(right(p) left(t u))) notice(n)',
    );
  });

  it('puts something new into a container, straight on the page too', () => {
    expect(after({ type: 'ADD', node: 'map', kind: 'text', before: 'row' })).toBe(
      'map(h new text row(left(t u) right(p))) notice(n)',
    );
    expect(after({ type: 'ADD', node: 'page', kind: 'row', value: 'equal', count: 2 })).toBe(
      'map(h new text row(left(t u) right(p))) notice(n) new row(new column new column)',
    );
  });

  it('puts things beside another in a row of two', () => {
    expect(after({ type: 'ADD_BESIDE', node: 'n', kind: 'text', after: true })).toBe(
      'map(h row(left(t u) right(p))) notice(new row(new column(n) new column(new text)))',
    );
    expect(after({ type: 'MOVE_BESIDE', node: 'h', nodes: ['u', 't'], after: false })).toBe(
      'map(new row(new column(t u) new column(h)) row(left right(p))) notice(new row(new column(n) new column(new text)))',
    );
  });
});

describe('what is not plain is left to the server', () => {
  it.each<[string, AskedEdit]>([
    ['a column copied: the others give way', { type: 'DUPLICATE', nodes: ['left'] }],
    ['a thing carried into a row gets a column', { type: 'MOVE', node: 'row', nodes: ['h'] }],
    ['a column carried elsewhere', { type: 'MOVE', node: 'notice', nodes: ['left'] }],
    ['a thing carried into itself', { type: 'MOVE', node: 'left', nodes: ['map'] }],
    ['something new in a row', { type: 'ADD', node: 'row', kind: 'text' }],
    ['a new column', { type: 'ADD', node: 'map', kind: 'column' }],
    ['a thing of which is not known how it looks', { type: 'ADD', node: 'map', kind: 'button' }],
    ['beside a column', { type: 'ADD_BESIDE', node: 'left', kind: 'text', after: true }],
    [
      'beside what is alone in its column',
      { type: 'ADD_BESIDE', node: 'p', kind: 'text', after: false },
    ],
    ['beside a section', { type: 'ADD_BESIDE', node: 'map', kind: 'text', after: true }],
    ['beside itself', { type: 'MOVE_BESIDE', node: 'n', nodes: ['notice'], after: true }],
    ['what changes rules', { type: 'MIRROR', node: 'map' }],
    ['into what is gone', { type: 'ADD', node: 'gone', kind: 'text' }],
  ])('%s', (_, edit) => {
    expect(after(edit)).toBe(before);
    expect(scene.astray.size).toBe(0);
  });
});
