import { useState } from 'react';
import { Button } from '../../ui/Button';
import { count } from '../../ui/count';
import type { Card } from './filter';
import type { Deed } from './useLibrary';

type Props = {
  picked: readonly Card[];
  busy: boolean;
  onDeed: (deed: Deed) => Promise<unknown>;
  onClear: () => void;
  /** Puts another piece in the place of the chosen one. */
  onReplace: (piece: Card) => void;
};

/** What can be done to several pieces at once. */
export function ChosenBar({ picked, busy, onDeed, onClear, onReplace }: Props) {
  const [tag, setTag] = useState('');
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState('');
  const ids = picked.map((piece) => piece.id);
  const drafts = picked.filter((piece) => piece.draft).map(({ id, changed }) => ({ id, changed }));
  const retired = picked.filter((piece) => piece.retired).map((piece) => piece.id);
  const only = picked.length === 1 && retired.length === 0 ? picked[0] : undefined;
  const carryOut = async (deed: Deed) => {
    setProblem('');
    try {
      await onDeed(deed);
      onClear();
    } catch (failed) {
      setProblem((failed as Error).message);
    }
  };
  return (
    <section aria-label="Chosen pieces" className="border-t border-ink py-2.5">
      {problem && (
        <p role="alert" className="text-brick pb-2">
          {problem}
        </p>
      )}
      <div className="flex items-center gap-4">
        <strong className="font-semibold">{count(picked.length, 'piece')} chosen</strong>
        <form
          className="flex gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void carryOut({ do: 'tag', pieces: ids, add: [tag], remove: [] });
          }}
        >
          <input
            aria-label="Tag for all of them"
            placeholder="Tag"
            value={tag}
            maxLength={30}
            onChange={(e) => {
              setTag(e.target.value);
            }}
            className="border border-line bg-sheet px-2 py-1.5 w-28 rounded-[2px]"
          />
          <Button type="submit" disabled={busy || tag.trim() === ''}>
            Tag
          </Button>
        </form>
        {drafts.length > 0 && (
          <form
            className="flex gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              void carryOut({ do: 'release', pieces: drafts, note });
            }}
          >
            <input
              aria-label="What is new in them"
              placeholder="What is new in them"
              value={note}
              maxLength={500}
              onChange={(e) => {
                setNote(e.target.value);
              }}
              className="border border-line bg-sheet px-2 py-1.5 w-44 rounded-[2px]"
            />
            <Button type="submit" disabled={busy || note.trim() === ''}>
              Release {count(drafts.length, 'draft')}
            </Button>
          </form>
        )}
        {retired.length < ids.length && (
          <Button
            disabled={busy}
            title="Listed under Retired from then on; it can be brought back"
            onClick={() =>
              void carryOut({ do: 'retire', pieces: ids.filter((id) => !retired.includes(id)) })
            }
          >
            Retire
          </Button>
        )}
        {only && (
          <Button
            disabled={busy}
            title="Another piece takes its place everywhere, and this one is retired"
            onClick={() => {
              onReplace(only);
            }}
          >
            Replace everywhere
          </Button>
        )}
        {retired.length > 0 && (
          <Button
            disabled={busy}
            onClick={() => void carryOut({ do: 'bring-back', pieces: retired })}
          >
            Bring back
          </Button>
        )}
        <Button look="quiet" className="ml-auto" onClick={onClear}>
          Choose none
        </Button>
      </div>
    </section>
  );
}
