import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { count, names, ratio } from '../../ui/count';
import { Mark } from '../../ui/States';

type Reach = Schemas['ReachView'];

/** What an edit would change, before it is made. */
export function ReachLine({ reach }: { reach: Reach }) {
  if (reach.nodes === 0) {
    return <p className="text-soft">Nothing on any page would look different.</p>;
  }
  return (
    <div>
      <p>
        Would change <strong className="font-semibold">{count(reach.nodes, 'node')}</strong> on{' '}
        {count(reach.pages, 'page')} of {count(reach.sites.length, 'site')}
        <span className="text-soft">
          : {reach.devices.desktop} on desktop, {reach.devices.tablet} on tablet,{' '}
          {reach.devices.phone} on phone
        </span>
      </p>
      <details className="mt-0.5">
        <summary className="cursor-pointer text-verdigris">Which pages</summary>
        <ul className="mt-1">
          {reach.sites.map((site) => (
            <li key={site.id}>
              <span className="font-medium">{site.name}</span>:{' '}
              {names(site.pages.map((page) => `${page.title} (${page.nodes})`))}
            </li>
          ))}
        </ul>
      </details>
      <Flips flips={reach.lost} lost />
      <Flips flips={reach.gained} lost={false} />
    </div>
  );
}

const most = 5;

function Flips({ flips, lost }: { flips: readonly Schemas['FlipView'][]; lost: boolean }) {
  if (flips.length === 0) return null;
  return (
    <div className={`mt-1.5 border-l-[3px] pl-2 ${lost ? 'border-brick' : 'border-verdigris'}`}>
      <p>
        <Mark tone={lost ? 'conflict' : 'library'}>
          {count(flips.length, 'text')} {lost ? 'would become too faint' : 'would become readable'}
        </Mark>
      </p>
      <ul>
        {flips.slice(0, most).map((flip) => (
          <li key={`${flip.pageId} ${flip.node}`}>
            <Link
              to={`/sites/${flip.siteId}/pages/${flip.pageId}?node=${encodeURIComponent(flip.node)}`}
              className="underline underline-offset-2"
            >
              {flip.siteName}, {flip.pageTitle}: {flip.nodeTitle}
            </Link>{' '}
            <span className="text-soft">
              {!flip.states.includes('normal') && `${flip.states.join(', ')}, `}
              {ratio(flip.before)} → {ratio(flip.after)}, needs {flip.least}
            </span>
          </li>
        ))}
        {flips.length > most && <li className="text-soft">and {flips.length - most} more</li>}
      </ul>
    </div>
  );
}
