import { useState } from 'react';
import { Button } from '../../ui/Button';
import { count } from '../../ui/count';
import { Mark } from '../../ui/States';
import { inputClass } from '../../ui/inputClass';
import { UsesButton } from '../uses/UsesButton';
import { ColourEditor } from './ColourEditor';
import { FamilyEditor } from './FamilyEditor';
import { FluidEditor } from './FluidEditor';
import { GradientEditor } from './GradientEditor';
import { InFinishes } from './InFinishes';
import type { Parts } from './parts';
import { ReachLine } from './ReachLine';
import { ShadowEditor } from './ShadowEditor';
import type { Hand } from './TokenTable';
import type { Table, TokenRow } from './table';
import { useReach, type FinishesEdit, type Tried } from './useFinishes';

type Props = {
  table: Table;
  token: TokenRow;
  hand: Hand;
  tried: Tried | undefined;
  candidate: FinishesEdit | undefined;
  standing: FinishesEdit | undefined;
  edit: Parts['edit'];
  set: Parts['set'];
};

/** The token in hand at the house or at a client: what it is worth, an editor for it, its reach. */
export function TokenDetail(props: Props) {
  const { table, token, hand, tried, candidate, standing, edit, set } = props;
  const site = table.sites.find((s) => s.id === hand.column);
  const cell = site ? token.sites[site.id] : token.house;
  const reach = useReach(candidate ?? standing);
  const [problem, setProblem] = useState('');
  const [open, setOpen] = useState<'name' | 'delete'>();
  if (!cell) return null;
  const take = async (value: string) => {
    setProblem((await hand.commit(value))?.message ?? '');
  };
  const isAlias = /^\{[^{}]+\}$/.test(cell.value === '' ? token.house.value : cell.value);
  const literal = tried?.css ?? cell.css;
  const editor = {
    value: hand.value === '' ? cell.css : hand.value,
    css: literal,
    onTry: hand.type,
  };
  const toggle = (which: 'name' | 'delete') => {
    setOpen(open === which ? undefined : which);
  };
  return (
    <section
      aria-label="Token in hand"
      className="px-4 pt-3 border-b border-ink bg-sheet text-[13px] max-h-[min(430px,58vh)] overflow-y-auto [scrollbar-width:thin]"
    >
      <header className="flex items-baseline gap-2">
        <h2 className="text-[16px]">{token.name}</h2>
        <span className="text-soft">{site ? site.name : 'House'}</span>
        {site && cell.own && <Mark tone="local">own value</Mark>}
      </header>
      <p className="text-soft">{token.description || 'No description yet.'}</p>
      {cell.chain.length > 0 && !hand.typing && (
        <p className="mt-1">
          <span className="text-soft">{isAlias ? 'leads to' : 'refers to'}</span>{' '}
          {cell.chain.join(isAlias ? ' → ' : ', ')} <span className="text-soft">= {cell.css}</span>
        </p>
      )}
      {token.type === 'color' && (
        <ColourEditor
          {...editor}
          tried={tried}
          pairs={reach.data?.pairs ?? []}
          table={table}
          site={hand.column}
        />
      )}
      {token.type === 'gradient' && <GradientEditor {...editor} />}
      {token.type === 'shadow' && <ShadowEditor {...editor} />}
      {token.type === 'fontFamily' && <FamilyEditor {...editor} site={hand.column} />}
      {token.type === 'dimension' && <FluidEditor {...editor} />}
      <div className="mt-3 min-h-10">
        {candidate && tried?.problem && (
          <p role="alert" className="text-brick">
            {tried.problem}
          </p>
        )}
        {candidate && !tried?.problem && reach.data && <ReachLine reach={reach.data.reach} />}
        {problem && (
          <p role="alert" className="text-brick mt-1">
            {problem}
          </p>
        )}
        {!candidate && (
          <p className="text-soft">
            {count(token.nodes, 'node')} on the clients’ pages are worth what they are through it.
          </p>
        )}
      </div>
      {open === 'name' && (
        <Naming
          token={token}
          edit={edit}
          onDone={() => {
            setOpen(undefined);
          }}
        />
      )}
      {open === 'delete' && <Deleting token={token} table={table} edit={edit} set={set} />}
      <div className="sticky bottom-0 bg-sheet flex flex-wrap items-center gap-x-4 gap-y-2 py-2.5">
        {candidate && (
          <>
            <Button
              look="main"
              disabled={Boolean(tried?.problem)}
              onClick={() => void take(hand.value)}
            >
              Save
            </Button>
            <Button
              onClick={() => {
                hand.type(undefined);
                setProblem('');
              }}
            >
              Leave it as it was
            </Button>
          </>
        )}
        {!candidate && site && cell.own && (
          <Button look="quiet" onClick={() => void take('')}>
            Back to the house’s {token.house.value}
          </Button>
        )}
        <UsesButton
          of={{ kind: 'token', id: token.id, name: token.name }}
          site={site?.id ?? table.sites[0]?.id ?? ''}
        >
          <InFinishes token={token.id} />
        </UsesButton>
        <Button
          look="quiet"
          aria-expanded={open === 'name'}
          onClick={() => {
            toggle('name');
          }}
        >
          Rename
        </Button>
        {!token.retired && (
          <Button
            look="quiet"
            aria-expanded={open === 'delete'}
            onClick={() => {
              toggle('delete');
            }}
          >
            Delete or replace
          </Button>
        )}
      </div>
    </section>
  );
}

