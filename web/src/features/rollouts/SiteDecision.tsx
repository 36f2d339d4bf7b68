import type { Schemas } from '../../api/client';

type Props = {
  question: Schemas['SiteQuestionView'];
  siteName: string;
  settled: string | undefined;
  onSettle: (settle: string) => void;
};

/** A question that is asked once for a site: what all its pages show in one field from now on. */
export function SiteDecision({ question, siteName, settled, onSettle }: Props) {
  return (
    <fieldset className="mb-4">
      <legend className="mb-2">
        {question.label} of “{question.nodeTitle}”: filled once for all of {siteName} from now on.
        Its pages show different things in it.
      </legend>
      <div className="grid gap-2">
        {question.choices.map((choice) => (
          <label
            key={choice.settle}
            className="flex gap-2.5 items-start border border-line bg-sheet px-3 py-2 cursor-pointer hover:border-ink has-checked:outline has-checked:outline-2 has-checked:outline-verdigris"
          >
            <input
              type="radio"
              name={question.key}
              checked={settled === choice.settle}
              onChange={() => {
                onSettle(choice.settle);
              }}
              className="accent-verdigris mt-1"
            />
            <span className="min-w-0">
              <span className="font-semibold block [overflow-wrap:anywhere]">
                {choice.settle === 'each' ? 'Every page keeps its own' : choice.value}
              </span>
              <span className="text-soft">
                {choice.library && 'the library’s'}
                {choice.library && choice.pages.length > 0 && ', '}
                {choice.pages.length > 0 && `now on ${choice.pages.join(', ')}`}
              </span>
            </span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
