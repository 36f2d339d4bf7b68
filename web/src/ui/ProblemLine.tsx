import type { Problem } from '../api/client';

/** What is wrong with what was typed, under its field. */
export function ProblemLine({ id, problem }: { id: string; problem: Problem | undefined }) {
  if (!problem) return null;
  return (
    <p id={id} role="alert" className="text-brick text-[12.5px] mt-0.5">
      {problem.message}
    </p>
  );
}
