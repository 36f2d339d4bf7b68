import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { count, names } from '../../ui/count';
import { useKeep } from '../../ui/Keep';
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
  const wanting = survey.data.filter(({ findings }) => findings.length > 0);
  const sound = survey.data.filter(({ findings }) => findings.length === 0);
  const here = encodeURIComponent(`/sites/${siteId}?tab=survey`);
  return (
    <div className="overflow-y-auto pt-4 pb-10 max-w-4xl">
      <p className="text-lg" role="status">
        {all === 0 ? 'Nothing was found.' : `${count(all, 'finding')} on this site.`}
      </p>
      <MendedNote siteId={siteId} />
      {wanting.map((rule) => (
        <section key={rule.word} aria-label={rule.title} className="mt-6">
          <header className="flex items-baseline gap-3 border-b border-ink pb-1">
            <h2 className="text-[16px]">{rule.title}</h2>
            <span className="text-ochre">{count(rule.findings.length, 'finding')}</span>
            {mendWords(rule) !== '' && (
              <Mend siteId={siteId} rule={rule.word} words={mendWords(rule)} />
            )}
            <span className="ml-auto text-[12.5px] text-soft">{rule.source}</span>
          </header>
          <ul>
            {rule.findings.map((finding, i) => (
              <li
                key={i}
                className="border-b border-hair flex items-baseline gap-4 hover:bg-sheet text-[13.5px]"
              >
                <Link
                  to={
                    rule.word === 'description'
                      ? `/sites/${siteId}?page=${finding.document}`
                      : `/sites/${siteId}/pages/${finding.document}?from=${here}${
                          finding.node ? `&node=${encodeURIComponent(finding.node)}` : ''
                        }`
                  }
                  className="flex-1 grid grid-cols-[170px_190px_minmax(0,1fr)] gap-4 py-1.5"
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
                {finding.mendable && rule.findings.length > 1 && (
                  <Mend siteId={siteId} rule={rule.word} at={finding} words="Mend it" />
                )}
              </li>
            ))}
          </ul>
        </section>
      ))}
      <div className="mt-8 text-[13.5px]">
        {sound.map((rule) => (
          <section
            key={rule.word}
            aria-label={rule.title}
            className="flex items-baseline gap-3 py-1 border-b border-hair"
          >
            <h2 className="text-[13.5px] font-sans font-normal">{rule.title}</h2>
            <span className="text-verdigris">so it is</span>
            <span className="ml-auto text-[12.5px] text-soft">{rule.source}</span>
          </section>
        ))}
      </div>
    </div>
  );
}

type Rule = Schemas['SurveyedRule'];
type Mended = Schemas['Mended'];

/** What was mended last, kept so that it can be undone. */
const mendedKey = (siteId: string) => ['mended', siteId];

function useMendedOthers(siteId: string) {
  const queries = useQueryClient();
  return async (mended: readonly Mended[]) => {
    queries.setQueryData(mendedKey(siteId), mended);
    for (const key of ['survey', 'frame', 'sites', 'publication']) {
      await queries.invalidateQueries({ queryKey: [key] });
    }
  };
}

type MendProps = {
  siteId: string;
  rule: string;
  /** What is mended alone; without it all that needs no choice is, each page in one edit. */
  at?: Schemas['FindingView'];
  words: string;
};

function Mend({ siteId, rule, at, words }: MendProps) {
  const [busy, setBusy] = useState(false);
  const others = useMendedOthers(siteId);
  const { problem, keep } = useKeep(async () => {
    const params = {
      path: { id: siteId, rule },
      query: at ? { document: at.document, node: at.node } : {},
    };
    await others(await answer(api.POST('/api/sites/{id}/survey/{rule}/mend', { params })));
  });
  return (
    <>
      <Button
        look="quiet"
        disabled={busy}
        onClick={() => {
          setBusy(true);
          void keep().finally(() => {
            setBusy(false);
          });
        }}
      >
        {words}
      </Button>
      {problem && (
        <span role="alert" className="text-brick">
          {problem}
        </span>
      )}
    </>
  );
}

/** How the mending of all that needs no choice is called; empty if nothing is like that. */
function mendWords({ findings }: Rule): string {
  const n = findings.filter(({ mendable }) => mendable).length;
  if (n === 0) return '';
  if (n < findings.length) return `Mend ${String(n)} of them`;
  return n === 1 ? 'Mend it' : `Mend all ${String(n)}`;
}

/** Says what was mended, and takes it back in one go. */
function MendedNote({ siteId }: { siteId: string }) {
  const others = useMendedOthers(siteId);
  const mended = useQuery<readonly Mended[]>({
    queryKey: mendedKey(siteId),
    queryFn: () => [],
    staleTime: Infinity,
    gcTime: 0,
  });
  const { problem, keep } = useKeep(async () => {
    for (const { document, version } of mended.data ?? []) {
      await answer(
        api.POST('/api/pages/{id}/undo', {
          params: { path: { id: document } },
          body: { version },
        }),
      );
    }
    await others([]);
  });
  if (!mended.data || mended.data.length === 0) return null;
  return (
    <p className="mt-1 text-[13.5px]">
      Mended on {names(mended.data.map(({ title }) => title))}.{' '}
      <Button look="quiet" onClick={() => void keep()}>
        Undo it
      </Button>
      {problem && (
        <span role="alert" className="ml-2 text-brick">
          {problem}
        </span>
      )}
    </p>
  );
}
