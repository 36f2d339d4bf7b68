import { useState } from 'react';
import { Button } from '../../ui/Button';
import { inputClass } from '../../ui/inputClass';
import { DraftInput } from '../../ui/DraftInput';
import { useDraft } from '../../ui/useDraft';
import { UsesButton } from '../uses/UsesButton';
import { LookChoice } from './LookChoice';
import type { Parts } from './parts';
import { SpecimenPane } from './SpecimenPane';
import type { Table, TokenRow } from './table';

type Scheme = Table['schemes'][number];

/** What the colours mean inside a section that chooses a scheme. */
export function Schemes({ table, look, edit, set }: Parts) {
  const [name, setName] = useState('');
  const [problem, setProblem] = useState('');
  const colours = table.tokens.filter((token) => token.type === 'color' && !token.retired);
  const run = async (body: Parameters<Parts['edit']>[0]) => {
    const failed = await edit(body);
    setProblem(failed?.message ?? '');
    return failed;
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_420px] min-h-0">
      <section
        aria-label="Schemes"
        className="min-h-0 overflow-auto [scrollbar-width:thin] px-5 py-3"
      >
        <p className="text-soft max-w-2xl">
          A section that chooses a scheme, and everything in it, takes these values instead. A token
          that is named here means what it means outside, so text and background may change places.
        </p>
        <table className="mt-3 text-[13px] w-full table-fixed">
          <thead>
            <tr className="border-y border-ink text-left">
              <th className="py-1.5 w-44 font-semibold">Colour</th>
              {table.schemes.map((scheme) => (
                <SchemeHead key={scheme.id} scheme={scheme} site={look} run={run} />
              ))}
            </tr>
          </thead>
          <tbody>
            {colours.map((token) => (
              <tr key={token.id} className="border-b border-hair">
                <th scope="row" className="text-left font-medium py-1">
                  {token.name}
                </th>
                {table.schemes.map((scheme) => (
                  <SchemeCell key={scheme.id} scheme={scheme} token={token} edit={edit} />
                ))}
              </tr>
            ))}
          </tbody>
        </table>
        <form
          className="flex items-center gap-2 mt-4 w-80"
          onSubmit={(e) => {
            e.preventDefault();
            void run({ type: 'ADD_SCHEME', name }).then((failed) => {
              if (!failed) setName('');
            });
          }}
        >
          <input
            aria-label="Name of a new scheme"
            placeholder="Name of a new scheme"
            className={inputClass}
            value={name}
            onChange={(e) => {
              setName(e.target.value);
            }}
          />
          <Button type="submit" disabled={name.trim() === ''}>
            Add a scheme
          </Button>
        </form>
        {problem && (
          <p role="alert" className="text-brick mt-2">
            {problem}
          </p>
        )}
      </section>
      <aside
        aria-label="Specimen"
        className="border-l border-line min-h-0 overflow-y-auto [scrollbar-width:thin] p-4"
      >
        <LookChoice table={table} look={look} set={set} />
        <div className="mt-2">
          <SpecimenPane key={look} look={look} page="" html={undefined} />
        </div>
      </aside>
    </div>
  );
}

type HeadProps = { scheme: Scheme; site: string; run: Parts['edit'] };

function SchemeHead({ scheme, site, run }: HeadProps) {
  const name = useDraft(scheme.name, (value) =>
    run({ type: 'RENAME_SCHEME', scheme: scheme.id, name: value }),
  );
  return (
    <th scope="col" className="font-semibold px-2">
      <span className="flex items-center gap-2">
        <DraftInput
          draft={name}
          aria-label={`Name of the scheme ${scheme.name}`}
          className="w-full bg-transparent border border-transparent hover:border-line px-1 rounded-[2px]"
        />
        <UsesButton
          of={{ kind: 'scheme', id: scheme.id, name: scheme.name }}
          site={site}
          label="Uses"
        />
        <Button
          look="quiet"
          aria-label={`Delete the scheme ${scheme.name}`}
          onClick={() => void run({ type: 'REMOVE_SCHEME', scheme: scheme.id })}
        >
          Delete
        </Button>
      </span>
    </th>
  );
}

type CellProps = { scheme: Scheme; token: TokenRow; edit: Parts['edit'] };

function SchemeCell({ scheme, token, edit }: CellProps) {
  const draft = useDraft(scheme.values[token.id] ?? '', (value) =>
    edit({ type: 'SET_SCHEME', scheme: scheme.id, token: token.id, value }),
  );
  return (
    <td className="px-2 py-1 align-top">
      <DraftInput
        draft={draft}
        aria-label={`${token.name} in ${scheme.name}`}
        placeholder="as outside"
        className={`${inputClass} ${draft.text === '' ? 'border-transparent !bg-transparent' : ''} placeholder:text-soft/70`}
      />
      {draft.problem && (
        <p role="alert" className="text-brick">
          {draft.problem.message}
        </p>
      )}
    </td>
  );
}
