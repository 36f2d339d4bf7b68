import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, done } from '../../api/client';
import { PicturePicker } from '../../workbench/ladder/PicturePicker';
import { fileOf, usePicturesAtHand } from '../pictures/usePictures';
import { Button } from '../../ui/Button';
import { ButtonLink } from '../../ui/ButtonLink';
import { inputClass } from '../../ui/inputClass';
import { KeepLine, useKeep } from '../../ui/Keep';
import { usePageKinds, type SitePage } from './useSites';

type Props = { siteId: string; page: SitePage };

type Said = Pick<SitePage, (typeof parts)[number]>;

const parts = ['title', 'address', 'description', 'picture', 'kind', 'ready'] as const;

/** What is said of a page besides what stands on it. */
export function PageSettings({ siteId, page }: Props) {
  const queries = useQueryClient();
  const [said, setSaid] = useState<Said>(page);
  /** The page as it was when this was begun: what somebody else says of it meanwhile is not overwritten. */
  const [begun, setBegun] = useState(page);
  const [kept, setKept] = useState(false);
  const kinds = usePageKinds();
  const alike = (one: Said, other: Said) => parts.every((key) => one[key] === other[key]);
  if (begun !== page && (alike(said, begun) || alike(said, page))) {
    setBegun(page);
    setSaid(page);
  }
  const changed = !alike(said, begun);
  const change = (part: Partial<Said>) => {
    setSaid({ ...said, ...part });
    setKept(false);
  };
  const { problem, setProblem, keep } = useKeep(async () => {
    const { title, address, description, picture, kind, ready } = said;
    try {
      await done(
        api.PUT('/api/pages/{id}/said', {
          params: { path: { id: page.id }, query: { etag: begun.etag } },
          body: { title, address, description, picture, kind, ready },
        }),
      );
    } finally {
      // Also where it was refused: what somebody else said is shown then.
      await queries.invalidateQueries({ queryKey: ['sites'] });
    }
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
      <ButtonLink to={`/sites/${siteId}/pages/${page.id}`} className="justify-center">
        Work on this page
      </ButtonLink>
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
          One or two sentences for search results, and its summary in lists of pages;{' '}
          {said.description.length} characters.
        </span>
      </label>
      <PagePicture
        siteId={siteId}
        picture={said.picture}
        onChoose={(picture) => {
          change({ picture });
        }}
      />
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
      {begun.etag !== page.etag && (
        <Theirs
          begun={begun}
          page={page}
          onUse={() => {
            setBegun(page);
            setSaid(page);
            setProblem('');
          }}
          onKeepMine={() => {
            setBegun(page);
            setProblem('');
          }}
        />
      )}
      <KeepLine
        what="settings"
        changed={changed}
        kept={kept}
        problem={begun.etag === page.etag ? problem : ''}
        onKeep={() => void keep()}
      />
    </form>
  );
}

type TheirsProps = { begun: Said; page: Said; onUse: () => void; onKeepMine: () => void };

const labels: Record<(typeof parts)[number], string> = {
  title: 'Title',
  address: 'Address',
  description: 'Description',
  picture: 'Picture',
  kind: 'Kind',
  ready: 'Ready for visitors',
};

/** What somebody else saved since this form was begun. */
function Theirs({ begun, page, onUse, onKeepMine }: TheirsProps) {
  const other = parts.filter((key) => page[key] !== begun[key]);
  return (
    <div
      ref={intoView}
      role="alert"
      className="border border-brick bg-sheet p-3 text-[13px] scroll-my-4"
    >
      <p className="text-brick font-medium">Somebody else changed this page meanwhile</p>
      <ul className="mt-1">
        {other.map((key) => (
          <li key={key} className="break-words">
            <span className="text-soft">{labels[key]}:</span> {words(page[key])}
          </li>
        ))}
      </ul>
      <div className="mt-2 flex gap-2">
        <Button onClick={onUse}>Use theirs</Button>
        <Button onClick={onKeepMine}>Keep mine</Button>
      </div>
    </div>
  );
}

function intoView(element: HTMLElement | null): void {
  element?.scrollIntoView({ block: 'nearest' });
}

function words(value: string | boolean): string {
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return value === '' ? 'empty' : `“${value}”`;
}

type PictureProps = { siteId: string; picture: string; onChoose: (picture: string) => void };

/** The picture that stands for a page where others show it. */
function PagePicture({ siteId, picture, onChoose }: PictureProps) {
  const [open, setOpen] = useState(false);
  const known = usePicturesAtHand(siteId).data?.find(({ id }) => id === picture);
  return (
    <div role="group" aria-label="Picture">
      <span className="font-medium">Picture</span>
      {known && (
        <img
          src={fileOf(known, 320)}
          alt={known.alt}
          className="mt-0.5 w-full h-28 object-cover border border-line"
        />
      )}
      <span className="flex gap-x-4">
        <Button
          look="quiet"
          onClick={() => {
            setOpen(true);
          }}
        >
          {picture === '' ? 'Choose a picture' : 'Choose another'}
        </Button>
        {picture !== '' && (
          <Button
            look="quiet"
            onClick={() => {
              onChoose('');
            }}
          >
            Take it away
          </Button>
        )}
      </span>
      <span className="block text-[12.5px] text-soft">
        It stands for the page in lists of pages and where it is shared.
      </span>
      {open && (
        <PicturePicker
          open
          behind
          site={siteId}
          chosen={picture}
          said={{ alt: '', decoration: false }}
          onClose={() => {
            setOpen(false);
          }}
          onChoose={(chosen) => {
            onChoose(chosen);
            return Promise.resolve(undefined);
          }}
        />
      )}
    </div>
  );
}
