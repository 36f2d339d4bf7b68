import { createContext, useContext, useState } from 'react';
import type { Problem } from '../api/client';

/** Counts how often it was decided whose change holds, one's own or another's. */
export const Settled = createContext(0);

/**
 * What is typed into a field before it is saved. It is kept when saving fails, and gives way to the
 * document's value once that changes, or once it is decided whose change holds.
 */
export function useDraft(value: string, save: (typed: string) => Promise<Problem | undefined>) {
  const [typed, setTyped] = useState<string>();
  const [problem, setProblem] = useState<Problem>();
  const [failedText, setFailedText] = useState<string>();
  const [known, setKnown] = useState(value);
  if (known !== value) {
    setKnown(value);
    if (!problem) setTyped(undefined);
  }
  const settled = useContext(Settled);
  const [decided, setDecided] = useState(settled);
  if (decided !== settled) {
    setDecided(settled);
    if (problem?.stale) {
      setTyped(undefined);
      setProblem(undefined);
    }
  }

  const commit = async (next: string | undefined = typed) => {
    if (next === undefined || next === value) {
      setTyped(undefined);
      setProblem(undefined);
      return;
    }
    const failed = await save(next);
    setProblem(failed);
    setFailedText(failed ? next : undefined);
    if (!failed) setTyped(undefined);
  };
  /** Leaving the field saves it, but does not try again what was just refused. */
  const leave = async () => {
    if (typed === undefined || typed !== failedText) await commit();
  };
  const drop = () => {
    setTyped(undefined);
    setProblem(undefined);
  };
  return {
    text: typed ?? value,
    dirty: typed !== undefined,
    typed: setTyped,
    commit,
    leave,
    drop,
    problem,
  };
}
