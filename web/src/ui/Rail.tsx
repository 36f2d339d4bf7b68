export type Asked<Question extends string> = {
  key: Question;
  title: string;
  answers: readonly { word: string; title: string }[];
};

type Props<Question extends string> = {
  asked: readonly Asked<Question>[];
  wanted: Record<Question, string>;
  counts: (question: Question, answer: string) => number;
  onSet: (answers: Readonly<Record<string, string>>) => void;
};

/** The questions that narrow a list down, each answer with how many things it would leave. */
export function Rail<Question extends string>({ asked, wanted, counts, onSet }: Props<Question>) {
  return (
    <nav aria-label="Narrow down" className="overflow-y-auto py-4 pr-2 border-r border-line">
      {asked.map(({ key, title: question, answers }) => {
        const offered = answers
          .map((answer) => ({ ...answer, n: counts(key, answer.word) }))
          .filter(({ word, n }) => n > 0 || wanted[key] === word);
        return (
          offered.length > 0 && (
            <section key={key} className="mb-4">
              <h2 className="text-[13px] px-2 mb-0.5">{question}</h2>
              <ul className="text-[13px]">
                {offered.map(({ word, title, n }) => {
                  const on = wanted[key] === word;
                  return (
                    <li key={word}>
                      <button
                        type="button"
                        aria-pressed={on}
                        className={`w-full min-h-6 flex items-center gap-2 text-left px-2 ${on ? 'bg-verdigris-tint text-verdigris-deep font-medium' : 'hover:bg-board'}`}
                        onClick={() => {
                          onSet({ [key]: on ? '' : word });
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
              </ul>
            </section>
          )
        );
      })}
    </nav>
  );
}
