import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, done, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { ChoiceField } from '../../ui/ChoiceField';
import { count, names, when } from '../../ui/count';
import { useKeep } from '../../ui/Keep';
import { Sheet } from '../../ui/Sheet';
import { Loading } from '../../ui/States';
import type { SitePage } from './useSites';

type Props = { site: Schemas['SiteView']; page: SitePage };

/** What shows pages of a site asks anew, once there are others. */
function usePagesChanged() {
  const queries = useQueryClient();
  return async (gone = '') => {
    await queries.invalidateQueries({ queryKey: ['sites'] });
    const keys = ['gone', 'survey', 'frame', 'publication', 'stand-ins', 'link-target'];
    await queries.invalidateQueries({
      predicate: ({ queryKey: [key, of] }) =>
        keys.includes(String(key)) && of !== `/api/pages/${gone}/frame`,
    });
  };
}

/** Takes a page away, after saying what leads to it and where that shall lead instead. */
export function TakeAway({ site, page }: Props) {
  const [open, setOpen] = useState(false);
  const close = () => {
    setOpen(false);
  };
  if (page.address === '/') return null;
  return (
    <p className="mt-6 border-t border-line pt-3">
      <Button
        look="quiet"
        onClick={() => {
          setOpen(true);
        }}
      >
        Take this page away
      </Button>
      <Sheet open={open} onClose={close} title={`Take “${page.title}” away`}>
        <Question site={site} page={page} onClose={close} />
      </Sheet>
    </p>
  );
}

function Question({ site, page, onClose }: Props & { onClose: () => void }) {
  const [leadsTo, setLeadsTo] = useState('');
  const [version] = useState(page.version);
  const changed = usePagesChanged();
  const dangling = useQuery({
    queryKey: ['dangling', page.id],
    queryFn: () =>
      answer(api.GET('/api/pages/{id}/dangling', { params: { path: { id: page.id } } })),
    gcTime: 0,
  });
  const { problem, keep } = useKeep(async () => {
    await done(
      api.POST('/api/pages/{id}/take-away', {
        params: { path: { id: page.id } },
        body: { leadsTo, version },
      }),
    );
    onClose();
    await changed(page.id);
  });
  if (!dangling.data) return <Loading what="what leads here" />;
  const { links, menus } = dangling.data;
  const leads = links.length + menus.length;
  const others = site.pages.filter(({ id }) => id !== page.id);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      {leads === 0 ? (
        <p>No link of this site leads to it.</p>
      ) : (
        <>
          <p>
            {links.length > 0 && count(links.length, 'link')}
            {links.length > 0 && menus.length > 0 && ' and '}
            {menus.length > 0 &&
              `the ${menus.length === 1 ? 'menu' : 'menus'} ${names(menus.map((menu) => `“${menu}”`))}`}{' '}
            would lead nowhere:
          </p>
          <ul className="mt-2 max-h-44 overflow-y-auto border-t border-line">
            {links.map(({ document, documentTitle, node, nodeTitle }, i) => (
              <li key={i} className="border-b border-hair">
                <Link
                  className="flex gap-3 py-1 hover:bg-board"
                  to={`/sites/${site.id}/pages/${document}?node=${encodeURIComponent(node)}`}
                >
                  <span className="font-medium">{documentTitle}</span>
                  <span className="truncate text-soft">{nodeTitle}</span>
                </Link>
              </li>
            ))}
          </ul>
        </>
      )}
      <ChoiceField
        className="mt-4"
        label={
          leads === 0
            ? `What leads to ${page.address} from outside goes to`
            : 'They lead instead to'
        }
        value={leadsTo}
        onChange={setLeadsTo}
        choices={[
          { word: '', title: 'nowhere' },
          ...others.map(({ id, title }) => ({ word: id, title })),
        ]}
      />
      <p className="mt-2 text-soft text-[13px]">
        The page is kept with all that is on it, and can be brought back.
      </p>
      {problem && (
        <p role="alert" className="mt-2 text-brick">
          {problem}
        </p>
      )}
      <div className="mt-5 flex justify-end gap-3">
        <Button onClick={onClose}>Leave it there</Button>
        <Button look="main" type="submit">
          Take it away
        </Button>
      </div>
    </form>
  );
}

/** The pages that were taken away, each of which can be brought back. */
export function GonePages({ siteId }: { siteId: string }) {
  const changed = usePagesChanged();
  const gone = useQuery({
    queryKey: ['gone', siteId],
    queryFn: () => answer(api.GET('/api/sites/{id}/gone', { params: { path: { id: siteId } } })),
  });
  const [problem, setProblem] = useState('');
  const bringBack = async (page: string) => {
    try {
      await done(
        api.POST('/api/sites/{id}/gone/{page}/bring-back', {
          params: { path: { id: siteId, page } },
        }),
      );
      setProblem('');
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
    await changed();
  };
  if (!gone.data || gone.data.length === 0) return null;
  return (
    <details className="border-t border-line py-2 text-[13px]">
      <summary className="cursor-pointer">{count(gone.data.length, 'page')} taken away</summary>
      <ul className="max-h-40 overflow-y-auto">
        {gone.data.map(({ id, title, address, gone: at, leadsTo }) => (
          <li key={id} className="flex items-baseline gap-3 py-1 border-b border-hair">
            <span className="min-w-0 flex-1">
              <span className="block truncate font-medium">{title}</span>
              <span className="block truncate text-soft text-[12.5px]">
                {address}, {when(at)}
                {leadsTo && `; leads to ${leadsTo}`}
              </span>
            </span>
            <Button
              look="quiet"
              aria-label={`Bring ${title} back`}
              onClick={() => void bringBack(id)}
            >
              Bring back
            </Button>
          </li>
        ))}
      </ul>
      {problem && (
        <p role="alert" className="text-brick">
          {problem}
        </p>
      )}
    </details>
  );
}
