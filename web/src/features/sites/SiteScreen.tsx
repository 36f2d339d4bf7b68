import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { answer, api, Problem } from '../../api/client';
import { Button } from '../../ui/Button';
import { count, when } from '../../ui/count';
import { Failed, Loading } from '../../ui/States';
import { CoverageTab } from './CoverageTab';
import { DetailsTab } from './DetailsTab';
import { FilesTab } from './FilesTab';
import { MenusTab } from './MenusTab';
import { PagesTab } from './PagesTab';
import { StartPage } from './StartPage';
import { SurveyTab } from './SurveyTab';
import { useSite } from './useSites';

const tabs = [
  { key: '', title: 'Pages' },
  { key: 'coverage', title: 'Header, footer, bands' },
  { key: 'menus', title: 'Menus' },
  { key: 'files', title: 'Files' },
  { key: 'details', title: 'Client details' },
  { key: 'survey', title: 'Survey' },
] as const;

/** One client: its pages, what they share, its menus and details, and publishing. */
export function SiteScreen() {
  const { siteId = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const from = search.get('from') ?? '';
  const site = useSite(siteId);
  const [starting, setStarting] = useState(false);
  const tab = tabs.find(({ key }) => key === search.get('tab'))?.key ?? '';
  if (site.error) return <Failed error={site.error} retry={() => void site.refetch()} />;
  if (!site.data) return <Loading what="the site" />;
  const { name } = site.data;
  return (
    <main className="h-full grid grid-rows-[auto_minmax(0,1fr)] px-8 pt-6">
      {starting && (
        <StartPage
          site={site.data}
          onClose={() => {
            setStarting(false);
          }}
        />
      )}
      <header className="border-b border-ink">
        <div className="flex items-end gap-5">
          <div className="mr-auto min-w-0">
            <h1 className="text-2xl truncate">{name}</h1>
          </div>
          {from.startsWith('/sites/') && (
            <Link to={from} className="text-verdigris font-medium hover:underline pb-1.5">
              Back to where it is missed
            </Link>
          )}
          <Publishing siteId={siteId} name={name} />
        </div>
        <nav aria-label="Of this site" className="flex gap-6 mt-2">
          {tabs.map(({ key, title }) => (
            <button
              key={key}
              type="button"
              aria-current={key === tab ? 'page' : undefined}
              className="py-1.5 border-b-[3px] border-transparent hover:border-line aria-[current=page]:border-verdigris aria-[current=page]:font-semibold"
              onClick={() => {
                setSearch(key === '' ? {} : { tab: key });
              }}
            >
              {title}
            </button>
          ))}
          <Link
            to={`/pictures?client=${siteId}`}
            className="py-1.5 border-b-[3px] border-transparent hover:border-line"
          >
            Pictures
          </Link>
          <Link
            to={`/finishes?look=${siteId}`}
            className="py-1.5 border-b-[3px] border-transparent hover:border-line"
          >
            Finishes
          </Link>
        </nav>
      </header>
      {tab === '' && (
        <PagesTab
          site={site.data}
          onStart={() => {
            setStarting(true);
          }}
        />
      )}
      {tab === 'coverage' && <CoverageTab siteId={siteId} />}
      {tab === 'menus' && <MenusTab siteId={siteId} />}
      {tab === 'files' && <FilesTab siteId={siteId} />}
      {tab === 'survey' && <SurveyTab siteId={siteId} />}
      {tab === 'details' && <DetailsTab siteId={siteId} />}
    </main>
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
    <section aria-label="Publishing" className="flex items-center gap-4 min-w-0">
      {problem ? (
        <p role="alert" className="text-brick min-w-0">
          {problem}
        </p>
      ) : state.data?.published ? (
        <p className="text-soft text-[13px] min-w-0 truncate">
          Published {when(state.data.published)}: {count(state.data.pages, 'page')},{' '}
          {state.data.written === 0
            ? 'nothing had changed'
            : `${count(state.data.written, 'file')} written`}
          .{state.data.pagesChanged && ' Pages have changed since.'}{' '}
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
        <p className="text-soft text-[13px]">Not published yet.</p>
      )}
      <Button look="main" disabled={busy} onClick={() => void publish()}>
        {busy ? 'Publishing…' : `Publish ${name}`}
      </Button>
    </section>
  );
}
