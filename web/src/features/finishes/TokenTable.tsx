import { useEffect, useRef, useState } from 'react';
import type { Problem } from '../../api/client';
import { Button } from '../../ui/Button';
import { Mark } from '../../ui/States';
import { AddToken } from './AddToken';
import { GradientSwatch, Swatch } from './Swatch';
import type { Parts } from './parts';
import type { Table, TokenRow } from './table';

/** The cell in hand, and what is being typed into it. */
export type Hand = {
  token: TokenRow | undefined;
  /** A site’s id; empty for the house. */
  column: string;
  value: string;
  typing: boolean;
  /** By a ruler where it is not typed. */
  type: (value: string | undefined, bySlider?: boolean) => void;
  commit: (value: string) => Promise<Problem | undefined>;
};

type Props = {
  table: Table;
  /** The site in whose look the specimen is drawn; its column is kept in sight. */
  look: string;
  hand: Hand;
  problem: string;
  edit: Parts['edit'];
  onTake: (token: string, column: string) => void;
};

const nameWidth = 158;
const columnWidth = 138;

const groupTitles: Record<string, string> = {
  color: 'Colours',
  font: 'Typefaces',
  size: 'Text sizes',
  space: 'Spacing',
  width: 'Widths',
  radius: 'Corners',
  border: 'Borders',
  shadow: 'Shadows',
  gradient: 'Gradients',
  motion: 'Transition',
};

function groupOf(name: string): string {
  const dot = name.indexOf('.');
  return dot < 0 ? '' : name.slice(0, dot);
}

function groups(tokens: readonly TokenRow[]): { title: string; tokens: TokenRow[] }[] {
  const byGroup = new Map<string, TokenRow[]>();
  for (const token of tokens) {
    const group = groupOf(token.name);
    byGroup.set(group, [...(byGroup.get(group) ?? []), token]);
  }
  return [...byGroup].map(([group, inGroup]) => ({
    title:
      groupTitles[group] ?? (group === '' ? 'Others' : group[0]?.toUpperCase() + group.slice(1)),
    tokens: inGroup,
  }));
}

/** Tokens as rows, the house and every client as columns. */
export function TokenTable({ table, look, hand, problem, edit, onTake }: Props) {
  const heads = useRef<HTMLTableRowElement>(null);
  useEffect(() => {
    heads.current
      ?.querySelector(`[data-column="${CSS.escape(look)}"]`)
      ?.scrollIntoView({ inline: 'nearest', block: 'nearest' });
  }, [look]);
  const [wanted, setWanted] = useState('');
  const [adding, setAdding] = useState(false);
  const search = wanted.trim().toLowerCase();
  const shown = table.tokens.filter(
    (token) =>
      (!token.retired || search !== '') &&
      (search === '' ||
        `${token.name} ${token.description} ${token.house.value}`.toLowerCase().includes(search)),
  );
  const columns = [
    { id: '', name: 'House', behind: false, revision: table.revision },
    ...table.sites,
  ];
  return (
    <section
      aria-label="Tokens"
      className="grid grid-rows-[auto_minmax(0,1fr)_auto] min-h-0 min-w-0"
    >
      <div className="flex items-center gap-4 px-5 py-2">
        <input
          type="search"
          aria-label="Find a token"
          placeholder="Find a token"
          value={wanted}
          onChange={(e) => {
            setWanted(e.target.value);
          }}
          className="border border-line bg-sheet px-2 py-1 rounded-[2px] w-48"
        />
        <Button
          look="quiet"
          onClick={() => {
            setAdding(true);
          }}
        >
          Add a token
        </Button>
        <span className="ml-auto flex items-center gap-4 text-[12.5px] text-soft">
          <span className="flex items-center gap-1.5">
            <span className="inline-block w-5 h-3.5 bg-ochre-tint border border-ochre/40" /> own
          </span>
          <span className="flex items-center gap-1.5">
            <span className="inline-block w-5 h-3.5 border-l-[3px] border-verdigris bg-sheet" />
            differs through another token
          </span>
          <span>grey: as the house</span>
        </span>
      </div>
      <div className="overflow-auto [scrollbar-width:thin] min-w-0">
        <table
          className="text-[12.5px] border-separate border-spacing-0 min-w-full table-fixed"
          style={{ width: nameWidth + columns.length * columnWidth }}
        >
          <colgroup>
            <col style={{ width: nameWidth }} />
            {columns.map((column) => (
              <col key={column.id} style={{ width: columnWidth }} />
            ))}
          </colgroup>
          <thead>
            <tr ref={heads} className="text-left align-bottom">
              <th className="sticky top-0 left-0 z-20 bg-paper border-y border-ink pl-5 pr-2 py-1.5 font-semibold">
                Token
              </th>
              {columns.map((column) => (
                <th
                  key={column.id}
                  data-column={column.id}
                  scope="col"
                  style={column.id === '' ? { left: nameWidth } : undefined}
                  className={`sticky top-0 bg-paper border-y border-ink px-2 py-1.5 font-semibold leading-tight ${column.id === '' ? 'z-20' : 'z-10'}`}
                >
                  {column.name}
                  {column.behind && (
                    <span className="block font-normal">
                      <Mark tone="local">shows revision {column.revision}</Mark>
                    </span>
                  )}
                </th>
              ))}
            </tr>
          </thead>
          {groups(shown).map((group) => (
            <tbody key={group.title}>
              <tr>
                <th
                  scope="rowgroup"
                  className="sticky left-0 z-[5] bg-paper text-left pl-5 pt-3 pb-1 font-title text-[14px] font-semibold"
                >
                  {group.title}
                </th>
                <td colSpan={columns.length} />
              </tr>
              {group.tokens.map((token) => (
                <tr key={token.id} className={token.retired ? 'opacity-60' : ''}>
                  <th
                    scope="row"
                    title={token.description}
                    className="sticky left-0 z-[5] bg-paper border-t border-hair pl-5 pr-2 py-1 text-left font-medium break-words"
                  >
                    {token.name}
                    {token.retired && <span className="font-normal text-soft"> retired</span>}
                  </th>
                  {columns.map((column) => (
                    <TokenCell
                      key={column.id}
                      token={token}
                      column={column.id}
                      columnName={column.name}
                      hand={hand}
                      problem={problem}
                      onTake={onTake}
                    />
                  ))}
                </tr>
              ))}
            </tbody>
          ))}
        </table>
        {shown.length === 0 && (
          <p className="p-5 text-soft">
            {table.tokens.length === 0
              ? 'The house has no tokens yet. Add one, or bring in a tokens file.'
              : `No token is called “${wanted}”. Search for another word.`}
          </p>
        )}
      </div>
      <p className="border-t border-line px-5 py-1.5 text-[12.5px] text-soft truncate">
        Type a value, or another token such as {'{color.accent}'}. Enter saves, Esc leaves it; an
        empty client’s cell goes back to the house’s.
      </p>
      {adding && (
        <AddToken
          table={table}
          edit={edit}
          onClose={() => {
            setAdding(false);
          }}
        />
      )}
    </section>
  );
}

