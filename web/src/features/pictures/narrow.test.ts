import { expect, test } from 'vitest';
import { beside, betterName, countsOf, fits, nextMissing, type Card } from './narrow';

function card(id: string, part: Partial<Card['picture']> = {}, uses = 1): Card {
  return {
    uses,
    earlier: false,
    picture: {
      id,
      siteId: '',
      fileName: `${id}.jpg`,
      mediaType: 'image/jpeg',
      width: 30,
      height: 20,
      version: 0,
      etag: '',
      alt: '',
      decoration: false,
      tags: [],
      focusX: 0.5,
      focusY: 0.5,
      away: false,
      ...part,
    },
  };
}

const open = { words: '', client: '', text: '', use: '', tag: '' };
const all = [
  card('quay', { alt: 'The quay', siteId: 'ferries', tags: ['sea'] }),
  card('dots', { decoration: true }),
  card('shed', { siteId: 'plots' }, 0),
  card('boat', { siteId: 'ferries' }),
  card('old', { away: true }, 0),
];

function found(part: Partial<typeof open>) {
  return all.filter((one) => fits(one, { ...open, ...part })).map(({ picture }) => picture.id);
}

test('pictures are found by whose they are, what they say, where they are used and by words', () => {
  expect(found({})).toEqual(['quay', 'dots', 'shed', 'boat']);
  expect(found({ client: 'ferries' })).toEqual(['quay', 'boat']);
  expect(found({ client: 'house' })).toEqual(['dots']);
  expect(found({ text: 'missing' })).toEqual(['shed', 'boat']);
  expect(found({ use: 'unused' })).toEqual(['shed']);
  expect(found({ use: 'away' })).toEqual(['old']);
  expect(found({ words: 'QUAY sea' })).toEqual(['quay']);
  expect(countsOf(all, { ...open, client: 'ferries' })('text', 'missing')).toBe(1);
});

test('from one picture to the next and to the next that says nothing, round and round', () => {
  expect(beside(all, 'quay', -1)?.picture.id).toBe('old');
  expect(beside(all, 'old', 1)?.picture.id).toBe('quay');
  expect(nextMissing(all, 'shed')?.picture.id).toBe('boat');
  expect(nextMissing(all.slice(0, 4), 'boat')?.picture.id).toBe('shed');
  expect(nextMissing([all[0] as Card], 'quay')).toBeUndefined();
});

test('a name that says nothing gives way to what the picture shows', () => {
  const alt = 'A façade, seen from the quay';
  expect(betterName({ fileName: 'img-0231.jpg', alt })).toBe('a-facade-seen-from-the-quay.jpg');
  expect(betterName({ fileName: '20260712-101500.png', alt })).toMatch(/^a-facade.*\.png$/);
  expect(betterName({ fileName: 'facade.jpg', alt })).toBe('');
  expect(betterName({ fileName: 'dsc-1.jpg', alt: '' })).toBe('');
  expect(betterName({ fileName: 'dsc-1.jpg', alt: '写真' })).toBe('');
  expect(betterName({ fileName: 'dsc-1.jpg', alt: 'long '.repeat(30) }).length).toBeLessThan(66);
});
