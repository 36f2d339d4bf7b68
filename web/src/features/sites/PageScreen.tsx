import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { pageSource } from '../../workbench/engine/source';
import { Workbench } from '../../workbench/shell/Workbench';

/** A client's page on the workbench. */
export function PageScreen() {
  const { siteId = '', pageId = '' } = useParams();
  const source = useMemo(() => pageSource(pageId), [pageId]);
  return (
    <Workbench
      key={pageId}
      source={source}
      heading={(view) => (
        <>
          <h1 className="text-[16px]">{view.title}</h1>
          <Link to={`/sites/${siteId}`} className="text-[12.5px] text-soft hover:underline">
            {view.siteName}
          </Link>
        </>
      )}
    />
  );
}
