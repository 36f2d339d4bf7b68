import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useId, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import sizes from '../../api/devices.json';
import { answer, api, done, fetchText, Problem } from '../../api/client';
import { Button } from '../../ui/Button';
import { count } from '../../ui/count';
import { Sheet } from '../../ui/Sheet';
import { Failed, Loading } from '../../ui/States';
import { Whole } from '../../workbench/canvas/Whole';

/** What a page begins with. */
type Start =
  | { from: 'nothing' }
  | { from: 'composition'; id: string }
  | { from: 'page'; id: string; words: boolean }
  | { from: 'set'; id: string };

type Props = {
  site: { id: string; name: string; pages: readonly { id: string; title: string }[] };
  onClose: () => void;
};

function ask(siteId: string, title: string, start: Exclude<Start, { from: 'set' }>) {
  const params = { path: { id: siteId } };
  switch (start.from) {
    case 'nothing':
      return api.POST('/api/sites/{id}/pages', { params, body: { title } });
    case 'composition':
      return api.POST('/api/sites/{id}/pages/from-composition', {
        params,
        body: { title, composition: start.id },
      });
    case 'page':
      return api.POST('/api/sites/{id}/pages/like-page', {
        params,
        body: { title, page: start.id, words: start.words },
      });
  }
}

/** Makes a page, from a composition, from another page, or from nothing, and opens it. */
export function StartPage({ site, onClose }: Props) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [title, setTitle] = useState('');
  const [start, setStart] = useState<Start>({ from: 'nothing' });
  const [problem, setProblem] = useState('');
  const compositions = useQuery({
    queryKey: ['compositions', site.id],
    queryFn: () => answer(api.GET('/api/compositions', { params: { query: { site: site.id } } })),
  });
  const chosen = compositions.data?.find(
    (one) => start.from === 'composition' && one.id === start.id,
  );
  const sets = useQuery({
    queryKey: ['site-sets', site.id],
    queryFn: () => answer(api.GET('/api/sites/{id}/sets', { params: { path: { id: site.id } } })),
    gcTime: 0,
  });
  const set = sets.data?.find((one) => start.from === 'set' && one.id === start.id);
  const named = title.trim() || (chosen?.name ?? '');
  const takeAway = async () => {
    if (start.from !== 'composition' && start.from !== 'set') return;
    const params = { path: { id: start.id } };
    try {
      await done(
        start.from === 'set'
          ? api.DELETE('/api/sets/{id}', { params })
          : api.DELETE('/api/compositions/{id}', { params }),
      );
      setStart({ from: 'nothing' });
      await queries.invalidateQueries({ queryKey: ['compositions'] });
      await queries.invalidateQueries({ queryKey: ['site-sets'] });
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'It is still there; try again.');
    }
  };
  const make = async () => {
    try {
      if (start.from === 'set') {
        const params = { path: { id: site.id } };
        await answer(
          api.POST('/api/sites/{id}/pages/from-set', { params, body: { set: start.id } }),
        );
        await queries.invalidateQueries({ queryKey: ['sites'] });
        onClose();
        return;
      }
      const made = await answer(ask(site.id, named, start));
      await queries.invalidateQueries({ queryKey: ['sites'] });
      void navigate(`/sites/${site.id}/pages/${made.id}`);
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'The page was not made; try again.');
    }
  };
  return (
    <Sheet open widest onClose={onClose} title={`A new page for ${site.name}`}>
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          void make();
        }}
      >
        <label className="flex items-baseline gap-3">
          <span className="font-medium">Title of the new page</span>
          <input
            autoFocus
            value={title}
            disabled={set !== undefined}
            maxLength={120}
            placeholder={chosen?.name}
            onChange={(e) => {
              setTitle(e.target.value);
            }}
            className="flex-1 border border-line bg-sheet px-2 py-1.5 rounded-[2px]"
          />
        </label>
        {compositions.error && <Failed error={compositions.error} />}
        {compositions.isPending && <Loading what="the compositions" />}
        <fieldset>
          <legend className="font-medium mb-1.5">It begins with</legend>
          <div className="grid grid-cols-5 gap-3 max-h-[46vh] overflow-y-auto p-0.5">
            <Choice
              title="Nothing"
              notes="An empty page"
              chosen={start.from === 'nothing'}
              onChoose={() => {
                setStart({ from: 'nothing' });
              }}
            />
            {compositions.data?.map((one) => (
              <Choice
                key={one.id}
                title={one.name}
                notes={one.missing.length > 0 ? `without ${one.missing.join(', ')}` : one.notes}
                chosen={start.from === 'composition' && start.id === one.id}
                onChoose={() => {
                  setStart({ from: 'composition', id: one.id });
                }}
              >
                <Drawn address={`/api/compositions/${one.id}/frame?site=${site.id}`} />
              </Choice>
            ))}
            {sets.data?.map((one) => (
              <Choice
                key={one.id}
                title={one.name}
                notes={`${count(one.pages.length, 'page')} at once: ${one.pages.map((page) => page.title).join(', ')}`}
                chosen={set === one}
                onChoose={() => {
                  setStart({ from: 'set', id: one.id });
                }}
              >
                <span className="grid grid-cols-3 gap-1 self-start">
                  {one.pages.slice(0, MOST_OF_SET).map((page) => (
                    <Drawn
                      key={page.place}
                      room={OF_SET}
                      address={`/api/sites/${site.id}/sets/${one.id}/pages/${page.place}/frame`}
                    />
                  ))}
                </span>
              </Choice>
            ))}
            {site.pages.map((page) => (
              <Choice
                key={page.id}
                title={`Like ${page.title}`}
                notes="What another page has"
                chosen={start.from === 'page' && start.id === page.id}
                onChoose={() => {
                  setStart({ from: 'page', id: page.id, words: false });
                }}
              >
                <Drawn address={`/api/pages/${page.id}/frame`} />
              </Choice>
            ))}
          </div>
        </fieldset>
        {start.from === 'page' && (
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              checked={start.words}
              className="accent-verdigris"
              onChange={(e) => {
                setStart({ ...start, words: e.target.checked });
              }}
            />
            Its words, pictures and links come along
          </label>
        )}
        {problem && (
          <p role="alert" className="text-brick">
            {problem}
          </p>
        )}
        <div className="flex justify-end gap-3">
          {(chosen ?? (set?.kept && set)) && (
            <Button
              look="quiet"
              className="mr-auto"
              title="Pages that began with it stay as they are"
              onClick={() => void takeAway()}
            >
              Take “{(chosen ?? set)?.name}” away
            </Button>
          )}
          <Button onClick={onClose}>Make none</Button>
          <Button look="main" type="submit" disabled={named === '' && !set}>
            {set ? `Make ${count(set.pages.length, 'page')}` : 'Make page'}
          </Button>
        </div>
      </form>
    </Sheet>
  );
}

