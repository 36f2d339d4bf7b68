import type { Schemas } from '../../api/client';
import { narrowing } from '../../ui/narrowing';
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

const stateWords = Object.keys(states) as State[];

/** What a card answers to each question. What is retired is in no other state. */
export const { questions, fits, countsOf } = narrowing({
  answers: {
    kind: (card: Card) => [card.kind],
    purpose: (card) => [card.purpose],
    state: (card) => (card.retired ? ['retired'] : stateWords.filter((state) => isIn(state, card))),
    client: (card) => [card.siteId === '' ? 'all' : card.siteId],
    tag: (card) => card.tags,
  },
  says,
  hidden: { question: 'state', is: (card) => card.retired },
});
export type Question = (typeof questions)[number];

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
