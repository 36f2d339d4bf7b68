import type { AskedEdit, PartView, PlacementView } from '../engine/source';

type Props = {
  placement: PlacementView;
  parts: readonly PartView[];
  onEdit: (edit: AskedEdit) => void;
};

/** What a placement picks of its piece: a variant, and which optional parts are shown. */
export function PlacementChoices({ placement, parts, onEdit }: Props) {
  if (placement.variants.length === 0 && parts.length === 0) return null;
  return (
    <div className="pb-2 grid gap-1 text-[12.5px]">
      {placement.variants.length > 0 && (
        <label className="grid grid-cols-[64px_minmax(0,1fr)] items-center gap-1.5">
          Variant
          <select
            aria-label={`Variant of ${placement.pieceName}`}
            value={placement.variant}
            className="border border-line bg-sheet px-1.5 py-0.5 rounded-[2px]"
            onChange={(e) => {
              onEdit({ type: 'SHOW_VARIANT', node: placement.id, variant: e.target.value });
            }}
          >
            <option value="">None: as the piece is</option>
            {placement.variants.map((variant) => (
              <option key={variant.id} value={variant.id}>
                {variant.name}
              </option>
            ))}
          </select>
        </label>
      )}
      {parts.map((part) => (
        <label key={part.node} className="flex items-center gap-1.5">
          <input
            type="checkbox"
            className="accent-verdigris"
            checked={part.on}
            onChange={(e) => {
              onEdit({ type: 'SWITCH', node: part.node, on: e.target.checked });
            }}
          />
          <span className="truncate">{part.title}</span>
          {!part.on && <span className="text-ochre shrink-0">switched off here</span>}
        </label>
      ))}
    </div>
  );
}
