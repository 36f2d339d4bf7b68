import type { Parts } from './parts';

type Props = Pick<Parts, 'table' | 'look' | 'set'> & { house?: boolean };

/** In whose look the specimen is drawn. */
export function LookChoice({ table, look, set, house = true }: Props) {
  return (
    <label className="flex items-center gap-2 text-[13px] min-w-0">
      <span className="text-soft whitespace-nowrap">In the look of</span>
      <select
        aria-label="In the look of"
        value={look || 'house'}
        onChange={(e) => {
          set({ look: e.target.value, page: '' });
        }}
        className="border border-line bg-sheet px-1.5 py-1 rounded-[2px] min-w-0 max-w-56"
      >
        {house && <option value="house">the house</option>}
        {table.sites.map((site) => (
          <option key={site.id} value={site.id}>
            {site.name}
          </option>
        ))}
      </select>
    </label>
  );
}
