import { useDeferredValue, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { Button } from '../../ui/Button';
import { ListHead } from '../../ui/ListHead';
import { useAddress } from '../../ui/useAddress';
import { Empty, Failed, Loading } from '../../ui/States';
import { useSites } from '../sites/useSites';
import { Cards, sizes, type Size } from './Cards';
import { ChosenBar } from './ChosenBar';
import { DescribeSheet } from './DescribeSheet';
import { everything, sorts, wantedOf, type Card, type Sort, type Wanted } from './filter';
import { FilterRail } from './FilterRail';
import { ReplaceSheet } from './ReplaceSheet';
import { useChoices, useLibrary } from './useLibrary';
import { WhereUsed } from '../uses/WhereUsed';

const selectClass = 'border border-line bg-sheet px-2 py-1.5 rounded-[2px]';
const sortNames: Record<Sort, string> = {
  name: 'By name',
  reach: 'By reach',
  changed: 'Last worked on first',
};

const none: readonly Card[] = [];

/** What is looked for, kept in the address so that it leads back here. */
function useWanted() {
  const { params, set } = useAddress();
  const wanted = useMemo(() => {
    const asked = { ...everything };
    for (const key of ['words', 'kind', 'purpose', 'client', 'state', 'tag'] as const) {
      asked[key] = (params.get(key) ?? '') as never;
    }
    asked.sort = sorts.find((sort) => sort === params.get('sort')) ?? 'name';
    return asked;
  }, [params]);
  const size: Size = params.get('size') === 'looking' ? 'looking' : 'scanning';
  return { wanted, size, look: params.get('look') ?? '', set };
}

/** The pieces, each shown as itself and whole, at two widths. */
export function LibraryScreen() {
  const { pieces, carryOut, begin, busy } = useLibrary();
  const navigate = useNavigate();
  const choices = useChoices();
  const sites = useSites();
  const { wanted, size, look, set } = useWanted();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [described, setDescribed] = useState<Card | 'new'>();
  const [used, setUsed] = useState<Card>();
  const [replaced, setReplaced] = useState<Card>();
  const shown = useMemo(() => wantedOf(pieces.data ?? none, wanted), [pieces.data, wanted]);
  // The words are answered at once; the cards with their drawings follow when there is time.
  const drawn = useDeferredValue(shown);
  const failed = pieces.error ?? sites.error ?? choices.error;
  if (failed) return <Failed error={failed} retry={() => void pieces.refetch()} />;
  if (!pieces.data || !sites.data || !choices.data) return <Loading what="the library" />;
  const site = look || (sites.data[0]?.id ?? '');
  const inUse = pieces.data.filter((piece) => !piece.retired).length;
  const picked = pieces.data.filter((piece) => chosen.has(piece.id));
  if (pieces.data.length === 0 || sites.data.length === 0) {
    return <Nothing clients={sites.data.length} />;
  }
  return (
    <main className="h-full grid grid-rows-[auto_minmax(0,1fr)] px-8 pt-6">
      <ListHead
        title="Library"
        one="piece"
        shown={shown.length}
        all={inUse}
        searched="Name, tag, notes or words"
        words={wanted.words}
        onWords={(words) => {
          set({ words });
        }}
      >
        <select
          aria-label="Order"
          value={wanted.sort}
          onChange={(e) => {
            set({ sort: e.target.value === 'name' ? '' : e.target.value });
          }}
          className={selectClass}
        >
          {sorts.map((sort) => (
            <option key={sort} value={sort}>
              {sortNames[sort]}
            </option>
          ))}
        </select>
        <select
          aria-label="Size"
          value={size}
          onChange={(e) => {
            set({ size: e.target.value === 'scanning' ? '' : e.target.value });
          }}
          className={selectClass}
        >
          {(Object.keys(sizes) as Size[]).map((each) => (
            <option key={each} value={each}>
              {sizes[each].title}
            </option>
          ))}
        </select>
        <label className="flex items-center gap-2">
          In the look of
          <select
            aria-label="In the look of"
            value={site}
            onChange={(e) => {
              set({ look: e.target.value });
            }}
            className={selectClass}
          >
            {sites.data.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </select>
        </label>
        <Button
          onClick={() => {
            setDescribed('new');
          }}
        >
          New piece
        </Button>
      </ListHead>
      <div className="grid grid-cols-[184px_minmax(0,1fr)] gap-6 min-h-0">
        <FilterRail
          cards={pieces.data}
          wanted={wanted}
          choices={choices.data}
          clients={sites.data}
          onSet={set}
        />
        <div className="grid grid-rows-[minmax(0,1fr)_auto] min-h-0">
          {drawn.length === 0 ? (
            <NoneFits wanted={wanted} onClear={set} />
          ) : (
            <Cards
              key={size}
              cards={drawn}
              purposes={choices.data.purposes}
              site={site}
              size={size}
              chosen={chosen}
              onChoose={setChosen}
              onDescribe={setDescribed}
              onUses={setUsed}
            />
          )}
          {picked.length > 0 && (
            <ChosenBar
              key={picked.map((piece) => piece.id).join()}
              picked={picked}
              busy={busy}
              onDeed={carryOut}
              onClear={() => {
                setChosen(new Set());
              }}
              onReplace={setReplaced}
            />
          )}
        </div>
      </div>
      {used && (
        <WhereUsed
          key={used.id}
          of={{ kind: 'piece', id: used.id, name: used.name }}
          site={site}
          onClose={() => {
            setUsed(undefined);
          }}
        />
      )}
      {replaced && (
        <ReplaceSheet
          piece={replaced}
          pieces={pieces.data}
          site={site}
          onDone={() => {
            setReplaced(undefined);
            setChosen(new Set());
          }}
          onClose={() => {
            setReplaced(undefined);
          }}
        />
      )}
      {described && (
        <DescribeSheet
          piece={described === 'new' ? undefined : described}
          choices={choices.data}
          clients={sites.data}
          onSave={(said) =>
            described === 'new'
              ? begin(said).then((id) => navigate(`/library/${id}?site=${said.siteId || site}`))
              : carryOut({ do: 'describe', id: described.id, etag: described.etag, said })
          }
          onClose={() => {
            setDescribed(undefined);
          }}
        />
      )}
    </main>
  );
}

function Nothing({ clients }: { clients: number }) {
  return (
    <main className="px-8 py-6">
      <h1 className="text-2xl border-b border-ink pb-3">Library</h1>
      <div className="mt-8">
        <Empty>
          {clients === 0 ? (
            <>
              Pieces are shown in a client’s look.{' '}
              <Link to="/sites/new" className="text-verdigris underline underline-offset-2">
                Set up the first client
              </Link>
            </>
          ) : (
            <>
              The library is empty. Take a section of a page in hand and press <kbd>K</kbd> to keep
              it here.
            </>
          )}
        </Empty>
      </div>
    </main>
  );
}

type NoneProps = {
  wanted: Wanted;
  onClear: (asked: Readonly<Record<string, string>>) => void;
};

function NoneFits({ wanted, onClear }: NoneProps) {
  const asked = (['words', 'kind', 'purpose', 'client', 'state', 'tag'] as const).filter(
    (key) => wanted[key] !== '',
  );
  return (
    <div className="pt-8">
      <Empty>
        No piece answers all of this.{' '}
        <button
          type="button"
          className="text-verdigris underline underline-offset-2"
          onClick={() => {
            onClear(Object.fromEntries(asked.map((key) => [key, ''])));
          }}
        >
          Show all pieces
        </button>
      </Empty>
    </div>
  );
}
