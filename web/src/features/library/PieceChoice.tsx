import { Miniature } from '../../workbench/canvas/Miniature';

type Listed = { id: string; name: string; notes: string };

type Props<T extends Listed> = {
  pieces: readonly T[];
  chosen: T;
  /** In whose look pieces are shown. */
  site: string;
  onChoose: (piece: T) => void;
  /** Of the picture to the piece. */
  scale: number;
  /** What is said under the picture of the chosen one. */
  children?: React.ReactNode;
};

/** A list of pieces beside a picture of the chosen one; arrow keys go along the list. */
export function PieceChoice<T extends Listed>({
  pieces,
  chosen,
  site,
  onChoose,
  scale,
  children,
}: Props<T>) {
  const step = (by: number) => {
    const next = pieces[pieces.indexOf(chosen) + by];
    if (next) onChoose(next);
  };
  return (
    <div className="grid grid-cols-[200px_minmax(0,1fr)] gap-4">
      <ul
        role="listbox"
        aria-label="Pieces"
        aria-activedescendant={`piece-${chosen.id}`}
        tabIndex={0}
        className="max-h-[300px] overflow-y-auto"
        onKeyDown={(event) => {
          const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
          if (by === undefined) return;
          event.preventDefault();
          step(by);
        }}
      >
        {pieces.map((piece) => (
          <li
            key={piece.id}
            id={`piece-${piece.id}`}
            role="option"
            aria-selected={piece === chosen}
            ref={(element) => {
              if (piece === chosen) element?.scrollIntoView({ block: 'nearest' });
            }}
          >
            <button
              type="button"
              tabIndex={-1}
              className={`w-full text-left px-2 py-1 hover:bg-board ${piece === chosen ? 'bg-verdigris-tint font-medium' : ''}`}
              onClick={() => {
                onChoose(piece);
              }}
            >
              {piece.name}
            </button>
          </li>
        ))}
      </ul>
      <div>
        <div aria-hidden className="border border-line bg-sheet h-[260px] overflow-hidden">
          <Miniature piece={chosen.id} site={site} scale={scale} />
        </div>
        {children}
      </div>
    </div>
  );
}