function Naming({
  token,
  edit,
  onDone,
}: {
  token: TokenRow;
  edit: Parts['edit'];
  onDone: () => void;
}) {
  const [name, setName] = useState(token.name);
  const [words, setWords] = useState(token.description);
  const [problem, setProblem] = useState('');
  const save = async () => {
    let failed;
    if (name !== token.name) failed = await edit({ type: 'RENAME_TOKEN', token: token.id, name });
    if (!failed && words !== token.description) {
      failed = await edit({ type: 'DESCRIBE_TOKEN', token: token.id, value: words });
    }
    if (failed) setProblem(failed.message);
    else onDone();
  };
  return (
    <form
      className="mt-2 grid gap-1.5"
      onSubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <input
        aria-label="Name of the token"
        className={inputClass}
        value={name}
        onChange={(e) => {
          setName(e.target.value);
        }}
      />
      <input
        aria-label="Description of the token"
        placeholder="What it is for"
        className={inputClass}
        value={words}
        onChange={(e) => {
          setWords(e.target.value);
        }}
      />
      {problem && (
        <p role="alert" className="text-brick">
          {problem}
        </p>
      )}
      <span className="flex items-center gap-3">
        <Button type="submit">Save the name</Button>
        <span className="text-soft">Everything that refers to it follows.</span>
      </span>
    </form>
  );
}

type DeletingProps = { token: TokenRow; table: Table; edit: Parts['edit']; set: Parts['set'] };

function Deleting({ token, table, edit, set }: DeletingProps) {
  const others = table.tokens.filter(
    (t) => t.type === token.type && t.id !== token.id && !t.retired,
  );
  const [by, setBy] = useState(others[0]?.id ?? '');
  const [problem, setProblem] = useState('');
  const run = async (body: FinishesEdit) => {
    const failed = await edit(body);
    if (failed) setProblem(failed.message);
    else set({ token: '', column: '' });
  };
  return (
    <div className="mt-2 grid gap-2">
      <span className="flex items-center gap-2">
        <Button onClick={() => void run({ type: 'REMOVE_TOKEN', token: token.id })}>Delete</Button>
        <span className="text-soft">refused while anything refers to it</span>
      </span>
      {others.length > 0 && (
        <span className="flex items-center gap-2">
          <Button onClick={() => void run({ type: 'REPLACE_TOKEN', token: token.id, by })}>
            Put in its place
          </Button>
          <select
            aria-label="The token to put in its place"
            className={inputClass}
            value={by}
            onChange={(e) => {
              setBy(e.target.value);
            }}
          >
            {others.map((t) => (
              <option key={t.id} value={t.id}>
                {t.name}
              </option>
            ))}
          </select>
        </span>
      )}
      {problem && (
        <p role="alert" className="text-brick">
          {problem}
        </p>
      )}
    </div>
  );
}
