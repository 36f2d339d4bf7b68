/** What a list is narrowed down by: questions, each with the words that a thing answers it with. */
type Answers<Question extends string, Thing> = Record<
  Question,
  (thing: Thing) => readonly string[]
>;

type Narrowing<Question extends string, Thing> = {
  answers: Answers<Question, Thing>;
  /** Whether a thing says the words that are looked for. */
  says: (thing: Thing, words: string) => boolean;
  /** What is seen only where it is asked for. */
  hidden: { question: NoInfer<Question>; is: (thing: Thing) => boolean };
};

/** How things are found and counted by what they answer; "" leaves a question open. */
export function narrowing<Question extends string, Thing>({
  answers,
  says,
  hidden,
}: Narrowing<Question, Thing>) {
  type Wanted = Record<Question | 'words', string>;
  const questions = Object.keys(answers) as Question[];

  const isAnswered = (thing: Thing, wanted: Wanted, question: Question): boolean => {
    const asked = wanted[question];
    if (asked === '') return question !== hidden.question || !hidden.is(thing);
    return answers[question](thing).includes(asked);
  };

  /** Whether a thing answers everything that is asked. */
  const fits = (thing: Thing, wanted: Wanted): boolean =>
    questions.every((question) => isAnswered(thing, wanted, question)) && says(thing, wanted.words);

  /**
   * How many things there would be if a question were answered so, the others as they are: found
   * for all answers in one go through the things.
   */
  const countsOf = (
    things: readonly Thing[],
    wanted: Wanted,
  ): ((question: Question, answer: string) => number) => {
    const counts = new Map(questions.map((question) => [question, new Map<string, number>()]));
    for (const thing of things) {
      if (!says(thing, wanted.words)) continue;
      const open = questions.filter((question) => !isAnswered(thing, wanted, question));
      if (open.length > 1) continue;
      for (const question of open.length === 1 ? open : questions) {
        const of = counts.get(question);
        for (const answer of answers[question](thing)) of?.set(answer, (of.get(answer) ?? 0) + 1);
      }
    }
    return (question, answer) => counts.get(question)?.get(answer) ?? 0;
  };
  return { questions, fits, countsOf };
}

/** All tags, by how many things have them. */
export function tagsOf(things: readonly { tags: readonly string[] }[]): readonly string[] {
  const counts = new Map<string, number>();
  for (const tag of things.flatMap(({ tags }) => tags)) {
    counts.set(tag, (counts.get(tag) ?? 0) + 1);
  }
  return [...counts].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0])).map(([tag]) => tag);
}
