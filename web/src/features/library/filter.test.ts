import { describe, expect, it } from 'vitest';
import {
  countsOf,
  everything,
  states,
  wantedOf,
  type Card,
  type Question,
  type Wanted,
} from './filter';
import { tagsOf } from '../../ui/narrowing';

function card(id: string, more: Partial<Card> = {}): Card {
  return {
    id,
    name: id,
    kind: 'section-template',
    purpose: 'cards',
    tags: [],
    notes: '',
    siteId: '',
    root: 'section',
    current: 1,
    draft: false,
    retired: false,
    variants: 0,
    words: '',
    changed: '2026-01-01T00:00:00Z',
    reach: { placements: 0, pages: 0, sites: 0, held: 0 },
    behind: [],
    etag: '',
    ...more,
  };
}

const cards = [
  card('Opening', { purpose: 'opening', tags: ['tall'], words: 'Say what it is', variants: 2 }),
  card('Fares', { purpose: 'prices', siteId: 'ferries', tags: ['tall', 'money'], draft: true }),
  card('Pair', {
    kind: 'saved-block',
    purpose: 'small-part',
    notes: 'Two buttons',
    reach: { placements: 9, pages: 3, sites: 2, held: 0 },
    changed: '2026-02-01T00:00:00Z',
    behind: ['Oakum Rope Museum'],
  }),
  card('Old band', { retired: true }),
];
const names = (more: object) => wantedOf(cards, { ...everything, ...more }).map((c) => c.name);

describe('what of the library is wanted', () => {
  it('is everything that is not retired, by name', () => {
    expect(names({})).toEqual(['Fares', 'Opening', 'Pair']);
    expect(names({ state: 'retired' })).toEqual(['Old band']);
  });

  it('is found by every word of its name, tags, notes and words', () => {
    expect(names({ words: 'two but' })).toEqual(['Pair']);
    expect(names({ words: 'TALL' })).toEqual(['Fares', 'Opening']);
    expect(names({ words: 'tall what' })).toEqual(['Opening']);
    expect(names({ words: 'nowhere' })).toEqual([]);
  });

  it('answers all questions together', () => {
    expect(names({ kind: 'saved-block' })).toEqual(['Pair']);
    expect(names({ client: 'all' })).toEqual(['Opening', 'Pair']);
    expect(names({ client: 'ferries', tag: 'money' })).toEqual(['Fares']);
    expect(names({ client: 'ferries', purpose: 'opening' })).toEqual([]);
    expect(names({ state: 'waiting' })).toEqual(['Pair']);
    expect(names({ state: 'draft' })).toEqual(['Fares']);
    expect(names({ state: 'variants' })).toEqual(['Opening']);
    expect(names({ state: 'used' })).toEqual(['Pair']);
    expect(names({ state: 'unused' })).toEqual(['Fares', 'Opening']);
  });

  it('can be a draft only', () => {
    const begun = [...cards, card('Begun', { current: 0, draft: true })];
    const only = wantedOf(begun, { ...everything, state: 'only' });
    expect(only.map((each) => each.name)).toEqual(['Begun']);
  });

  it('stands in the order that is asked for', () => {
    expect(names({ sort: 'reach' })).toEqual(['Pair', 'Fares', 'Opening']);
    expect(names({ sort: 'changed' })).toEqual(['Pair', 'Fares', 'Opening']);
  });
});

it('counts what each answer would leave, the other questions as they are', () => {
  const asked: Partial<Wanted>[] = [
    {},
    { purpose: 'opening' },
    { state: 'retired' },
    { state: 'unused', tag: 'tall' },
    { client: 'ferries', kind: 'section-template' },
    { words: 'two' },
  ];
  const answers: [Question, string][] = [
    ...Object.keys(states).map((state): [Question, string] => ['state', state]),
    ...['section-template', 'saved-block'].map((kind): [Question, string] => ['kind', kind]),
    ...['opening', 'prices', 'cards'].map((is): [Question, string] => ['purpose', is]),
    ...['all', 'ferries'].map((client): [Question, string] => ['client', client]),
    ...['tall', 'money'].map((tag): [Question, string] => ['tag', tag]),
  ];
  for (const more of asked) {
    const wanted = { ...everything, ...more };
    const counted = countsOf(cards, wanted);
    for (const [question, answer] of answers) {
      const left = wantedOf(cards, { ...wanted, [question]: answer }).length;
      expect(counted(question, answer), JSON.stringify([more, question, answer])).toBe(left);
    }
  }
});

it('lists the tags, the most used first', () => {
  expect(tagsOf(cards)).toEqual(['tall', 'money']);
});
