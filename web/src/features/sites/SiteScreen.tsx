import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { answer, api, Problem } from '../../api/client';
import { Button } from '../../ui/Button';
import { count, when } from '../../ui/count';
import { Failed, Loading } from '../../ui/States';
import { Swatch } from '../finishes/Swatch';
import { useFinishes } from '../finishes/useFinishes';
import { StartPage } from './StartPage';
import { useSites } from './useSites';

/** One client: its pages, its finishes, and publishing. */
export function SiteScreen() {
  const { siteId = '' } = useParams();
  const sites = useSites();
  const [starting, setStarting] = useState(false);
  const standIns = useQuery({
    queryKey: ['stand-ins', siteId],
    queryFn: () =>
      answer(api.GET('/api/sites/{id}/stand-ins', { params: { path: { id: siteId } } })),
  });
  if (sites.error) return <Failed error={sites.error} retry={() => void sites.refetch()} />;
  if (!sites.data) return <Loading what="the site" />;
  const site = sites.data.find((s) => s.id === siteId);
  if (!site) return <Failed error={new Error(`There is no site “${siteId}”. Go back to Sites.`)} />;
  const left = Object.values(standIns.data ?? {}).reduce((sum, n) => sum + n, 0);
  return (
    <main className="h-full overflow-y-auto px-8 py-6">
      <h1 className="text-2xl border-b border-ink pb-3">{site.name}</h1>
      {starting && (
        <StartPage
          site={site}
          onClose={() => {
            setStarting(false);
          }}
        />
      )}
      <div className="grid grid-cols-[minmax(0,1fr)_320px] gap-12 mt-5">
        <section aria-label="Pages">
          <div className="flex items-baseline justify-between">
            <h2 className="text-lg">Pages</h2>
            {left > 0 && (
              <span className="text-ochre ml-3 mr-auto">{count(left, 'stand-in')} left in all</span>
            )}
            <Button
              look="quiet"
              onClick={() => {
                setStarting(true);
              }}
            >
              New page
            </Button>
          </div>
          <ul className="mt-1 border-t border-line">
            {site.pages.map((page) => (
              <li key={page.id} className="border-b border-hair">
                <Link
                  to={`/sites/${siteId}/pages/${page.id}`}
                  className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto] gap-4 py-2 hover:bg-sheet"
                >
                  <span className="font-medium">{page.title}</span>
                  <span className="text-soft">{page.address}</span>
                  <span className="text-soft">
                    {count(page.sections, 'section')}, {page.pieces} from the library
                    {(standIns.data?.[page.id] ?? 0) > 0 && (
                      <span className="text-ochre">
                        {' '}
                        · {count(standIns.data?.[page.id] ?? 0, 'stand-in')} left
                      </span>
                    )}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
        <div>
          <FinishesOf siteId={siteId} />
          <Publishing siteId={siteId} name={site.name} />
        </div>
      </div>
    </main>
  );
}

const swatches = ['color.text', 'color.surface', 'color.accent', 'color.label'];

function FinishesOf({ siteId }: { siteId: string }) {
  const { table } = useFinishes();
  const site = table?.sites.find((s) => s.id === siteId);
  if (!table || !site) return null;
  const worth = (name: string) =>
    table.tokens.find((token) => token.name === name)?.sites[siteId]?.css;
  const link = 'text-verdigris underline underline-offset-2';
  return (
    <section aria-label="Finishes">
      <h2 className="text-lg">Finishes</h2>
      <div className="border-t border-line pt-2">
        <p className="flex items-center gap-1.5">
          {swatches.map((name) => (
            <span key={name} title={name}>
              <Swatch css={worth(name) ?? 'transparent'} className="size-6" />
            </span>
          ))}
          <span className="ml-2 text-soft truncate">{worth('font.heading')?.split(',')[0]}</span>
        </p>
        <p className="mt-2">
          {count(site.own, 'value')} of its own on revision {site.revision} of the house’s.
        </p>
        <p className="mt-2 flex gap-4">
          <Link className={link} to={`/finishes?look=${siteId}`}>
            Change its finishes
          </Link>
          <Link className={link} to={`/finishes?tab=contrast&look=${siteId}`}>
            Check its contrast
          </Link>
        </p>
      </div>
    </section>
  );
}

function Publishing({ siteId, name }: { siteId: string; name: string }) {
  const queries = useQueryClient();
  const key = ['publication', siteId];
  const path = { id: siteId };
  const state = useQuery({
    queryKey: key,
    queryFn: () => answer(api.GET('/api/sites/{id}/publication', { params: { path } })),
  });
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const publish = async () => {
    setBusy(true);
    setProblem('');
    try {
      queries.setQueryData(
        key,
        await answer(api.POST('/api/sites/{id}/publication', { params: { path } })),
      );
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'Publishing failed; try again.');
    }
    setBusy(false);
  };
  return (
    <section aria-label="Publishing" className="mt-8">
      <h2 className="text-lg">Publishing</h2>
      <div className="border-t border-line pt-2">
        {state.data?.published ? (
          <p>
            Published {when(state.data.published)}: {count(state.data.pages, 'page')},{' '}
            {state.data.written === 0
              ? 'nothing had changed'
              : `${count(state.data.written, 'file')} written`}
            .{' '}
            <a
              className="text-verdigris underline underline-offset-2"
              href={state.data.address}
              target="_blank"
              rel="noreferrer"
            >
              Open {state.data.address}
            </a>
          </p>
        ) : (
          <p className="text-soft">Not published yet.</p>
        )}
        {problem && (
          <p role="alert" className="text-brick mt-1">
            {problem}
          </p>
        )}
        <Button look="main" className="mt-3" disabled={busy} onClick={() => void publish()}>
          {busy ? 'Publishing…' : `Publish ${name}`}
        </Button>
      </div>
    </section>
  );
}
