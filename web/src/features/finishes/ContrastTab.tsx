import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { count, ratio } from '../../ui/count';
import { Empty, Failed, Loading, Mark } from '../../ui/States';
import { Verdict } from './ColourEditor';
import { Measure } from './Measure';
import { lookName, type Parts } from './parts';
import { Swatch } from './Swatch';

/** Every text and ground that are really in use together on a site. */
export function ContrastTab({ table, look, edit, set }: Parts) {
  const site = look || (table.sites[0]?.id ?? '');
  const sheet = useQuery({
    queryKey: ['contrast', site],
    queryFn: () => answer(api.GET('/api/sites/{id}/contrast', { params: { path: { id: site } } })),
    enabled: site !== '',
    placeholderData: (before) => before,
  });
  return (
    <section aria-label="Contrast" className="min-h-0 overflow-y-auto px-5 py-3">
      <div className="flex items-center gap-5">
        <label className="flex items-center gap-2 text-[13px]">
          <span className="text-soft">Site</span>
          <select
            value={site}
            onChange={(e) => {
              set({ look: e.target.value });
            }}
            className="border border-line bg-sheet px-1.5 py-1 rounded-[2px]"
          >
            {table.sites.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </select>
        </label>
        {sheet.data && (
          <p>
            {count(sheet.data.rows.length, 'pair')} in use
            {sheet.data.failing > 0 ? (
              <>
                , <Mark tone="conflict">{sheet.data.failing} too faint</Mark>
              </>
            ) : (
              ', none too faint'
            )}
            {sheet.data.unknown > 0 && (
              <>
                {' '}
                <Mark tone="held">{sheet.data.unknown} cannot be told</Mark>
              </>
            )}
          </p>
        )}
        <Measure key={site} site={site} />
      </div>
      <p className="text-soft text-[12.5px] mt-1">
        WCAG 2.2: AA asks for 4.5, or 3 for large text (24 px, or 18.66 px and bold); AAA for 7, or
        4.5. On a picture the worst tenth of the pixels behind the words decides.
      </p>
      {sheet.error && <Failed error={sheet.error} retry={() => void sheet.refetch()} />}
      {sheet.isPending && <Loading what="the contrasts" />}
      {sheet.data?.rows.length === 0 && (
        <div className="mt-4">
          <Empty>No page of this site has words yet.</Empty>
        </div>
      )}
      {sheet.data && sheet.data.rows.length > 0 && (
        <table className="w-full mt-3 text-[13px] border-t border-ink table-fixed">
          <thead>
            <tr className="text-left text-soft border-b border-line">
              <th className="font-medium py-1.5 w-[150px]">Sample</th>
              <th className="font-medium w-[250px]">Text on ground</th>
              <th className="font-medium w-[72px] text-right pr-4">Ratio</th>
              <th className="font-medium w-[96px]">Verdict</th>
              <th className="font-medium">Where</th>
              <th className="font-medium w-[270px]">Mend at {lookName(table, site)}</th>
            </tr>
          </thead>
          <tbody>
            {sheet.data.rows.map((row, i) => (
              <PairRow key={i} row={row} site={site} edit={edit} />
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

type RowProps = { row: Schemas['ContrastRow']; site: string; edit: Parts['edit'] };

function PairRow({ row, site, edit }: RowProps) {
  const [problem, setProblem] = useState('');
  const mend = async (token: string, css: string) => {
    const failed = await edit({ type: 'VALUE', site, token, value: css });
    setProblem(failed?.message ?? '');
  };
  const states = row.states.filter((state) => state !== 'normal');
  return (
    <tr className="border-b border-hair align-top">
      <td className="py-2 pr-3">
        <span
          aria-hidden
          data-sample
          className="block px-2 py-1 border border-line truncate"
          style={{ color: row.textCss, background: row.groundCss, fontSize: row.large ? 20 : 14 }}
        >
          Words to read
        </span>
      </td>
      <td className="py-2 pr-3 break-words">
        {row.text} <span className="text-soft">on {row.grounds}</span>
      </td>
      <td className="py-2 pr-4 text-right font-semibold">
        {ratio(row.ratio)}
        <span className="block font-normal text-soft text-[12px]">needs {row.least}</span>
      </td>
      <td className="py-2">
        <Verdict verdict={row.verdict} />
        <span className="block text-soft text-[12px]">
          {row.large ? 'large text' : 'small text'}
          {row.devices.length < 3 && `, ${row.devices.join(', ')}`}
          {states.length > 0 && row.states.length < 4 && !row.states.includes('normal') && (
            <>, {states.join(', ')}</>
          )}
        </span>
      </td>
      <td className="py-2 pr-3">
        {row.places.slice(0, 3).map((place, i) => (
          <span key={`${place.pageId} ${place.node}`}>
            {i > 0 && ', '}
            <Link
              className="underline underline-offset-2"
              to={`/sites/${site}/pages/${place.pageId}?node=${encodeURIComponent(place.node)}`}
            >
              {place.pageTitle}: {place.nodeTitle}
            </Link>
          </span>
        ))}
        {row.places.length + row.more > 3 && (
          <span className="text-soft"> and {row.places.length + row.more - 3} more</span>
        )}
      </td>
      <td className="py-2">
        {row.mends.map((m) => (
          <span key={m.what} className="flex items-center gap-1.5 mb-1">
            <Swatch css={m.css} className="size-4" />
            {m.token ? (
              <Button look="quiet" onClick={() => void mend(m.token, m.css)}>
                Make {m.name} {m.css} ({ratio(m.ratio)})
              </Button>
            ) : (
              <span>
                {m.css} as {m.what} would do ({ratio(m.ratio)}); it is set at the spot
              </span>
            )}
          </span>
        ))}
        {problem && (
          <span role="alert" className="text-brick block">
            {problem}
          </span>
        )}
      </td>
    </tr>
  );
}
