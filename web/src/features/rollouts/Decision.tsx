import type { Schemas } from '../../api/client';

type Question = Schemas['QuestionView'];

type Props = {
  question: Question;
  settled: string | undefined;
  /** Whose the page is, for the label of the first choice. */
  pageName: string;
  takingBack?: boolean;
  onSettle: (settle: string) => void;
};

function cause(question: Question, takingBack: boolean): string {
  if (takingBack) {
    return question.verdict === 'gone'
      ? `“${question.nodeTitle}” is not in the older revision, but was changed here since.`
      : `${question.label} of “${question.nodeTitle}” was changed here since.`;
  }
  if (question.verdict === 'gone') {
    return `The library took “${question.nodeTitle}” away. Here it has ${question.label.toLowerCase()} of its own.`;
  }
  if (question.verdict === 'shape') {
    return `The library and the page moved things around “${question.nodeTitle}” that do not go together.`;
  }
  return `Both changed ${question.label.toLowerCase()} of “${question.nodeTitle}”. It was ${question.before}.`;
}

/** One question with its choices; what is chosen stands out by line and word. */
export function Decision({ question, settled, pageName, takingBack = false, onSettle }: Props) {
  const gone = question.verdict === 'gone';
  const choices = [
    {
      key: 'stay',
      title: gone ? 'Keep it here as the page’s own' : `Keep the ${pageName}’s`,
      value: question.page,
    },
    {
      key: 'take',
      title: takingBack ? 'Take what stood before' : gone ? 'Let it go' : 'Take the library’s',
      value: gone ? '' : question.library,
    },
  ].filter((choice) => question.choices.includes(choice.key));
  return (
    <fieldset className="mb-4">
      <legend className="mb-2">{cause(question, takingBack)}</legend>
      <div className="grid gap-2">
        {choices.map((choice) => (
          <label
            key={choice.key}
            className="flex gap-2.5 items-start border border-line bg-sheet px-3 py-2 cursor-pointer hover:border-ink has-checked:outline has-checked:outline-2 has-checked:outline-verdigris"
          >
            <input
              type="radio"
              name={question.key}
              checked={settled === choice.key}
              onChange={() => {
                onSettle(choice.key);
              }}
              className="accent-verdigris mt-1"
            />
            <span>
              <span className="font-semibold block">{choice.title}</span>
              {choice.value && choice.value !== 'nothing' && (
                <span className="text-soft">{choice.value}</span>
              )}
            </span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
