import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { keepPreviousData, queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { answer, api, Problem, uploadFile, type Schemas } from '../../api/client';
import { inputClass } from '../../ui/inputClass';
import { accepted, useFilesAgain } from './useFiles';

type Target = Schemas['Target'];

type Props = {
  label: string;
  site: string;
  /** The page on which the link stands; empty for none. */
  page: string;
  value: string;
  onChange: (link: string) => void;
  /** Whether a page that is not there yet can be made on the spot. */
  onMake?: boolean;
  autoFocus?: boolean;
  onEscape?: () => void;
};

const outside = /^(https?:\/\/|mailto:|tel:)\S+$/;

/** An address outside can be chosen as it is typed. */
function withOutside(targets: readonly Target[], typed: string): readonly Target[] {
  const rest = targets.filter(({ kind }) => kind !== 'outside');
  return outside.test(typed)
    ? [{ link: typed, kind: 'outside', title: typed, where: typed }, ...rest]
    : rest;
}

function fits({ title, where }: Target, typed: string): boolean {
  const words = typed.toLowerCase().split(/\s+/);
  const text = `${title} ${where}`.toLowerCase();
  return words.every((word) => text.includes(word));
}

const kinds: Record<string, string> = {
  page: 'page',
  section: 'section',
  role: 'whichever page it is',
  detail: 'from the client details',
  file: 'file',
  outside: 'outside',
};

function targetsOf(site: string, page: string, words: string) {
  return queryOptions({
    queryKey: ['link-targets', site, page, words],
    queryFn: () =>
      answer(
        api.GET('/api/sites/{id}/targets', {
          params: { path: { id: site }, query: { words, page } },
        }),
      ),
  });
}

/** Where a link leads: pages, sections, files and outside addresses, found by typing. */
export function LinkField(props: Props) {
  const { label, site, page, value, onChange, onMake = false, autoFocus = false, onEscape } = props;
  const queries = useQueryClient();
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState('');
  const now = useQuery({
    queryKey: ['link-target', site, value],
    queryFn: () =>
      answer(
        api.GET('/api/sites/{id}/target', {
          params: { path: { id: site }, query: { link: value } },
        }),
      ),
    enabled: value !== '' && site !== '',
  });
  const asked = targetsOf(site, page, typed);
  const found = useQuery({
    ...asked,
    enabled: site !== '',
    placeholderData: keepPreviousData,
    gcTime: 0,
  });
  const make = async (title: string) => {
    setProblem('');
    try {
      const made = await answer(
        api.POST('/api/sites/{id}/pages', { params: { path: { id: site } }, body: { title } }),
      );
      await queries.invalidateQueries({ queryKey: ['sites'] });
      onChange(`page:${made.id}`);
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'The page was not made; try again.');
    }
  };
  const fileInput = useRef<HTMLInputElement>(null);
  const filesAgain = useFilesAgain();
  const bringIn = async (file: File) => {
    setProblem('');
    try {
      const added = await uploadFile(site, file);
      await filesAgain();
      onChange(`file:${added.id}`);
    } catch (error) {
      setProblem(
        error instanceof Problem ? error.message : 'The file was not taken in; try again.',
      );
    }
  };
  const wanted = typed.trim();
  /** The words for which Enter was pressed before there was anything to choose; empty for none. */
  const hurried = useRef('');
  const takeFirst = async (words: string) => {
    hurried.current = words;
    const targets = await queries.fetchQuery(asked).catch(() => []);
    const first = targets.find((target) => fits(target, words));
    if (hurried.current !== words) return;
    if (first) onChange(first.link);
    else if (onMake) await make(words);
  };
  // What is on its way was asked for fewer letters: only what still fits can be chosen.
  const known = withOutside(found.data ?? [], wanted).filter((target) => fits(target, wanted));
  const makes =
    onMake &&
    wanted !== '' &&
    !found.isFetching &&
    !/^(https?:|mailto:|tel:)/.test(wanted) &&
    !known.some(
      ({ title, kind }) => kind === 'page' && title.toLowerCase() === wanted.toLowerCase(),
    );
  const nowhere = value !== '' && (now.data?.kind === 'nowhere' || now.data?.where === '');
  return (
    <div className="relative">
      <Combobox<string>
        value={value}
        onChange={(link) => {
          if (link === null) return;
          if (link === 'make') void make(wanted);
          else if (link === 'file') fileInput.current?.click();
          else onChange(link);
        }}
        onClose={() => {
          hurried.current = '';
          setTyped('');
        }}
        immediate
      >
        <ComboboxInput
          aria-label={label}
          autoFocus={autoFocus}
          className={inputClass}
          placeholder="Page, section, file or address"
          displayValue={() => now.data?.title ?? value}
          onClick={(e) => {
            // What is typed takes the place of where it leads now.
            if (typed === '') e.currentTarget.select();
          }}
          onChange={(e) => {
            setTyped(e.target.value);
          }}
          onKeyDown={(e) => {
            hurried.current = '';
            if (e.key === 'Enter' && wanted !== '' && known.length === 0 && found.isFetching) {
              e.preventDefault();
              void takeFirst(wanted);
              return;
            }
            if (e.key !== 'Escape' || !onEscape) return;
            e.preventDefault();
            e.stopPropagation();
            onEscape();
          }}
        />
        <ComboboxOptions
          modal={false}
          anchor={{ to: 'bottom start', gap: 2 }}
          className="z-50 w-80 [--anchor-max-height:20rem] overflow-y-auto bg-paper border border-ink shadow-lg text-[13px] empty:invisible"
        >
          {known.map((target) => (
            <ComboboxOption
              key={target.link}
              value={target.link}
              className="px-2.5 py-1.5 cursor-pointer data-focus:bg-verdigris-tint"
            >
              <TargetLine target={target} />
            </ComboboxOption>
          ))}
          {known.length === 0 && !makes && !found.isFetching && (
            <p className="px-2.5 py-1.5 text-soft">Nothing is called that here.</p>
          )}
          {makes && (
            <ComboboxOption
              value="make"
              className="px-2.5 py-1.5 cursor-pointer border-t border-line text-verdigris font-medium data-focus:bg-verdigris-tint"
            >
              Make a page “{wanted}”
            </ComboboxOption>
          )}
          {site !== '' && (
            <ComboboxOption
              value="file"
              className="px-2.5 py-1.5 cursor-pointer border-t border-line text-verdigris font-medium data-focus:bg-verdigris-tint"
            >
              Bring a file in…
            </ComboboxOption>
          )}
          {value !== '' && (
            <ComboboxOption
              value=""
              className="px-2.5 py-1.5 cursor-pointer border-t border-line text-soft data-focus:bg-verdigris-tint"
            >
              Lead nowhere
            </ComboboxOption>
          )}
        </ComboboxOptions>
      </Combobox>
      <input
        ref={fileInput}
        type="file"
        accept={accepted}
        aria-label={`File for ${label}`}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) void bringIn(file);
          event.target.value = '';
        }}
      />
      {value !== '' && now.data && (
        <span className={`block text-[12px] truncate ${nowhere ? 'text-brick' : 'text-soft'}`}>
          {nowhere ? 'It leads nowhere now' : `${kinds[now.data.kind] ?? ''} · ${now.data.where}`}
        </span>
      )}
      {problem && (
        <span role="alert" className="block text-[12.5px] text-brick">
          {problem}
        </span>
      )}
    </div>
  );
}

function TargetLine({ target }: { target: Target }) {
  return (
    <span className="flex items-baseline gap-2">
      <span className="truncate">{target.title}</span>
      <span className="ml-auto text-soft text-[12px] whitespace-nowrap">
        {target.where || 'not set'}
      </span>
    </span>
  );
}
