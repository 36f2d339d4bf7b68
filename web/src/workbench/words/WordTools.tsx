import type { ReactNode } from 'react';
import { useFinishes } from '../../features/finishes/useFinishes';

type PaletteProps = {
  /** In whose look the colours are shown; empty for the house's. */
  site: string;
  onPaint: (token: string, css: string) => void;
  onPlain: () => void;
};

/** The colours that words can have. */
export function Palette({ site, onPaint, onPlain }: PaletteProps) {
  const { table } = useFinishes();
  const colours = table?.tokens.filter((token) => token.type === 'color' && !token.retired) ?? [];
  return (
    <div className="flex flex-wrap gap-1 p-1 max-w-64">
      {colours.map((token) => {
        const { css } = token.sites[site] ?? token.house;
        return (
          <button
            key={token.id}
            type="button"
            aria-label={token.name}
            title={token.name}
            className="size-6 border border-line hover:border-ink"
            style={{ background: css }}
            onClick={() => {
              onPaint(token.id, css);
            }}
          />
        );
      })}
      <button
        type="button"
        className="px-1.5 h-6 border border-line hover:border-ink"
        onClick={onPlain}
      >
        as the other words
      </button>
    </div>
  );
}

type LinkFormProps = { to: string; onLink: (to: string) => void };

/** Where the chosen words lead; a link is taken away by leaving it empty. */
export function LinkForm({ to, onLink }: LinkFormProps) {
  return (
    <form
      className="flex gap-1 p-1"
      onSubmit={(event) => {
        event.preventDefault();
        const value = new FormData(event.currentTarget).get('to');
        onLink(typeof value === 'string' ? value.trim() : '');
      }}
    >
      <input
        name="to"
        autoFocus
        defaultValue={to}
        aria-label="Where the link goes"
        placeholder="/page, #section or https://…"
        className="border border-line bg-sheet px-1.5 py-0.5 w-52"
      />
      <button type="submit" className="px-2 text-verdigris font-medium">
        {to === '' ? 'Link' : 'Change'}
      </button>
      {to !== '' && (
        <button
          type="button"
          className="px-1 text-verdigris"
          onClick={() => {
            onLink('');
          }}
        >
          Take away
        </button>
      )}
    </form>
  );
}

type ToolProps = { label: string; onClick: () => void; children: ReactNode };

/** A button over the words; what is chosen in them stays chosen. */
export function Tool({ label, onClick, children }: ToolProps) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      className="size-7 grid place-items-center hover:bg-board rounded-[2px]"
      onMouseDown={(event) => {
        event.preventDefault();
      }}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
