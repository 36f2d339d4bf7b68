import { useState } from 'react';
import type { Problem } from '../../api/client';
import { useSite } from '../../features/sites/useSites';
import { count } from '../../ui/count';
import type { Around } from '../engine/items';
import type { AskedEdit, ListView, NodeView } from '../engine/source';
import { PagesSheet } from './PagesSheet';

type Props = {
  node: NodeView;
  /** The list that the thing in hand is. */
  list: ListView | undefined;
  /** The item that it stands in. */
  item: Around | undefined;
  /** Whether changes go to the item in hand alone. */
  alone: boolean;
  /** The client whose pages a list can show; empty where a piece is worked on. */
  site: string;
  onAlone: (alone: boolean) => void;
  onEdit: (edit: AskedEdit) => Promise<Problem | undefined>;
};

const linkClass = 'text-verdigris-deep font-medium underline underline-offset-2';

/** What a list or one of its items can do: one more item, and to how many of them changes go. */
export function ListPanel({ node, list, item, alone, site, onAlone, onEdit }: Props) {
  const add = (
    <button
      type="button"
      className={linkClass}
      title="Add an item (N)"
      onClick={() => {
        void onEdit({ type: 'ADD_ITEM', node: node.id });
      }}
    >
      {list?.items.length === 0
        ? 'Add the first item'
        : item
          ? 'Add an item after it'
          : 'Add an item'}
    </button>
  );
  if (list) {
    return (
      <p className="mb-2 border-l-[3px] border-line pl-2 text-[12.5px]">
        A list of {count(list.items.length, 'item')}, all made from one pattern. {add}
        {!list.own && site !== '' && (
          <>
            {' · '}
            <ShownPages list={list} site={site} onEdit={onEdit} />
          </>
        )}
        {list.own && (
          <>
            {' · '}
            <button
              type="button"
              className={linkClass}
              onClick={() => {
                void onEdit({ type: 'PLAIN_LIST', node: node.id });
              }}
            >
              Take it apart
            </button>
          </>
        )}
      </p>
    );
  }
  if (!item) return null;
  const all = item.list.items.length;
  return (
    <div className="mb-2 border-l-[3px] border-line pl-2 text-[12.5px]">
      {item.list.own ? (
        <fieldset className="flex flex-wrap gap-x-3">
          <legend>Settings go to</legend>
          {[false, true].map((one) => (
            <label key={String(one)} className="flex items-center gap-1">
              <input
                type="radio"
                name="items"
                className="accent-verdigris"
                checked={alone === one}
                onChange={() => {
                  onAlone(one);
                }}
              />
              {one ? 'this item alone' : all === 1 ? 'every item' : `all ${String(all)} items`}
            </label>
          ))}
        </fieldset>
      ) : (
        <p className="text-soft">
          Item {item.at + 1} of {all}
          <ShownTitle site={site} page={item.list.items[item.at]?.page ?? ''} />. What is set here
          is for this item alone.
        </p>
      )}
      {add}
      {!item.list.own && site !== '' && (
        <>
          {' · '}
          <ShownPages list={item.list} site={site} onEdit={onEdit} />
        </>
      )}
    </div>
  );
}

/** The page that an item shows, by its title. */
function ShownTitle({ site, page }: { site: string; page: string }) {
  const known = useSite(page === '' ? '' : site);
  const title = known.data?.pages.find(({ id }) => id === page)?.title;
  return title && <>, which shows the page “{title}”</>;
}

type ShownProps = Pick<Props, 'site' | 'onEdit'> & { list: ListView };

/** Leads to the choice of the pages that a list shows. */
function ShownPages({ list, site, onEdit }: ShownProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className={linkClass}
        onClick={() => {
          setOpen(true);
        }}
      >
        Show pages in it
      </button>
      {open && (
        <PagesSheet
          site={site}
          shown={list.items.map(({ page }) => page).filter((page) => page !== '')}
          lot={list.lot}
          onChoose={(pages, lot) =>
            onEdit({ type: 'SHOW_PAGES', node: list.node, pages: [...pages], lot })
          }
          onClose={() => {
            setOpen(false);
          }}
        />
      )}
    </>
  );
}
