import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useState } from 'react';
import { Link } from 'react-router';
import { ButtonLink } from '../../ui/ButtonLink';
import sizes from '../../api/devices.json';
import { fetchText, type Schemas } from '../../api/client';
import { count } from '../../ui/count';
import { ListHead } from '../../ui/ListHead';
import { Empty, Failed, Loading } from '../../ui/States';
import { useFewFirst } from '../../ui/useFewFirst';
import { useSeen } from '../../ui/useSeen';
import { useWidth } from '../../ui/useWidth';
import { Whole } from '../../workbench/canvas/Whole';
import { SiteState } from './SiteState';
import { useSites } from './useSites';

type SiteCard = Schemas['SiteCard'];

/** The clients as a wall of their home pages. */
export function SitesScreen() {
  const sites = useSites();
  const [words, setWords] = useState('');
  if (sites.error) return <Failed error={sites.error} retry={() => void sites.refetch()} />;
  if (!sites.data) return <Loading what="the sites" />;
  const wanted = words.trim().toLowerCase();
  const shown = sites.data.filter((site) => site.name.toLowerCase().includes(wanted));
  return (
    <main className="h-full grid grid-rows-[auto_minmax(0,1fr)] px-8 pt-6">
      <ListHead
        title="Sites"
        one="client"
        shown={shown.length}
        all={sites.data.length}
        searched="Name of a client"
        words={words}
        onWords={setWords}
      >
        <ButtonLink to="/sites/new">Start a new client</ButtonLink>
      </ListHead>
      <div className="overflow-y-auto pt-5 pb-8 -mx-1 px-1">
        {sites.data.length === 0 && (
          <Empty>No site yet. Start a new client from its logo, colours and typefaces.</Empty>
        )}
        {sites.data.length > 0 && shown.length === 0 && (
          <Empty>No client is called “{words.trim()}”.</Empty>
        )}
        <Wall sites={shown} />
      </div>
    </main>
  );
}

/** How many stand on the largest screens. */
const ON_SCREEN = 24;
/** How many surely stand on the screen when the wall is opened. */
const AT_FIRST = 4;

function Wall({ sites }: { sites: readonly SiteCard[] }) {
  const drawn = useFewFirst(sites, ON_SCREEN);
  return (
    <ul className="grid grid-cols-[repeat(auto-fill,minmax(270px,1fr))] gap-x-6 gap-y-7">
      {drawn.map((site, i) => (
        <ClientCard key={site.id} site={site} first={i < AT_FIRST} />
      ))}
    </ul>
  );
}

/** A client by its home page, with how its site stands once that is drawn. */
function ClientCard({ site, first }: { site: SiteCard; first: boolean }) {
  const [place, seen] = useSeen<HTMLLIElement>(first);
  const [drawn, setDrawn] = useState(site.home === '');
  const done = useCallback(() => {
    setDrawn(true);
  }, []);
  return (
    <li
      ref={place}
      // The room around it is for the lines around what is in it: nothing is drawn beyond its edges.
      className="[content-visibility:auto] [contain-intrinsic-height:auto_358px] p-1 -m-1"
    >
      <Link to={`/sites/${site.id}`} className="block group">
        <span className="block h-[300px] overflow-hidden bg-board outline outline-line group-hover:outline-ink">
          {site.home === '' ? (
            <span className="grid place-items-center h-full text-soft text-[13px]">
              No home page
            </span>
          ) : (
            seen && <Front site={site} onDone={done} />
          )}
        </span>
        <span className="flex items-baseline gap-2 mt-2">
          <span className="font-title text-[17px] truncate group-hover:underline underline-offset-4">
            {site.name}
          </span>
          <span className="ml-auto text-[13px] text-soft whitespace-nowrap">
            {count(site.pages, 'page')}
          </span>
        </span>
      </Link>
      {seen && drawn ? <SiteState site={site} /> : <p className="min-h-6" />}
    </li>
  );
}

/**
 * The upper part of a home page, as wide as the card.
 *
 * @param onDone it is there, or cannot be had
 */
function Front({ site, onDone }: { site: SiteCard; onDone: () => void }) {
  const [place, width] = useWidth<HTMLSpanElement>();
  const address = `/api/pages/${site.home}/frame`;
  const html = useQuery({
    queryKey: ['frame', address],
    queryFn: () => fetchText(address),
  });
  const { isPending } = html;
  useEffect(() => {
    if (!isPending) onDone();
  }, [isPending, onDone]);
  return (
    <span ref={place} className="block">
      <Whole
        html={html.data}
        title={`The home page of ${site.name}`}
        viewport={sizes.desktop}
        width={width}
        height={Number.POSITIVE_INFINITY}
      />
    </span>
  );
}
