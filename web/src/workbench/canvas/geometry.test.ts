// @vitest-environment jsdom
import { beforeEach, describe, expect, it } from 'vitest';
import { sceneOf, type Scene } from '../../testing/scene';
import { boxOf, landingAt, nodesAt, type Load } from './geometry';

const html = `
  <section class="section" data-node="map" data-box="0 0 1000 400"><h2 class="heading"
    data-node="h" data-box="100 20 800 60">Plots</h2><div class="row" data-node="row"
    data-box="100 100 800 200"><div class="column" data-node="left" data-box="100 100 390 200"><p
    class="text" data-node="t" data-box="100 100 390 40">Words</p><p class="text" data-node="u"
    data-box="100 150 390 40">More</p></div><div class="column" data-node="right"
    data-box="510 100 390 200"></div></div></section><section class="section" data-node="notice"
    data-box="0 400 1000 200"><p class="text" data-node="n" data-box="100 420 800 40">Notice</p></section>`;

const text: Load = { kind: 'text', nodes: [] };
let scene: Scene;
beforeEach(() => {
  scene = sceneOf(html);
});
const at = (x: number, y: number, load = text) =>
  landingAt(scene.canvas, scene.tree, { x, y }, load);

describe('where a thing would land', () => {
  it('is before or after what the pointer is on, by its middle', () => {
    expect(at(300, 110)).toMatchObject({ how: 'into', target: 'left', before: 't' });
    expect(at(300, 130)).toMatchObject({ target: 'left', before: 'u', says: 'before “More”' });
    expect(at(300, 280)).toMatchObject({ target: 'left', before: '', says: 'after “More”' });
  });

  it('is marked by a line across the container', () => {
    expect(at(300, 110)?.line).toEqual({ x: 100, y: 100, width: 390, height: 0 });
    expect(at(300, 280)?.line).toEqual({ x: 100, y: 190, width: 390, height: 0 });
  });

  it('is in an empty column as a whole', () => {
    expect(at(700, 200)).toMatchObject({ target: 'right', before: '', says: 'into the column' });
  });

  it('is beside a thing near its edges, and never more than 40 px from them', () => {
    expect(at(110, 440)).toMatchObject({ how: 'beside', target: 'n', after: false });
    expect(at(141, 440)).toMatchObject({ how: 'into', target: 'notice' });
    expect(at(890, 440)).toMatchObject({
      how: 'beside',
      after: true,
      vertical: true,
      line: { x: 900, y: 420, width: 0, height: 40 },
      says: 'right of “Notice”',
    });
  });

  it('makes another column at the edge of a column', () => {
    expect(at(515, 250)).toMatchObject({ how: 'beside', target: 'right', after: false });
  });

  it('is between columns for a column, left or right of the middle', () => {
    const column: Load = { kind: 'column', nodes: [] };
    expect(at(600, 250, column)).toMatchObject({ how: 'beside', target: 'right', after: false });
    expect(at(800, 250, column)).toMatchObject({ target: 'right', after: true });
  });

  it('is straight on the page for a section, and for what is let go below everything', () => {
    const section: Load = { kind: 'section', nodes: [] };
    expect(at(300, 110, section)).toMatchObject({ target: 'page', before: 'map' });
    expect(at(300, 450, section)).toMatchObject({ target: 'page', before: 'notice' });
    expect(at(300, 700)).toMatchObject({ target: 'page', before: '', says: 'after the section' });
  });

  it('is never in what is carried', () => {
    const carried: Load = { kind: 'row', nodes: ['row'] };
    expect(at(300, 110, carried)).toMatchObject({ target: 'map', before: 'row' });
    expect(at(300, 30, carried)).toMatchObject({ target: 'map', before: 'h' });
  });
});

it('knows what lies under a point, the innermost first, and where it stands', () => {
  expect(nodesAt(scene.canvas, { x: 300, y: 110 })).toEqual(['t', 'left', 'row', 'map']);
  expect(boxOf(scene.canvas, 't')).toEqual({ x: 100, y: 100, width: 390, height: 40 });
  expect(boxOf(scene.canvas, 'gone')).toBeUndefined();
  expect(boxOf(undefined, 't')).toBeUndefined();
});
