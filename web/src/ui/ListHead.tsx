import type { ReactNode } from 'react';
import { count } from './count';

type Props = {
  title: string;
  /** What one of the things is called. */
  one: string;
  shown: number;
  all: number;
  /** What of a thing is searched. */
  searched: string;
  words: string;
  onWords: (words: string) => void;
  /** What else stands beside the search. */
  children: ReactNode;
};

/** The head of a screen full of things: how many there are, a search, and what can be done. */
export function ListHead({ title, one, shown, all, searched, words, onWords, children }: Props) {
  return (
    <header className="flex items-end gap-5 border-b border-ink pb-3">
      <div className="mr-auto">
        <h1 className="text-2xl">{title}</h1>
        <p className="text-soft" role="status">
          {shown === all
            ? count(all, one)
            : `${count(shown, one)} of ${all.toLocaleString('en-GB')}`}
        </p>
      </div>
      <label>
        <span className="sr-only">Find a {one}</span>
        <input
          type="search"
          placeholder={searched}
          value={words}
          onChange={(e) => {
            onWords(e.target.value);
          }}
          className="border border-line bg-sheet px-2.5 py-1.5 rounded-[2px] w-56"
        />
      </label>
      {children}
    </header>
  );
}
