import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api } from '../../api/client';
import { count } from '../../ui/count';
import { Failed, Loading } from '../../ui/States';

/** What a computed check of the site finds; each finding leads to where it is mended. */
export function SurveyTab({ siteId }: { siteId: string }) {
  const survey = useQuery({
    queryKey: ['survey', siteId],
    queryFn: () => answer(api.GET('/api/sites/{id}/survey', { params: { path: { id: siteId } } })),
    gcTime: 0,
  });
  if (survey.error) return <Failed error={survey.error} retry={() => void survey.refetch()} />;
  if (!survey.data) return <Loading what="the survey" />;
  const all = survey.data.reduce((sum, rule) => sum + rule.findings.length, 0);
  const here = encodeURIComponent(`/sites/${siteId}?tab=survey`);
  return (
    <div className="overflow-y-auto pt-4 pb-10 max-w-4xl">
      <p className="text-lg" role="status">
        {all === 0 ? 'Nothing was found.' : `${count(all, 'finding')} on this site.`}
      </p>
      {survey.data.map((rule) => (
        <section key={rule.word} aria-label={rule.title} className="mt-6">
          <header className="flex items-baseline gap-3 border-b border-ink pb-1">
            <h2 className="text-[16px]">{rule.title}</h2>
            <span className={rule.findings.length > 0 ? 'text-ochre' : 'text-verdigris'}>
              {rule.findings.length > 0 ? count(rule.findings.length, 'finding') : 'so it is'}
            </span>
            <span className="ml-auto text-[12.5px] text-soft">{rule.source}</span>
          </header>
          <ul>
            {rule.findings.map((finding, i) => (
              <li key={i} className="border-b border-hair">
                <Link
                  to={
                    rule.word === 'description'
                      ? `/sites/${siteId}?page=${finding.document}`
                      : `/sites/${siteId}/pages/${finding.document}?from=${here}${
                          finding.node ? `&node=${encodeURIComponent(finding.node)}` : ''
                        }`
                  }
                  className="grid grid-cols-[170px_190px_minmax(0,1fr)] gap-4 py-1.5 hover:bg-sheet text-[13.5px]"
                >
                  <span className="truncate font-medium">
                    {finding.documentTitle}
                    {finding.shared && <span className="text-soft font-normal"> · shared</span>}
                  </span>
                  <span className="truncate text-soft" title={finding.nodeTitle}>
                    {finding.nodeTitle || 'the whole page'}
                  </span>
                  <span>{finding.message}</span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
