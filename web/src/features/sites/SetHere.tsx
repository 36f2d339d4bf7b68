import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { answer, api, uploadPicture, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { inputClass } from '../../ui/inputClass';
import { useKeep } from '../../ui/Keep';
import { lines } from './clientLines';
import { useDetails } from './useSites';

type Props = {
  siteId: string;
  /** The word of what is not set: a line of the client’s details, the logo, the social links, a menu. */
  unset: string;
  onSet: () => Promise<void>;
};

const look = 'text-verdigris font-medium hover:underline';

/** Sets something of the client that is missing, for all pages, from where it is missed. */
export function SetHere({ siteId, unset, onSet }: Props) {
  const location = useLocation();
  const line = lines.find(({ key }) => key === unset);
  if (line) return <SetLine siteId={siteId} line={line} onSet={onSet} />;
  if (unset === 'logo') return <SetLogo siteId={siteId} onSet={onSet} />;
  const [, menu = ''] = unset.split(/^menu:/);
  const from = `${location.pathname}${location.search}`;
  const to = new URLSearchParams(
    menu === '' ? { tab: 'details', from } : { tab: 'menus', menu, from },
  );
  return (
    <Link to={`/sites/${siteId}?${to.toString()}`} className={look}>
      {menu === '' ? 'Set them' : 'Add its links'}
    </Link>
  );
}

/** Keeps a part of the client’s details, beside what is said of it already. */
function useSetting(siteId: string, onSet: () => Promise<void>) {
  const details = useDetails(siteId);
  const set = async (part: Partial<Schemas['DetailsView']>) => {
    const { data } = await details.refetch({ throwOnError: true });
    if (!data) throw new Error('the details are not there');
    await answer(
      api.PUT('/api/sites/{id}/details', {
        params: { path: { id: siteId } },
        body: { ...data, ...part },
      }),
    );
    await onSet();
  };
  return set;
}

type LineProps = Omit<Props, 'unset'> & { line: (typeof lines)[number] };

function SetLine({ siteId, line, onSet }: LineProps) {
  const [said, setSaid] = useState('');
  const set = useSetting(siteId, onSet);
  const { problem, keep } = useKeep(() => set({ [line.key]: said }));
  const label = `${line.title} of the client`;
  return (
    <form
      className="mt-1.5 text-ink"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <div className="flex items-start gap-2">
        <textarea
          aria-label={label}
          placeholder={label}
          rows={line.rows}
          maxLength={400}
          className={`${inputClass} resize-none`}
          value={said}
          onChange={(e) => {
            setSaid(line.rows === 1 ? e.target.value.replace(/\n/g, ' ') : e.target.value);
          }}
          onKeyDown={(e) => {
            if (e.key !== 'Enter' || line.rows > 1) return;
            e.preventDefault();
            if (said.trim() !== '') void keep();
          }}
        />
        <Button type="submit" disabled={said.trim() === ''}>
          Set it
        </Button>
      </div>
      {problem && (
        <p role="alert" className="mt-1 text-brick">
          {problem}
        </p>
      )}
    </form>
  );
}

function SetLogo({ siteId, onSet }: Omit<Props, 'unset'>) {
  const set = useSetting(siteId, onSet);
  const [file, setFile] = useState<File>();
  const { problem, keep } = useKeep(async () => {
    if (file) await set({ logo: (await uploadPicture(siteId, file)).picture.id });
  });
  return (
    <form
      className="mt-1.5 text-ink"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <div className="flex items-center gap-2">
        <label className={`${look} min-w-0 truncate cursor-pointer focus-within:outline`}>
          {file?.name ?? 'Choose a logo'}
          <input
            type="file"
            accept="image/*"
            className="sr-only"
            onChange={(e) => {
              setFile(e.target.files?.[0]);
            }}
          />
        </label>
        {file && <Button type="submit">Set it</Button>}
      </div>
      {problem && (
        <p role="alert" className="mt-1 text-brick">
          {problem}
        </p>
      )}
    </form>
  );
}
