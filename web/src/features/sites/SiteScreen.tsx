import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { answer, api, Problem, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { count, when } from '../../ui/count';
import { Failed, Loading, Mark } from '../../ui/States';
import { ProblemLine } from '../../workbench/FieldRow';
import { useDraft } from '../../workbench/useDraft';
import { useSites } from './useSites';

/** One client: its pages, its own values on top of the house's finishes, and publishing. */
export function SiteScreen() {
  const { siteId = '' } = useParams();
  const sites = useSites();
  if (sites.error) return <Failed error={sites.error} retry={() => void sites.refetch()} />;
  if (!sites.data) return <Loading what="the site" />;
  const site = sites.data.find((s) => s.id === siteId);
  if (!site) return <Failed error={new Error(`There is no site “${siteId}”. Go back to Sites.`)} />;
  return (
    <main className="h-full overflow-y-auto px-8 py-6">
      <h1 className="text-2xl border-b border-ink pb-3">{site.name}</h1>
      <div className="grid grid-cols-[minmax(0,1fr)_320px] gap-12 mt-5">
        <Tokens siteId={siteId} />
        <div>
          <section aria-label="Pages">
            <h2 className="text-lg">Pages</h2>
            <ul className="mt-1 border-t border-line">
              {site.pages.map((page) => (
                <li key={page.id} className="border-b border-hair">
                  <Link
                    to={`/sites/${siteId}/pages/${page.id}`}
                    className="flex justify-between py-1.5 hover:bg-sheet"
                  >
                    <span className="font-medium">{page.title}</span>
                    <span className="text-soft">{page.address}</span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
          <Publishing siteId={siteId} name={site.name} />
        </div>
      </div>
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
    <section aria-label="Publishing" className="mt-8">
      <h2 className="text-lg">Publishing</h2>
      <div className="border-t border-line pt-2">
        {state.data?.published ? (
          <p>
            Published {when(state.data.published)}: {count(state.data.pages, 'page')},{' '}
            {state.data.written === 0
              ? 'nothing had changed'
              : `${count(state.data.written, 'file')} written`}
            .{' '}
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
          <p className="text-soft">Not published yet.</p>
        )}
        {problem && (
          <p role="alert" className="text-brick mt-1">
            {problem}
          </p>
        )}
        <Button look="main" className="mt-3" disabled={busy} onClick={() => void publish()}>
          {busy ? 'Publishing…' : `Publish ${name}`}
        </Button>
      </div>
    </section>
  );
}

function Tokens({ siteId }: { siteId: string }) {
  const path = { siteId };
  const tokens = useQuery({
    queryKey: ['tokens', siteId],
    queryFn: () => answer(api.GET('/api/sites/{siteId}/tokens', { params: { path } })),
  });
  if (tokens.error) return <Failed error={tokens.error} retry={() => void tokens.refetch()} />;
  if (!tokens.data) return <Loading what="the finishes" />;
  return (
    <section aria-label="Finishes">
      <h2 className="text-lg">Finishes</h2>
      <p className="text-soft">
        A value of the client’s own stands in place of the house’s. Write a value, or another token
        such as {'{color.accent}'}; empty goes back to the house’s.
      </p>
      <table className="mt-2 w-full border-t border-line text-[13px]">
        <thead>
          <tr className="text-left text-soft">
            <th className="font-medium py-1.5">Token</th>
            <th className="font-medium">This client</th>
            <th className="font-medium">House</th>
            <th className="font-medium">Worth</th>
          </tr>
        </thead>
        <tbody>
          {tokens.data.map((token) => (
            <TokenRow key={token.id} token={token} siteId={siteId} />
          ))}
        </tbody>
      </table>
    </section>
  );
}

function TokenRow({ token, siteId }: { token: Schemas['TokenView']; siteId: string }) {
  const queries = useQueryClient();
  const draft = useDraft(token.own ? token.value : '', async (value) => {
    try {
      const next = await answer(
        api.PUT('/api/sites/{siteId}/tokens/{tokenId}', {
          params: { path: { siteId, tokenId: token.id } },
          body: { value },
        }),
      );
      queries.setQueryData(['tokens', siteId], next);
      queries.removeQueries({ queryKey: ['workbench'] });
      await queries.invalidateQueries({ queryKey: ['piece-frame'] });
      return undefined;
    } catch (error) {
      return error instanceof Problem ? error : new Problem(0, 'Not saved', String(error));
    }
  });
  return (
    <tr className="border-t border-hair align-top">
      <td className="py-1.5 pr-3">
        <span className="font-medium">{token.name}</span>
        <span className="block text-soft text-[12px]">{token.description}</span>
      </td>
      <td className="py-1 pr-3 w-56">
        <input
          aria-label={`${token.name} of this client`}
          value={draft.text}
          placeholder="as the house"
          aria-invalid={draft.problem !== undefined}
          onChange={(e) => {
            draft.typed(e.target.value);
          }}
          onBlur={() => void draft.leave()}
          onKeyDown={(e) => {
            if (e.key === 'Enter') void draft.commit();
            else if (e.key === 'Escape') draft.drop();
          }}
          className={`w-full border px-2 py-1 rounded-[2px] placeholder:text-soft/80 ${draft.problem ? 'border-brick' : 'border-line'} ${token.own ? 'bg-ochre-tint' : 'bg-sheet'}`}
        />
        <ProblemLine id={`${token.id}-problem`} problem={draft.problem} />
      </td>
      <td className="py-1.5 pr-3 text-soft">
        {token.house} {token.own && <Mark tone="local">own</Mark>}
      </td>
      <td className="py-1.5">
        <span className="flex items-center gap-1.5">
          {token.type === 'color' && (
            <span className="size-4 border border-line" style={{ background: token.css }} />
          )}
          <span>{token.css}</span>
        </span>
      </td>
    </tr>
  );
}
