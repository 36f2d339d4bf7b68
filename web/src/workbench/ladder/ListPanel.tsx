import { count } from '../../ui/count';
import type { Around } from '../engine/items';
import type { AskedEdit, ListView, NodeView } from '../engine/source';

type Props = {
  node: NodeView;
  /** The list that the thing in hand is. */
  list: ListView | undefined;
  /** The item that it stands in. */
  item: Around | undefined;
  /** Whether changes go to the item in hand alone. */
  alone: boolean;
  onAlone: (alone: boolean) => void;
  onEdit: (edit: AskedEdit) => void;
};

const linkClass = 'text-verdigris-deep font-medium underline underline-offset-2';

/** What a list or one of its items can do: one more item, and to how many of them changes go. */
export function ListPanel({ node, list, item, alone, onAlone, onEdit }: Props) {
  const add = (
    <button
      type="button"
      className={linkClass}
      title="Add an item (N)"
      onClick={() => {
        onEdit({ type: 'ADD_ITEM', node: node.id });
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
        {list.own && (
          <>
            {' · '}
            <button
              type="button"
              className={linkClass}
              onClick={() => {
                onEdit({ type: 'PLAIN_LIST', node: node.id });
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
          Item {item.at + 1} of {all}. What is set here is for this item alone.
        </p>
      )}
      {add}
    </div>
  );
}
