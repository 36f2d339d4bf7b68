import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api } from '../../api/client';
import { count, when } from '../../ui/count';
import { Mark } from '../../ui/States';
import { useRollouts } from '../rollouts/useRollouts';

type Props = { site: { id: string; name: string; pages: number; inWork: number } };

/** A site with more pages is surveyed when that is asked for: the first time takes some ms a page. */
const SURVEYED_AT_ONCE = 60;

/** How a client’s site stands: what is published, what waits, what the survey finds; each leads there. */
export function SiteState({ site }: Props) {
  const path = { id: site.id };
  const publication = useQuery({
    queryKey: ['publication', site.id],
    queryFn: () => answer(api.GET('/api/sites/{id}/publication', { params: { path } })),
  });
  const survey = useQuery({
    queryKey: ['survey', site.id],
    queryFn: () => answer(api.GET('/api/sites/{id}/survey', { params: { path } })),
    enabled: site.pages <= SURVEYED_AT_ONCE,
    gcTime: 0,
  });
  const rollouts = useRollouts();
  const waiting =
    rollouts.data?.waiting.filter((release) => release.sites.includes(site.name)).length ?? 0;
  const findings = (survey.data ?? []).reduce((sum, rule) => sum + rule.findings.length, 0);
  const published = publication.data?.published;
  const pagesChanged = publication.data?.pagesChanged;
  return (
    <p className="flex flex-wrap items-center gap-1.5 min-h-6 text-[13px] text-soft">
      <span className="mr-auto">
        {site.pages === 0
          ? 'nothing made yet'
          : !published
            ? publication.data && 'not published yet'
            : pagesChanged
              ? 'pages changed since published'
              : `published ${when(published)}`}
      </span>
      {site.inWork > 0 && (
        <Link
          to={`/sites/${site.id}`}
          className="inline-flex items-center min-h-6 hover:underline underline-offset-2"
        >
          <Mark tone="held">{site.inWork} in work</Mark>
        </Link>
      )}
      {waiting > 0 && (
        <Link
          to="/rollouts"
          className="inline-flex items-center min-h-6 hover:underline underline-offset-2"
        >
          <Mark tone="local">{count(waiting, 'rollout')} waiting</Mark>
        </Link>
      )}
      {findings > 0 && (
        <Link
          to={`/sites/${site.id}?tab=survey`}
          className="inline-flex items-center min-h-6 hover:underline underline-offset-2"
        >
          <Mark tone="conflict">{count(findings, 'finding')}</Mark>
        </Link>
      )}
    </p>
  );
}
