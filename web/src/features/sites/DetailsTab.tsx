import { useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { answer, api, Problem, uploadPicture, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { inputClass } from '../../ui/inputClass';
import { KeepLine, useKeep } from '../../ui/Keep';
import { IconField } from '../../workbench/ladder/IconField';
import { Failed, Loading } from '../../ui/States';
import { lines } from './clientLines';
import { useDetails } from './useSites';

type Details = Schemas['DetailsView'];
type Service = Details['social'][number];

/** What is known of a client, written once and right on every page. */
export function DetailsTab({ siteId }: { siteId: string }) {
  const details = useDetails(siteId);
  const [kept, setKept] = useState<number>();
  if (details.error) return <Failed error={details.error} retry={() => void details.refetch()} />;
  if (!details.data) return <Loading what="the details" />;
  const { version } = details.data;
  return (
    <Form
      key={version}
      siteId={siteId}
      details={details.data}
      kept={kept === version}
      onKept={setKept}
    />
  );
}

const marks = [
  { part: 'logo', title: 'Logo', none: 'No logo yet', hint: 'In headers, and it leads home' },
  {
    part: 'icon',
    title: 'Small icon',
    none: 'None yet',
    hint: 'Square, beside the title in a browser',
  },
] as const;

type FormProps = {
  siteId: string;
  details: Details;
  /** Whether they are as they were kept just now. */
  kept: boolean;
  onKept: (version: number) => void;
};

function Form({ siteId, details, kept, onKept }: FormProps) {
  const queries = useQueryClient();
  const id = useId();
  const [said, setSaid] = useState(details);
  const set = (part: Partial<Details>) => {
    setSaid({ ...said, ...part });
  };
  const setService = (at: number, part: Partial<Service>) => {
    setSaid((now) => ({
      ...now,
      social: now.social.map((one, i) => (i === at ? { ...one, ...part } : one)),
    }));
  };
  /** What is not said yet of a service that its address tells. */
  const recognise = async (at: number, address: string) => {
    if (address.trim() === '' || (said.social[at]?.name && said.social[at].icon)) return;
    const known = await answer(
      api.GET('/api/service', { params: { query: { address: address.trim() } } }),
    ).catch(() => undefined);
    if (!known?.name) return;
    setSaid((now) => ({
      ...now,
      social: now.social.map((one) =>
        one.address === address
          ? { ...one, name: one.name || known.name, icon: one.icon || known.icon }
          : one,
      ),
    }));
  };
  const changed = JSON.stringify(said) !== JSON.stringify(details);
  const { problem, setProblem, keep } = useKeep(async () => {
    const now = await answer(
      api.PUT('/api/sites/{id}/details', { params: { path: { id: siteId } }, body: said }),
    );
    queries.setQueryData(['details', siteId], now);
    await queries.invalidateQueries({ queryKey: ['sites'] });
    await queries.invalidateQueries({ queryKey: ['frame'] });
    onKept(now.version);
  });
  const bringIn = async (part: 'logo' | 'icon', file: File | undefined) => {
    if (!file) return;
    setProblem('');
    try {
      const added = await uploadPicture(siteId, file);
      set({ [part]: added.picture.id });
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'The picture was not taken in.');
    }
  };
  return (
    <form
      className="overflow-y-auto pt-4 pb-10 grid grid-cols-2 gap-x-10 gap-y-4 max-w-4xl content-start"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <p className="col-span-2 text-soft">
        Written once here, and right wherever a page, a header or a footer follows it.
      </p>
      <label>
        <span className="font-medium">Name</span>
        <input
          className={`${inputClass} mt-0.5`}
          value={said.name}
          maxLength={80}
          onChange={(e) => {
            set({ name: e.target.value });
          }}
        />
      </label>
      <label>
        <span className="font-medium">Language</span>
        <input
          className={`${inputClass} mt-0.5`}
          value={said.language}
          maxLength={20}
          onChange={(e) => {
            set({ language: e.target.value });
          }}
        />
        <span className="block text-[12.5px] text-soft">A tag such as en-GB or de</span>
      </label>
      {marks.map(({ part, title, none, hint }) => (
        <div key={part} role="group" aria-label={title} className="flex items-center gap-4">
          <span className="h-14 w-32 grid place-items-center bg-board border border-line overflow-hidden">
            {said[part] ? (
              <img
                src={`/api/pictures/${said[part]}/file`}
                alt=""
                className={part === 'logo' ? 'max-h-12 max-w-28' : 'size-8 object-contain'}
              />
            ) : (
              <span className="text-soft text-[13px]">{none}</span>
            )}
          </span>
          <span className="min-w-0">
            <span className="flex items-baseline gap-3">
              <label className="text-verdigris font-medium cursor-pointer hover:underline focus-within:outline">
                {said[part] ? `Another ${title.toLowerCase()}` : `Choose a ${title.toLowerCase()}`}
                <input
                  type="file"
                  accept="image/*"
                  className="sr-only"
                  onChange={(e) => void bringIn(part, e.target.files?.[0])}
                />
              </label>
              {said[part] && (
                <Button
                  look="quiet"
                  aria-label={`Take the ${title.toLowerCase()} away`}
                  onClick={() => {
                    set({ [part]: '' });
                  }}
                >
                  Take it away
                </Button>
              )}
            </span>
            <span className="block text-[12.5px] text-soft">{hint}</span>
          </span>
        </div>
      ))}
      <label className="col-span-2">
        <span className="font-medium">Web address</span>
        <input
          className={`${inputClass} mt-0.5`}
          value={said.web}
          maxLength={200}
          placeholder="https://"
          onChange={(e) => {
            set({ web: e.target.value });
          }}
        />
        <span className="block text-[12.5px] text-soft">
          Where the site is to be found. Search engines and those who share a page go by it.
        </span>
      </label>
      {lines.map(({ key, title, rows, hint }) => (
        <label key={key}>
          <span className="font-medium">{title}</span>
          <textarea
            aria-label={title}
            aria-describedby={hint ? `${id}${key}` : undefined}
            rows={rows}
            className={`${inputClass} mt-0.5 resize-none`}
            value={said[key]}
            maxLength={400}
            onChange={(e) => {
              set({ [key]: rows === 1 ? e.target.value.replace(/\n/g, ' ') : e.target.value });
            }}
          />
          {hint && (
            <span id={`${id}${key}`} className="block text-[12.5px] text-soft">
              {hint}
            </span>
          )}
        </label>
      ))}
      <fieldset className="col-span-2">
        <legend className="font-medium">Social links</legend>
        {said.social.map((one, i) => (
          <div
            key={i}
            className="grid grid-cols-[minmax(0,1fr)_200px_170px_auto] items-center gap-3 mt-1.5"
          >
            <input
              aria-label={`Address at service ${i + 1}`}
              placeholder="https://"
              className={inputClass}
              value={one.address}
              onChange={(e) => {
                setService(i, { address: e.target.value });
              }}
              onBlur={() => void recognise(i, one.address)}
            />
            <input
              aria-label={`Name of service ${i + 1}`}
              placeholder="Name of the service"
              className={inputClass}
              value={one.name}
              onChange={(e) => {
                setService(i, { name: e.target.value });
              }}
            />
            <IconField
              id={`${id}icon${i}`}
              value={one.icon}
              mayBeNone
              isService
              onChange={(icon) => {
                setService(i, { icon });
              }}
            />
            <Button
              look="quiet"
              onClick={() => {
                set({ social: said.social.filter((_, j) => j !== i) });
              }}
            >
              Take away
            </Button>
          </div>
        ))}
        <Button
          look="quiet"
          className="mt-2"
          onClick={() => {
            set({ social: [...said.social, { name: '', address: '', icon: '' }] });
          }}
        >
          Add a service
        </Button>
        {said.social.length > 0 && (
          <p className="text-[12.5px] text-soft mt-1.5">
            The name and the mark of a known service are filled in from its address.
          </p>
        )}
      </fieldset>
      <KeepLine
        what="details"
        changed={changed}
        kept={kept}
        problem={problem}
        onKeep={() => void keep()}
      />
    </form>
  );
}
