// @vitest-environment jsdom
import { describe, expect, it } from 'vitest';
import {
  readGradient,
  readShadow,
  writeFluid,
  writeGradient,
  writeShadow,
} from '../features/finishes/composite';
import { divided, type Unit } from '../workbench/canvas/divided';
import { foretell } from '../workbench/engine/foretell';
import type { AskedEdit, FreshView } from '../workbench/engine/source';
import { addTo, spotFor } from '../workbench/hands/actions';
import told from './foretold.json';
import { sceneOf } from './scene';

/** The page of which the core has told what comes of everything (ForetoldTest). */
const html = `
  <section class="section" data-node="map"><h2 class="heading" data-node="h">Plots</h2><div
    class="row" data-node="row"><div class="column" data-node="left"><p class="text"
    data-node="t">Words</p><p class="text" data-node="u">More</p></div><div class="column"
    data-node="right"><div class="picture" data-node="p"></div></div></div></section><section
    class="section" data-node="notice"><p class="text" data-node="n">Notice</p></section>`;

const fresh: readonly FreshView[] = [
  {
    title: 'Row of 2',
    kind: 'row',
    value: 'equal',
    count: 2,
    html: '<div class="row"><div class="column"></div><div class="column"></div></div>',
  },
  ...['text', 'row', 'box', 'column', 'section'].map((kind) => ({
    title: kind,
    kind,
    value: '',
    count: 0,
    html: `<div class="${kind}"></div>`,
  })),
];

const may = new Map(told.may as [string, string[]][]);
const deeds = told.deeds as unknown as [AskedEdit, string][];

describe('what is drawn before the server answers', () => {
  const before = sceneOf(html).shown();
  const drawn = deeds.map(([edit, core]) => {
    const scene = sceneOf(html);
    foretell(scene.canvas, scene.tree, fresh, edit);
    return { edit, core, shown: scene.shown() };
  });

  it('is what the core does, or nothing; what it refuses is put back', () => {
    for (const { edit, core, shown } of drawn) {
      if (shown !== before && core !== '') expect(shown, JSON.stringify(edit)).toBe(core);
    }
  });

  it('is told of most moves that the core makes, and of each sort', () => {
    const done = drawn.filter(({ core }) => core !== '' && core !== before);
    const seen = done.filter(({ shown }) => shown !== before);
    expect(new Set(seen.map(({ edit }) => edit.type))).toEqual(
      new Set(done.map(({ edit }) => edit.type)),
    );
    expect(seen.length / done.length).toBeGreaterThan(0.5);
  });
});

describe('the nearest place for something new', () => {
  const { tree } = sceneOf(html);
  const outcome = new Map(deeds.map(([edit, core]) => [JSON.stringify(edit), core]));

  it.each(told.nearest as [string, string, string][])('from %s for a %s', (hand, kind, core) => {
    const node = tree.byId.get(hand);
    const spot = node && spotFor(tree, may, node, kind);
    const asked =
      spot && addTo(spot, { key: kind, title: kind, hint: '', kind, value: '', count: 0 });
    const { type, node: home, before } = asked as { type: string; node: string; before: string };
    expect(outcome.get(JSON.stringify({ type, node: home, kind, before }))).toBe(core);
  });
});

it.each(told.fluid as [number, number, number, number, string][])(
  'a size from %d to %d px between %d and %d px is written as the core writes it',
  (least, greatest, from, to, css) => {
    expect(writeFluid({ least, greatest, from, to })).toBe(css);
  },
);

it.each(told.divided as [Unit, number, number, boolean, number][])(
  'in %s of %d a wish for %d, free: %s, is settled as the core settles it',
  (unit, both, wanted, free, core) => {
    expect(divided(unit, both, wanted, free)).toBe(core);
  },
);

type Parts = Record<string, string>;

describe('values of several parts', () => {
  it.each(told.shadows as unknown as [string, Parts][])('the shadow %s', (css, core) => {
    const layers = readShadow(css);
    const parts = layers.flatMap((layer, i) => {
      const at = layers.length === 1 ? '' : `${i}/`;
      return [
        [`${at}color`, layer.colour],
        [`${at}offsetX`, layer.x],
        [`${at}offsetY`, layer.y],
        [`${at}blur`, layer.blur],
        [`${at}spread`, layer.spread],
        ...(layer.inset ? [[`${at}inset`, 'true']] : []),
      ];
    });
    expect(Object.fromEntries(parts)).toEqual(core);
    expect(readShadow(writeShadow(layers))).toEqual(layers);
  });

  it.each(told.gradients as unknown as [string, Parts][])('the gradient %s', (css, core) => {
    const read = readGradient(css);
    const { direction, ...stops } = core;
    expect(read?.angle).toBe(direction === undefined ? 180 : parseFloat(direction));
    const parts = read?.stops.flatMap((stop, i) => [
      [`${i}/color`, stop.colour],
      [`${i}/position`, `${stop.position}%`],
    ]);
    expect(Object.fromEntries(parts ?? [])).toEqual(stops);
    expect(read && readGradient(writeGradient(read))).toEqual(read);
  });
});
