import { useRef, type ReactNode } from 'react';
import { Button } from './Button';
import { count } from './count';
import type { Sending } from './useBringIn';

type Props = {
  label: string;
  title?: string;
  /** What may be chosen, as an `accept` attribute says it. */
  accept: string;
  look?: 'main' | 'plain' | 'quiet';
  multiple?: boolean;
  onFiles: (files: File[]) => void;
  children?: ReactNode;
};

/** A button that brings files in. */
export function BringIn(props: Props) {
  const { label, title, accept, look = 'main', multiple = true, onFiles, children = label } = props;
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button look={look} title={title} onClick={() => input.current?.click()}>
        {children}
      </Button>
      <input
        ref={input}
        type="file"
        multiple={multiple}
        accept={accept}
        aria-label={label}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          onFiles([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
    </>
  );
}

const tones = {
  waits: 'text-soft',
  'under way': 'text-soft',
  'taken in': 'text-verdigris',
  refused: 'text-brick',
};

/** What is being brought in, and what came of it. */
export function Sent({ sending, onClear }: { sending: readonly Sending[]; onClear: () => void }) {
  if (sending.length === 0) return null;
  const over = sending.filter(({ state }) => state === 'taken in' || state === 'refused').length;
  return (
    <section
      aria-label="Brought in"
      className="border-t border-ink py-2 text-[13px] max-h-52 overflow-y-auto"
    >
      <header className="flex items-center gap-3">
        <progress
          aria-label="Files done"
          max={sending.length}
          value={over}
          className="w-40 h-2 appearance-none [&::-webkit-progress-bar]:bg-board [&::-webkit-progress-value]:bg-verdigris"
        />
        <span role="status">
          {over} of {count(sending.length, 'file')}
        </span>
        {over === sending.length && (
          <Button look="quiet" className="ml-auto" onClick={onClear}>
            Put this note away
          </Button>
        )}
      </header>
      <ul className="mt-1">
        {sending.map(({ key, name, state, words }) => (
          <li key={key} className="flex gap-2 py-0.5">
            <span className="truncate max-w-64 shrink-0">{name}</span>
            <span className={`shrink-0 ${tones[state]}`}>{state}</span>
            <span role={state === 'refused' ? 'alert' : undefined} className="min-w-0">
              {words}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
