import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import {
  countsOf,
  states,
  tagsOf,
  type Card,
  type Question,
  type State,
  type Wanted,
} from './filter';

type Props = {
  cards: readonly Card[];
  wanted: Wanted;
  choices: Schemas['Choices'];
  clients: readonly { id: string; name: string }[];
  onSet: (key: string, value: string) => void;
};

const MOST_TAGS = 12;

/** The questions that narrow the library down, each answer with how many pieces it would leave. */
export function FilterRail({ cards, wanted, choices, clients, onSet }: Props) {
  const counts = countsOf(cards, wanted);
  const asked: { key: Question; answers: { word: string; title: string }[] }[] = [
    { key: 'kind', answers: choices.kinds },
    { key: 'purpose', answers: choices.purposes },
    {
      key: 'state',
      answers: (Object.keys(states) as State[]).map((word) => ({ word, title: states[word] })),
    },
    {
      key: 'client',
      answers: [
        { word: 'all', title: 'For all clients' },
        ...clients.map(({ id, name }) => ({ word: id, title: name })),
      ],
    },
    {
      key: 'tag',
      answers: tagsOf(cards)
        .slice(0, MOST_TAGS)
        .map((tag) => ({ word: tag, title: tag })),
    },
  ];
  return (
    <nav aria-label="Narrow down" className="overflow-y-auto py-4 pr-2 border-r border-line">
      {asked.map(({ key, answers }) => {
        const offered = answers
          .map((answer) => ({ ...answer, n: counts(key, answer.word) }))
          .filter(({ word, n }) => n > 0 || wanted[key] === word);
        return (
          offered.length > 0 && (
            <Question key={key} title={titles[key]}>
              {offered.map(({ word, title, n }) => {
                const on = wanted[key] === word;
                return (
                  <li key={word}>
                    <button
                      type="button"
                      aria-pressed={on}
                      className={`w-full min-h-6 flex items-center gap-2 text-left px-2 ${on ? 'bg-verdigris-tint text-verdigris-deep font-medium' : 'hover:bg-board'}`}
                      onClick={() => {
                        onSet(key, on ? '' : word);
                      }}
                    >
                      <span className="min-w-0 truncate" title={title}>
                        {title}
                      </span>
                      <span className="ml-auto text-soft font-normal">{n}</span>
                    </button>
                  </li>
                );
              })}
            </Question>
          )
        );
      })}
    </nav>
  );
}

const titles = {
  kind: 'Kind',
  purpose: 'Purpose',
  state: 'State',
  client: 'Client',
  tag: 'Tag',
};

function Question({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="mb-4">
      <h2 className="text-[13px] px-2 mb-0.5">{title}</h2>
      <ul className="text-[13px]">{children}</ul>
    </section>
  );
}
