import { createContext, useContext, useEffect, useState } from 'react';
import type { Problem } from '../api/client';
import { askBeforeLeaving } from './askBeforeLeaving';

/** What typing has to do with others who work on the same document. */
type Typing = {
  /** How often it was decided whose change holds, one's own or another's. */
  settled: number;
  /**
   * Holds back what others save, from the first letter until it is let go: typing is then an edit
   * of the state in which it began, and asks if another touched the same.
   */
  hold: () => () => void;
};

/** Where nobody else is heard of, there is nothing to hold back. */
export const Typing = createContext<Typing>({ settled: 0, hold: () => () => undefined });

/** Holds back what others save as long as something is open in which a change is being made. */
export function useHold() {
  const { hold } = useContext(Typing);
  useEffect(hold, [hold]);
}

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
  const { settled, hold } = useContext(Typing);
  const [decided, setDecided] = useState(settled);
  if (decided !== settled) {
    setDecided(settled);
    if (problem?.stale) {
      setTyped(undefined);
      setProblem(undefined);
    }
  }

  const dirty = typed !== undefined;
  useEffect(() => {
    if (!dirty) return;
    const letGo = hold();
    const leave = askBeforeLeaving(() => true);
    return () => {
      letGo();
      leave();
    };
  }, [dirty, hold]);

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
  /** Going to another field saves it, but does not try again what was just refused. */
  const leave = async () => {
    if (typed === undefined || typed !== failedText) await commit();
  };
  const drop = () => {
    setTyped(undefined);
    setProblem(undefined);
  };
  return {
    text: typed ?? value,
    dirty,
    typed: setTyped,
    commit,
    leave,
    drop,
    problem,
  };
}
