import { Link } from 'react-router';
import { count, when } from '../../ui/count';
import { Empty, Failed, Loading } from '../../ui/States';
import { useSites } from './useSites';

/** The clients' sites and their pages. */
export function SitesScreen() {
  const sites = useSites();
  if (sites.error) return <Failed error={sites.error} retry={() => void sites.refetch()} />;
  if (!sites.data) return <Loading what="the sites" />;
  return (
    <main className="h-full overflow-y-auto px-8 py-6 max-w-5xl">
      <header className="flex items-end justify-between border-b border-ink pb-3">
        <h1 className="text-2xl">Sites</h1>
        <Link
          to="/sites/new"
          className="bg-verdigris text-white font-medium px-3 py-1.5 rounded-[3px] hover:bg-verdigris-deep"
        >
          Start a new client
        </Link>
      </header>
      {sites.data.length === 0 && (
        <div className="mt-8">
          <Empty>No site yet. Start a new client from its logo, colours and typefaces.</Empty>
        </div>
      )}
      {sites.data.map((site) => (
        <section key={site.id} aria-label={site.name} className="mt-7">
          <header className="flex items-baseline gap-4">
            <h2 className="text-lg">
              <Link to={`/sites/${site.id}`} className="hover:underline underline-offset-4">
                {site.name}
              </Link>
            </h2>
            <span className="text-soft">{count(site.pages.length, 'page')}</span>
            <Link to={`/sites/${site.id}`} className="ml-auto text-verdigris hover:underline">
              Finishes and publishing
            </Link>
          </header>
          <ul className="mt-2 border-t border-line">
            {site.pages.map((page) => (
              <li key={page.id} className="border-b border-hair">
                <Link
                  to={`/sites/${site.id}/pages/${page.id}`}
                  className="grid grid-cols-[1fr_1fr_1.6fr_1fr] gap-4 py-2 px-2 -mx-2 hover:bg-sheet"
                >
                  <span className="font-medium">{page.title}</span>
                  <span className="text-soft">{page.address}</span>
                  <span>
                    {count(page.sections, 'section')}, {page.pieces} of them from the library
                  </span>
                  <span className="text-soft text-right">changed {when(page.changed)}</span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </main>
  );
}
