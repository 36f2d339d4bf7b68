import { useState } from 'react';
import { answer, api, type Problem } from '../../api/client';
import { Button } from '../../ui/Button';
import { count } from '../../ui/count';
import { Sheet } from '../../ui/Sheet';
import { lookedAt, type Table } from './table';
import type { Change } from './useFinishes';

type Props = {
  table: Table;
  run: (change: Change) => Promise<Problem | undefined>;
};

/** Token files, in and out, for the house and for each client. */
export function FilesMenu(props: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        look="quiet"
        onClick={() => {
          setOpen(true);
        }}
      >
        Token files
      </Button>
      {open && (
        <Sheet
          open
          onClose={() => {
            setOpen(false);
          }}
          title="Token files"
        >
          <Files {...props} />
          <div className="mt-5 flex justify-end">
            <Button
              onClick={() => {
                setOpen(false);
              }}
            >
              Close
            </Button>
          </div>
        </Sheet>
      )}
    </>
  );
}

const link = 'text-verdigris underline underline-offset-2';

function Files({ table, run }: Props) {
  const [site, setSite] = useState('');
  const [said, setSaid] = useState<{ tokens: number; notes: readonly string[] }>();
  const [problem, setProblem] = useState('');
  const query = `site=${encodeURIComponent(site)}`;
  const bringIn = async (chosen: readonly File[]) => {
    if (chosen.length === 0) return;
    setProblem('');
    setSaid(undefined);
    const files = await Promise.all(chosen.map((file) => file.text()));
    const failed = await run(async (had, version) => {
      const imported = await answer(
        api.POST('/api/finishes/token-files', {
          params: { query: { site, version } },
          body: { files },
        }),
      );
      setSaid(imported);
      return lookedAt(had);
    });
    setProblem(failed?.message ?? '');
  };
  return (
    <div className="grid gap-4">
      <label className="flex items-center gap-2">
        Of
        <select
          value={site}
          className="border border-line bg-sheet px-1.5 py-1 rounded-[2px]"
          onChange={(e) => {
            setSite(e.target.value);
            setSaid(undefined);
            setProblem('');
          }}
        >
          <option value="">the house</option>
          {table.sites.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </select>
      </label>
      <div>
        <h3 className="text-[15px]">Take out</h3>
        <p>
          <a className={link} href={`/api/finishes/tokens.json?${query}`} download>
            Tokens, W3C Design Tokens Format
          </a>
        </p>
        <p>
          <a className={link} href={`/api/finishes/variables.css?${query}`} download>
            CSS custom properties
          </a>
        </p>
      </div>
      <div>
        <h3 className="text-[15px]">Bring in</h3>
        <p className="text-soft">
          {site === ''
            ? 'Tokens of the same name get the file’s value; new ones are added; the others stay.'
            : 'Values that differ from the house’s become this client’s own.'}{' '}
          Choose all files of one system together.
        </p>
        <input
          key={site}
          type="file"
          aria-label="Tokens files"
          multiple
          accept=".json,.tokens,application/json"
          className="mt-1"
          onChange={(e) => void bringIn([...(e.target.files ?? [])])}
        />
        {problem && (
          <p role="alert" className="text-brick mt-2">
            {problem}
          </p>
        )}
        {said && (
          <div role="status" className="mt-2">
            <p>
              {count(said.tokens, site === '' ? 'token' : 'value')} brought in. Undo takes it back.
            </p>
            {said.notes.map((noteText) => (
              <p key={noteText} className="text-soft">
                {noteText}
              </p>
            ))}
          </div>
        )}
      </div>
    </div>
  );
}