type CellProps = {
  token: TokenRow;
  column: string;
  columnName: string;
  hand: Hand;
  problem: string;
  onTake: Props['onTake'];
};

function TokenCell({ token, column, columnName, hand, problem, onTake }: CellProps) {
  const cell = column === '' ? token.house : token.sites[column];
  const field = useRef<HTMLInputElement>(null);
  const inHand = hand.token?.id === token.id && hand.column === column;
  const [refused, setRefused] = useState('');
  useEffect(() => {
    if (inHand && document.activeElement?.closest('[data-cell]')) field.current?.focus();
  }, [inHand]);
  if (!cell) return <td />;
  const house = column === '';
  const own = !house && cell.own;
  const fill = own
    ? 'bg-ochre-tint'
    : !house && cell.differs
      ? 'border-l-[3px] border-l-verdigris'
      : '';
  const worth =
    cell.value === '' || cell.value === cell.css ? cell.css : `${cell.value} = ${cell.css}`;
  const said = refused !== '' ? refused : hand.typing ? problem : '';
  return (
    <td
      data-cell
      style={house ? { left: nameWidth } : undefined}
      className={`${house ? 'sticky bg-paper z-[4]' : 'relative'} border-t border-hair p-0 align-top ${fill} ${
        inHand ? 'outline outline-2 outline-ink -outline-offset-1 z-[6]' : ''
      }`}
    >
      {inHand ? (
        <>
          <input
            ref={field}
            aria-label={`${token.name} of ${columnName}`}
            aria-invalid={said !== ''}
            autoFocus
            value={hand.value}
            placeholder={cell.css}
            onChange={(e) => {
              setRefused('');
              hand.type(e.target.value);
            }}
            onKeyDown={(e) => {
              if (e.key === 'Enter') {
                void hand.commit(hand.value).then((p) => {
                  setRefused(p?.message ?? '');
                });
              } else if (e.key === 'Escape') {
                setRefused('');
                hand.type(undefined);
              }
            }}
            onBlur={(e) => {
              const stays = e.relatedTarget?.closest('[aria-label="Detail and specimen"]');
              if (hand.typing && !stays && refused === '') {
                void hand.commit(hand.value).then((p) => {
                  setRefused(p?.message ?? '');
                });
              }
            }}
            style={{ width: `max(100%, min(340px, ${hand.value.length + 3}ch))` }}
            className="relative z-10 bg-sheet px-2 py-1 min-h-[27px] outline outline-2 outline-ink -outline-offset-1 focus-visible:outline-ink focus-visible:-outline-offset-1"
          />
          {said !== '' && (
            <span
              role="alert"
              className="absolute left-0 top-full z-20 w-64 bg-brick-tint text-brick border border-brick px-2 py-1"
            >
              {said}
            </span>
          )}
        </>
      ) : (
        <button
          type="button"
          onClick={() => {
            onTake(token.id, column);
          }}
          title={worth}
          aria-label={`${token.name} of ${columnName}: ${worth}${own ? ', own' : house ? '' : ', as the house'}`}
          className={`flex w-full items-center gap-1.5 px-2 py-1 min-h-[27px] text-left hover:bg-sheet focus-visible:outline-offset-[-2px] ${
            own || house ? '' : 'text-soft'
          }`}
        >
          {token.type === 'color' && <Swatch css={cell.css} className="size-3.5" />}
          {token.type === 'gradient' && <GradientSwatch css={cell.css} className="size-3.5" />}
          <span className="truncate">{cell.value === '' ? cell.css : cell.value}</span>
          {house && cell.own && (
            <span aria-label="changed since the last revision" className="text-ochre ml-auto">
              ●
            </span>
          )}
        </button>
      )}
    </td>
  );
}
