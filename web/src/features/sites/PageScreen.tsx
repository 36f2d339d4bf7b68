import { useMemo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { count } from '../../ui/count';
import { pageSource } from '../../workbench/engine/source';
import { Workbench } from '../../workbench/shell/Workbench';

/** A client's page on the workbench. */
export function PageScreen() {
  const { siteId = '', pageId = '' } = useParams();
  const [search] = useSearchParams();
  const source = useMemo(() => pageSource(pageId), [pageId]);
  return (
    <Workbench
      key={pageId}
      source={source}
      heading={(view) => (
        <>
          <h1 className="text-[16px]">{view.title}</h1>
          {view.shared && <SharedBy pages={view.shared.pages} back={search.get('from') ?? ''} />}
          <Link to={`/sites/${siteId}`} className="text-[12.5px] text-soft hover:underline">
            {view.siteName}
          </Link>
        </>
      )}
    />
  );
}

/** On how many pages a change here is seen at once, and the way back to one of them. */
function SharedBy({ pages, back }: { pages: readonly string[]; back: string }) {
  return (
    <p className="text-[12.5px] text-ochre" title={pages.join(', ')}>
      {pages.length === 0
        ? 'On no page'
        : `Shared: a change is seen on ${count(pages.length, 'page')}`}
      {back !== '' && (
        <>
          {' · '}
          <Link to={back} className="text-verdigris hover:underline">
            Back to the page
          </Link>
        </>
      )}
    </p>
  );
}
