import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useId, useState } from 'react';
import { answer, api, Problem, uploadFont } from '../../api/client';
import { Button } from '../../ui/Button';
import { Empty, Mark } from '../../ui/States';
import { inputClass } from '../../ui/inputClass';
import { useFonts } from './FamilyEditor';
import { LookChoice } from './LookChoice';
import { lookName, type Parts } from './parts';

/** The families that ship, the client’s own files, and those that are named and not there. */
export function Typefaces({ table, look, edit, set }: Parts) {
  const fonts = useFonts(look);
  const families = fonts.data?.families ?? [];
  useSpecimenFaces(families.filter((f) => !f.own).map((f) => f.name));
  const missing = fonts.data?.missing ?? [];
  return (
    <section aria-label="Typefaces" className="min-h-0 overflow-y-auto px-5 py-3">
      <LookChoice table={table} look={look} set={set} />
      {missing.length > 0 && (
        <ul aria-label="Missing families" className="mt-4 border-l-4 border-brick pl-3">
          {missing.map((m) => (
            <li key={m.token} className="flex items-center gap-3 py-1">
              <span>
                <strong className="font-semibold">{m.family}</strong> is named by {m.tokenName} and
                is not here. {m.substitute} is {m.why}.
              </span>
              <Button
                onClick={() =>
                  void edit({ type: 'VALUE', site: look, token: m.token, value: m.stack })
                }
              >
                Use {m.substitute}
              </Button>
            </li>
          ))}
        </ul>
      )}
      <div className="grid grid-cols-[minmax(0,1fr)_340px] gap-10 mt-4">
        <div>
          <h2 className="text-[15px] border-b border-ink pb-1">Families that ship</h2>
          <ul>
            {families
              .filter((family) => !family.own)
              .map((family) => (
                <li
                  key={family.name}
                  className="grid grid-cols-[minmax(0,1fr)_70px_110px] items-baseline gap-3 border-b border-hair py-1"
                >
                  <span
                    className="text-[21px] leading-tight truncate"
                    style={{ fontFamily: `"${family.name}"` }}
                  >
                    {family.name} <span className="text-[15px]">on a dry day or a wet one</span>
                  </span>
                  <span className="text-soft">{family.type}</span>
                  <span className="text-soft text-right">
                    {family.least} to {family.greatest}
                  </span>
                </li>
              ))}
          </ul>
        </div>
        {look === '' ? (
          <p className="text-soft">Choose a client to bring in font files of its own.</p>
        ) : (
          <OwnFonts site={look} name={lookName(table, look)} />
        )}
      </div>
    </section>
  );
}

/** Makes the families that ship known to this page, for their samples only. */
function useSpecimenFaces(names: readonly string[]) {
  const all = names.join('|');
  useEffect(() => {
    for (const name of all.split('|').filter(Boolean)) {
      const file = `${name.toLowerCase().replaceAll(' ', '-')}.woff2`;
      const known = [...document.fonts].some((face) => face.family === name);
      if (!known) {
        document.fonts.add(
          new FontFace(name, `url(/client-fonts/${file})`, { weight: '100 900', display: 'swap' }),
        );
      }
    }
  }, [all]);
}

function OwnFonts({ site, name }: { site: string; name: string }) {
  const id = useId();
  const queries = useQueryClient();
  const fonts = useFonts(site);
  const [file, setFile] = useState<File>();
  const [licence, setLicence] = useState('');
  const [problem, setProblem] = useState('');
  const own = fonts.data?.own ?? [];
  const add = async () => {
    if (!file) return;
    try {
      await uploadFont(site, file, licence);
      setFile(undefined);
      setLicence('');
      setProblem('');
      await queries.invalidateQueries({ queryKey: ['fonts'] });
      await queries.invalidateQueries({ queryKey: ['specimen'] });
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'It could not be sent; try again.');
    }
  };
  const remove = async (font: string) => {
    await answer(
      api.DELETE('/api/sites/{id}/fonts/{font}', { params: { path: { id: site, font } } }),
    );
    await queries.invalidateQueries({ queryKey: ['fonts'] });
  };
  return (
    <div>
      <h2 className="text-[15px] border-b border-ink pb-1">Own files of {name}</h2>
      {own.length === 0 && (
        <div className="mt-2">
          <Empty>
            None yet. Bring in a WOFF2, TTF or OTF file that the client has a licence for.
          </Empty>
        </div>
      )}
      <ul>
        {own.map((font) => (
          <li key={font.id} className="border-b border-hair py-1.5">
            <span className="flex items-baseline gap-2">
              <span className="font-medium">{font.family}</span>
              <span className="text-soft">
                {font.least === font.greatest ? font.least : `${font.least} to ${font.greatest}`}
              </span>
              <Mark tone="library">{font.format}</Mark>
              <Button look="quiet" className="ml-auto" onClick={() => void remove(font.id)}>
                Take away
              </Button>
            </span>
            <span className="block text-soft">{font.licence}</span>
          </li>
        ))}
      </ul>
      <form
        className="grid gap-2 mt-3"
        onSubmit={(e) => {
          e.preventDefault();
          void add();
        }}
      >
        <input
          type="file"
          aria-label="Font file"
          accept=".woff2,.ttf,.otf,font/woff2,font/ttf,font/otf"
          onChange={(e) => {
            setFile(e.target.files?.[0]);
            setProblem('');
          }}
        />
        <label htmlFor={`${id}-licence`}>Note of the licence</label>
        <input
          id={`${id}-licence`}
          className={inputClass}
          placeholder="Web licence bought 3 May, up to 50,000 views"
          value={licence}
          onChange={(e) => {
            setLicence(e.target.value);
          }}
        />
        {problem && (
          <p role="alert" className="text-brick">
            {problem}
          </p>
        )}
        <span>
          <Button type="submit" disabled={!file}>
            Bring the font in
          </Button>
        </span>
      </form>
    </div>
  );
}
