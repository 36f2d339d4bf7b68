import type { Schemas } from '../../api/client';
import { tagsOf } from '../../ui/narrowing';
import { Rail, type Asked } from '../../ui/Rail';
import { countsOf, states, type Card, type Question, type State, type Wanted } from './filter';

type Props = {
  cards: readonly Card[];
  wanted: Wanted;
  choices: Schemas['Choices'];
  clients: readonly { id: string; name: string }[];
  onSet: (answers: Readonly<Record<string, string>>) => void;
};

const MOST_TAGS = 12;

/** The questions that narrow the library down. */
export function FilterRail({ cards, wanted, choices, clients, onSet }: Props) {
  const asked: Asked<Question>[] = [
    { key: 'kind', title: 'Kind', answers: choices.kinds },
    { key: 'purpose', title: 'Purpose', answers: choices.purposes },
    {
      key: 'state',
      title: 'State',
      answers: (Object.keys(states) as State[]).map((word) => ({ word, title: states[word] })),
    },
    {
      key: 'client',
      title: 'Client',
      answers: [
        { word: 'all', title: 'For all clients' },
        ...clients.map(({ id, name }) => ({ word: id, title: name })),
      ],
    },
    {
      key: 'tag',
      title: 'Tag',
      answers: tagsOf(cards)
        .slice(0, MOST_TAGS)
        .map((tag) => ({ word: tag, title: tag })),
    },
  ];
  return <Rail asked={asked} wanted={wanted} counts={countsOf(cards, wanted)} onSet={onSet} />;
}
