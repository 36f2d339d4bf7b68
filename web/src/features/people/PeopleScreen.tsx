import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, done, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { count } from '../../ui/count';
import { Failed, Loading, Mark } from '../../ui/States';
import { TextField } from '../../ui/TextField';
import { GivenCode } from './GivenCode';
import { OwnPassword } from './OwnPassword';

type Person = Schemas['PersonView'];
type Code = Schemas['CodeView'];

/** Who works here: add, rename, a new one-time code, sign somebody out; one’s own password. */
export function PeopleScreen() {
  const queries = useQueryClient();
  const people = useQuery({
    queryKey: ['people'],
    queryFn: () => answer(api.GET('/api/people')),
  });
  const [code, setCode] = useState<Code>();
  const [problem, setProblem] = useState('');

  const act = async (deed: () => Promise<unknown>): Promise<boolean> => {
    setProblem('');
    try {
      await deed();
      await queries.invalidateQueries({ queryKey: ['people'] });
      return true;
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
      return false;
    }
  };
  const give = (request: () => Promise<Code>) =>
    act(async () => {
      setCode(await request());
    });

  if (people.error) return <Failed error={people.error} retry={() => void people.refetch()} />;
  if (!people.data) return <Loading what="the people" />;
  return (
    <main className="h-full overflow-y-auto px-8 py-6">
      <div className="max-w-5xl grid grid-cols-[minmax(0,1fr)_300px] gap-x-12">
        <header className="col-span-2 border-b border-ink pb-3">
          <h1 className="text-2xl">People</h1>
        </header>
        <section aria-label="Who works here" className="mt-4">
          <ul className="border-t border-line">
            {people.data.map((person) => (
              <PersonRow key={person.id} person={person} act={act} give={give} />
            ))}
          </ul>
          {problem && (
            <p role="alert" className="mt-4 text-brick">
              {problem}
            </p>
          )}
          {code && <GivenCode given={code} />}
          <AddPerson
            add={(name) => give(() => answer(api.POST('/api/people', { body: { name } })))}
          />
        </section>
        <OwnPassword />
      </div>
    </main>
  );
}

type RowProps = {
  person: Person;
  act: (deed: () => Promise<unknown>) => Promise<boolean>;
  give: (request: () => Promise<Code>) => Promise<boolean>;
};

function PersonRow({ person, act, give }: RowProps) {
  const queries = useQueryClient();
  const [name, setName] = useState<string>();
  const path = { params: { path: { id: person.id } } };
  const [etag, setEtag] = useState(person.etag);
  const rename = async () => {
    const wanted = name ?? '';
    const renamed = await act(() =>
      done(
        api.POST('/api/people/{id}/name', {
          params: { ...path.params, query: { etag } },
          body: { name: wanted },
        }),
      ),
    );
    if (renamed) setName(undefined);
    if (renamed && person.self) await queries.invalidateQueries({ queryKey: ['session'] });
  };
  return (
    <li className="border-b border-hair py-3 flex items-center gap-5">
      {name === undefined ? (
        <span className="flex-1 min-w-0 break-words">
          <span className="font-medium">{person.name}</span>
          {person.self && <span className="text-soft"> (you)</span>}
          <span className="block text-[13px] text-soft">
            {person.invited ? (
              <Mark tone="held">has a code, no password yet</Mark>
            ) : person.sessions === 0 ? (
              'not signed in'
            ) : (
              `signed in, ${count(person.sessions, 'session')}`
            )}
          </span>
        </span>
      ) : (
        <form
          className="flex-1 flex gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            void rename();
          }}
        >
          <input
            aria-label={`New name of ${person.name}`}
            className="flex-1 min-w-0 border border-line bg-sheet px-2 py-1 rounded-[2px]"
            autoFocus
            value={name}
            onChange={(e) => {
              setName(e.target.value);
            }}
            onKeyDown={(e) => {
              if (e.key === 'Escape') setName(undefined);
            }}
          />
          <Button type="submit">Rename</Button>
        </form>
      )}
      {name === undefined && (
        <span className="flex gap-4 text-[13px]">
          <Button
            look="quiet"
            aria-label={`Rename ${person.name}`}
            onClick={() => {
              setName(person.name);
              setEtag(person.etag);
            }}
          >
            Rename
          </Button>
          {!person.self && (
            <Button
              look="quiet"
              aria-label={`New one-time code for ${person.name}`}
              title="The password holds no longer, and the sessions end"
              onClick={() =>
                void give(() => answer(api.POST('/api/people/{id}/code', { ...path })))
              }
            >
              New one-time code
            </Button>
          )}
          <Button
            look="quiet"
            aria-label={person.self ? undefined : `End sessions of ${person.name}`}
            disabled={person.sessions <= (person.self ? 1 : 0)}
            onClick={() =>
              void act(() => done(api.POST('/api/people/{id}/end-sessions', { ...path })))
            }
          >
            {person.self ? 'End my other sessions' : 'End sessions'}
          </Button>
        </span>
      )}
    </li>
  );
}

function AddPerson({ add }: { add: (name: string) => Promise<boolean> }) {
  const [name, setName] = useState('');
  return (
    <form
      className="mt-6 flex items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void add(name).then((added) => {
          if (added) setName('');
        });
      }}
    >
      <div className="flex-1">
        <TextField
          label="Add somebody"
          hint="who gets a one-time code from you"
          autoComplete="off"
          placeholder="Name"
          value={name}
          onChange={(e) => {
            setName(e.target.value);
          }}
        />
      </div>
      <Button look="main" type="submit" className="py-2" disabled={name.trim() === ''}>
        Add and make a code
      </Button>
    </form>
  );
}
