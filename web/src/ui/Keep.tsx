import { useState } from 'react';
import { Problem } from '../api/client';
import { Button } from './Button';

/** Keeping what a form says: what went wrong the last time, in words. */
export function useKeep(save: () => Promise<void>) {
  const [problem, setProblem] = useState('');
  const keep = async () => {
    setProblem('');
    try {
      await save();
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'It was not kept; try again.');
    }
  };
  return { problem, setProblem, keep };
}

type Props = {
  /** What is kept, in words. */
  what: string;
  changed: boolean;
  /** Whether it is as it was kept just now. */
  kept: boolean;
  problem: string;
  onKeep: () => void;
};

/** Keeps what a form says, and says that it is kept, or what is wrong. */
export function KeepLine({ what, changed, kept, problem, onKeep }: Props) {
  return (
    <div>
      {problem && (
        <p role="alert" className="text-brick mb-3">
          {problem}
        </p>
      )}
      <div className="flex items-center gap-3">
        <Button look="main" disabled={!changed} onClick={onKeep}>
          Keep these {what}
        </Button>
        {kept && !changed && (
          <span role="status" className="text-soft">
            Kept.
          </span>
        )}
      </div>
    </div>
  );
}
