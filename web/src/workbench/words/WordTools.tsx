import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { answer, api } from '../../api/client';
import { LinkField } from '../../features/sites/LinkField';
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

type LinkFormProps = {
  site: string;
  to: string;
  newTab: boolean;
  onLink: (to: string) => void;
  onNewTab: (newTab: boolean) => void;
  onEscape: () => void;
};

/** Where the chosen words lead. */
export function LinkForm({ site, to, newTab, onLink, onNewTab, onEscape }: LinkFormProps) {
  return (
    <div className="flex items-start gap-1 p-1">
      <div className="w-60">
        <LinkField
          label="Where the link goes"
          site={site}
          page=""
          value={to}
          onChange={onLink}
          onEscape={onEscape}
          autoFocus
        />
      </div>
      <label className="flex items-center gap-1.5 px-1 py-1 whitespace-nowrap">
        <input
          type="checkbox"
          checked={newTab}
          onChange={(event) => {
            onNewTab(event.target.checked);
          }}
        />
        In a new tab
      </label>
      {to !== '' && (
        <button
          type="button"
          className="px-1 py-1 text-verdigris"
          onClick={() => {
            onLink('');
          }}
        >
          Take away
        </button>
      )}
    </div>
  );
}

/** What words can follow, so that they are right everywhere when it changes. */
export function BoundForm({ onBind }: { onBind: (what: string, title: string) => void }) {
  const bound = useQuery({
    queryKey: ['bound'],
    queryFn: () => answer(api.GET('/api/bound')),
    staleTime: Infinity,
  });
  return (
    <div className="grid p-1 min-w-48">
      <span className="text-soft px-1">Put in what is kept once</span>
      {bound.data?.map(({ word, title }) => (
        <button
          key={word}
          type="button"
          className="text-left px-1 py-0.5 min-h-6 hover:bg-board"
          onMouseDown={(event) => {
            event.preventDefault();
          }}
          onClick={() => {
            onBind(word, title);
          }}
        >
          {title}
        </button>
      ))}
    </div>
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
