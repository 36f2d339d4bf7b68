import type { Schemas } from '../../api/client';
import { says } from '../../workbench/hands/actions';

export type Card = Schemas['PieceCard'];

export const sorts = ['name', 'reach', 'changed'] as const;
export type Sort = (typeof sorts)[number];

/** What of the library is to be seen; "" leaves a question open. */
export type Wanted = {
  words: string;
  kind: string;
  purpose: string;
  /** The id of a client for what is its own only, or `all` for what is for all of them. */
  client: string;
  state: State | '';
  tag: string;
  sort: Sort;
};

export const states = {
  used: 'Used',
  unused: 'Not used',
  draft: 'With a draft',
  only: 'A draft only',
  waiting: 'Waits to be rolled out',
  variants: 'With variants',
  retired: 'Retired',
} as const;
export type State = keyof typeof states;

export const everything: Wanted = {
  words: '',
  kind: '',
  purpose: '',
  client: '',
  state: '',
  tag: '',
  sort: 'name',
};

function isIn(state: State, card: Card): boolean {
  switch (state) {
    case 'used':
      return card.reach.placements > 0;
    case 'unused':
      return card.reach.placements === 0;
    case 'draft':
      return card.draft;
    case 'only':
      return card.current === 0;
    case 'waiting':
      return card.behind.length > 0;
    case 'variants':
      return card.variants > 0;
    case 'retired':
      return card.retired;
  }
}

export const questions = ['kind', 'purpose', 'state', 'client', 'tag'] as const;
export type Question = (typeof questions)[number];

const stateWords = Object.keys(states) as State[];

/** What a card answers to each question. What is retired is in no other state. */
const answersOf: Record<Question, (card: Card) => readonly string[]> = {
  kind: (card) => [card.kind],
  purpose: (card) => [card.purpose],
  client: (card) => [card.siteId === '' ? 'all' : card.siteId],
  state: (card) => (card.retired ? ['retired'] : stateWords.filter((state) => isIn(state, card))),
  tag: (card) => card.tags,
};

/** Whether a card answers a question as it is asked; what is retired is seen only where it is asked for. */
function isAnswered(card: Card, wanted: Wanted, question: Question): boolean {
  const asked = wanted[question];
  if (asked === '') return question !== 'state' || !card.retired;
  return answersOf[question](card).includes(asked);
}

/** Whether a card answers everything that is asked. */
function fits(card: Card, wanted: Wanted): boolean {
  return (
    questions.every((question) => isAnswered(card, wanted, question)) && says(card, wanted.words)
  );
}

/** One for all comparisons: making one for each took longer than all the rest of the filtering. */
const collator = new Intl.Collator('en-GB');

const orders: Record<Sort, (a: Card, b: Card) => number> = {
  name: () => 0,
  reach: (a, b) => b.reach.placements - a.reach.placements,
  changed: (a, b) => Date.parse(b.changed) - Date.parse(a.changed),
};

/** The cards that are wanted, in the wanted order. */
export function wantedOf(cards: readonly Card[], wanted: Wanted): readonly Card[] {
  return cards
    .filter((card) => fits(card, wanted))
    .sort((a, b) => orders[wanted.sort](a, b) || collator.compare(a.name, b.name));
}

/**
 * How many cards there would be if a question were answered so, the others as they are: found for
 * all answers in one go through the cards.
 */
export function countsOf(
  cards: readonly Card[],
  wanted: Wanted,
): (question: Question, answer: string) => number {
  const counts = new Map<string, number>();
  for (const card of cards) {
    if (!says(card, wanted.words)) continue;
    const open = questions.filter((question) => !isAnswered(card, wanted, question));
    if (open.length > 1) continue;
    for (const question of open.length === 1 ? open : questions) {
      for (const answer of answersOf[question](card)) {
        const key = `${question} ${answer}`;
        counts.set(key, (counts.get(key) ?? 0) + 1);
      }
    }
  }
  return (question, answer) => counts.get(`${question} ${answer}`) ?? 0;
}

/** All tags, by how many pieces have them. */
export function tagsOf(cards: readonly Card[]): readonly string[] {
  const counts = new Map<string, number>();
  for (const tag of cards.flatMap((card) => card.tags)) {
    counts.set(tag, (counts.get(tag) ?? 0) + 1);
  }
  return [...counts].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0])).map(([tag]) => tag);
}
