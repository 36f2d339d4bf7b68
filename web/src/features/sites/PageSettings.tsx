import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, done } from '../../api/client';
import { inputClass } from '../../ui/inputClass';
import { KeepLine, useKeep } from '../../ui/Keep';
import { usePageKinds, type SitePage } from './useSites';

type Props = { siteId: string; page: SitePage };

type Said = Pick<SitePage, 'title' | 'address' | 'description' | 'kind' | 'ready'>;

/** What is said of a page besides what stands on it. */
export function PageSettings({ siteId, page }: Props) {
  const queries = useQueryClient();
  const [said, setSaid] = useState<Said>(page);
  const [kept, setKept] = useState(false);
  const kinds = usePageKinds();
  const changed = (['title', 'address', 'description', 'kind', 'ready'] as const).some(
    (key) => said[key] !== page[key],
  );
  const change = (part: Partial<Said>) => {
    setSaid({ ...said, ...part });
    setKept(false);
  };
  const { problem, keep } = useKeep(async () => {
    const { title, address, description, kind, ready } = said;
    await done(
      api.PUT('/api/pages/{id}/said', {
        params: { path: { id: page.id } },
        body: { title, address, description, kind, ready },
      }),
    );
    await queries.invalidateQueries({ queryKey: ['sites'] });
    await queries.invalidateQueries({ queryKey: ['frame'] });
    setKept(true);
  });
  return (
    <form
      className="grid gap-3.5"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <Link
        to={`/sites/${siteId}/pages/${page.id}`}
        className="bg-verdigris text-white font-medium px-3 py-1.5 rounded-[3px] text-center hover:bg-verdigris-deep"
      >
        Work on this page
      </Link>
      <label>
        <span className="font-medium">Title</span>
        <input
          className={`${inputClass} mt-0.5`}
          value={said.title}
          maxLength={120}
          onChange={(e) => {
            change({ title: e.target.value });
          }}
        />
      </label>
      <label>
        <span className="font-medium">Address</span>
        <input
          className={`${inputClass} mt-0.5`}
          value={said.address}
          maxLength={200}
          onChange={(e) => {
            change({ address: e.target.value });
          }}
        />
        {said.address !== page.address && (
          <span className="block text-[12.5px] text-soft mt-0.5">
            Links follow by themselves, and {page.address} leads on to it.
          </span>
        )}
      </label>
      <label>
        <span className="font-medium">Description</span>
        <textarea
          rows={4}
          className={`${inputClass} mt-0.5`}
          value={said.description}
          maxLength={500}
          onChange={(e) => {
            change({ description: e.target.value });
          }}
        />
        <span className="block text-[12.5px] text-soft">
          One or two sentences for search results; {said.description.length} characters.
        </span>
      </label>
      <label>
        <span className="font-medium">Kind</span>
        <select
          className={`${inputClass} mt-0.5`}
          value={said.kind}
          onChange={(e) => {
            change({ kind: e.target.value });
          }}
        >
          {kinds.data?.map(({ word, title }) => (
            <option key={word} value={word}>
              {title}
            </option>
          ))}
        </select>
      </label>
      <label className="flex items-start gap-2">
        <input
          type="checkbox"
          className="accent-verdigris mt-1"
          checked={said.ready}
          onChange={(e) => {
            change({ ready: e.target.checked });
          }}
        />
        <span>
          Ready for visitors
          <span className="block text-[12.5px] text-soft">
            {said.ready ? 'Publishing takes it along.' : 'In work: it is not published.'}
          </span>
        </span>
      </label>
      <KeepLine
        what="settings"
        changed={changed}
        kept={kept}
        problem={problem}
        onKeep={() => void keep()}
      />
    </form>
  );
}