type ChoiceProps = {
  title: string;
  notes: string;
  chosen: boolean;
  onChoose: () => void;
  children?: ReactNode;
};

function Choice({ title, notes, chosen, onChoose, children }: ChoiceProps) {
  const id = useId();
  return (
    <label className="block cursor-pointer">
      <span
        aria-hidden
        className={`grid place-items-center h-[210px] overflow-hidden bg-board p-1.5 outline ${chosen ? 'outline-2 outline-verdigris' : 'outline-line hover:outline-ink'}`}
      >
        {children}
      </span>
      <span className="flex items-center gap-1.5 mt-1">
        <input
          type="radio"
          name="start"
          aria-labelledby={`${id}-title`}
          aria-describedby={`${id}-notes`}
          checked={chosen}
          onChange={onChoose}
          className="accent-verdigris"
        />
        <span id={`${id}-title`} className="font-medium truncate" title={title}>
          {title}
        </span>
      </span>
      <span id={`${id}-notes`} className="block text-soft text-[12.5px] leading-4">
        {notes}
      </span>
    </label>
  );
}

/** The room for a drawing in a choice, in px. */
const ROOM = { width: 150, height: 196 };

/** The room for each page of a set, in px, and how many of them are drawn. */
const OF_SET = { width: 48, height: 62 };
const MOST_OF_SET = 9;

/** A page, whole: the longer it is, the smaller it is drawn. */
function Drawn({ address, room = ROOM }: { address: string; room?: typeof ROOM }) {
  const html = useQuery({ queryKey: ['frame', address], queryFn: () => fetchText(address) });
  return <Whole html={html.data} title="How it begins" viewport={sizes.desktop} {...room} />;
}
