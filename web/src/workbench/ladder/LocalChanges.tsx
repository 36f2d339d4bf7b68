import type { AskedEdit, PlacementView } from '../engine/source';

type Props = {
  placement: PlacementView;
  onPick: (node: string) => void;
  onEdit: (edit: AskedEdit) => void;
};

/** Everything that differs at this placement, each removable. */
export function LocalChanges({ placement, onPick, onEdit }: Props) {
  return (
    <section aria-label="Local changes" className="px-4 py-3 text-[12.5px]">
      <h3 className="text-[14px]">Local changes here</h3>
      {placement.changes.length === 0 ? (
        <p className="text-soft">
          None. {placement.fillings} slots are filled; all else is as the library has it.
        </p>
      ) : (
        <ul className="mt-1">
          {placement.changes.map((change) => (
            <li
              key={`${change.node} ${change.aspect}`}
              className="border-l-[3px] border-ochre pl-2.5 py-1 mb-1 bg-ochre-tint/60"
            >
              <button
                type="button"
                className="text-left hover:underline"
                onClick={() => {
                  onPick(change.node);
                }}
              >
                <span className="font-semibold">{change.label}</span> {change.value}
                {change.nodeTitle && <span className="text-soft"> · {change.nodeTitle}</span>}
              </button>
              <button
                type="button"
                className="block text-verdigris hover:underline"
                onClick={() => {
                  onEdit({ type: 'RESET', node: change.node, aspect: change.aspect });
                }}
              >
                Back to the piece’s
              </button>
            </li>
          ))}
        </ul>
      )}
      {placement.tray.map((left) => (
        <div key={left.pieceId} className="mt-3">
          <h3 className="text-[14px]">Kept from {left.pieceName}</h3>
          <p className="text-soft">
            {placement.pieceName} has no place for these; they come back with {left.pieceName}.
          </p>
          <ul className="mt-1 select-text">
            {left.kept.map((words) => (
              <li key={words} className="border-l-[3px] border-line pl-2.5 py-0.5">
                {words}
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}
