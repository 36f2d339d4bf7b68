import type { Schemas } from '../../api/client';
import { narrowing } from '../../ui/narrowing';

export type Card = Schemas['PictureCard'];
export type Picture = Schemas['PictureView'];

/** What a picture says, in one word. */
export const says = {
  missing: 'Missing',
  said: 'Written',
  decoration: 'Decoration',
} as const;

export function saysOf({ alt, decoration }: Picture): keyof typeof says {
  if (decoration) return 'decoration';
  return alt === '' ? 'missing' : 'said';
}

export const uses = { used: 'Used', unused: 'Used nowhere', away: 'Put away' } as const;

export const { questions, fits, countsOf } = narrowing({
  answers: {
    client: ({ picture }: Card) => [picture.siteId === '' ? 'house' : picture.siteId],
    text: ({ picture }) => [saysOf(picture)],
    use: ({ picture, uses: n }) => (picture.away ? ['away'] : [n > 0 ? 'used' : 'unused']),
    tag: ({ picture }) => picture.tags,
  },
  says: ({ picture }, words) => {
    const text = `${picture.fileName} ${picture.alt} ${picture.tags.join(' ')}`.toLowerCase();
    return words
      .toLowerCase()
      .split(/\s+/)
      .every((word) => text.includes(word));
  },
  hidden: { question: 'use', is: ({ picture }) => picture.away },
});
export type Question = (typeof questions)[number];
export type Wanted = Record<Question | 'words', string>;

/** The one after a picture in a list, or before it; the list has no end. */
export function beside(cards: readonly Card[], id: string, step: 1 | -1): Card | undefined {
  const at = cards.findIndex(({ picture }) => picture.id === id);
  return cards[(at + step + cards.length) % cards.length];
}

/** The next picture after one in a list that says nothing yet; the list has no end. */
export function nextMissing(cards: readonly Card[], id: string): Card | undefined {
  const at = cards.findIndex(({ picture }) => picture.id === id);
  return [...cards.slice(at + 1), ...cards.slice(0, Math.max(0, at))].find(
    ({ picture }) => picture.id !== id && saysOf(picture) === 'missing',
  );
}

/** Words as cameras, phones and programs write them, which say nothing of the picture. */
const sayNothing =
  /^(img|dsc[fn]?|pxl|p|mvi|image|picture|photo|screenshot|screen-?shot|untitled|scan|bild|\d+)[-\d]*(at)?[-\d]*$/;

/** A file name that says what the picture shows; empty if its own does, or nothing is known. */
export function betterName({ fileName, alt }: Pick<Picture, 'fileName' | 'alt'>): string {
  const dot = fileName.lastIndexOf('.');
  if (alt === '' || !sayNothing.test(fileName.slice(0, dot))) return '';
  const words = alt
    .normalize('NFD')
    .toLowerCase()
    .replace(/\p{M}/gu, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  const short = words.length > 60 ? words.slice(0, words.lastIndexOf('-', 60)) : words;
  return short === '' ? '' : short + fileName.slice(dot);
}
