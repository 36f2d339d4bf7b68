import { useId, useState } from 'react';
import { Problem } from '../../api/client';
import { DraftInput } from '../../ui/DraftInput';
import type { DeviceKey } from '../engine/devices';
import { ProblemLine } from '../../ui/ProblemLine';
import type { AskedEdit, LadderView, NodeView } from '../engine/source';
import { useDraft } from '../../ui/useDraft';

type Props = {
  ladder: LadderView;
  node: NodeView;
  device: DeviceKey;
  onEdit: (edit: AskedEdit) => Promise<Problem | undefined>;
};

const layouts: readonly (readonly [string, string, number])[] = [
  ['1', 'equal', 1],
  ['2', 'equal', 2],
  ['3', 'equal', 3],
  ['4', 'equal', 4],
  ['8 + 4', '8 4', 2],
  ['4 + 8', '4 8', 2],
];

const wraps: readonly (readonly [string, string])[] = [
  ['all in a line', 'equal'],
  ['2 to a line', 'equal 2'],
  ['1 to a line', '12'],
];

/** How a row's columns share it, a column's own share, and what could be tidier here. */
export function Structure({ ladder, node, device, onEdit }: Props) {
  return (
    <div className="grid gap-1.5 pb-1.5 text-[12.5px] empty:hidden">
      {ladder.columns !== '' && (
        <RowShares ladder={ladder} node={node} device={device} onEdit={onEdit} />
      )}
      {ladder.share !== '' && (
        <Share
          label="Width, offset"
          value={ladder.share}
          save={(value) => onEdit({ type: 'SHARE', node: node.id, device, value })}
        />
      )}
      {ladder.hint !== '' && <p className="text-ochre">{ladder.hint}</p>}
      {ladder.gatherable.map((found) => (
        <p key={found.property} className="bg-verdigris-tint px-2 py-1">
          All in it have {found.label.toLowerCase()} {found.value}.{' '}
          <button
            type="button"
            className="text-verdigris-deep font-medium underline underline-offset-2"
            onClick={() => void onEdit({ type: 'GATHER', node: node.id, property: found.property })}
          >
            Gather it here
          </button>
        </p>
      ))}
      {ladder.needless && (
        <p className="bg-verdigris-tint px-2 py-1">
          This {node.kind} adds nothing.{' '}
          <button
            type="button"
            className="text-verdigris-deep font-medium underline underline-offset-2"
            onClick={() => void onEdit({ type: 'UNWRAP', node: node.id })}
          >
            Take it away
          </button>
        </p>
      )}
    </div>
  );
}

function RowShares({ ladder, node, device, onEdit }: Props) {
  const [problem, setProblem] = useState<Problem>();
  const run = async (edit: AskedEdit) => {
    setProblem(await onEdit(edit));
  };
  return (
    <>
      <Share
        label="Columns"
        value={ladder.columns}
        save={(value) => onEdit({ type: 'COLUMNS', node: node.id, device, value })}
      />
      {device === 'desktop' ? (
        <p className="flex flex-wrap gap-1" role="group" aria-label="Lay the row out as">
          {layouts.map(([title, value, count]) => (
            <button
              key={title}
              type="button"
              aria-label={`Lay out as ${title}`}
              className="border border-line bg-sheet px-2 py-0.5 hover:border-ink"
              onClick={() => void run({ type: 'LAYOUT', node: node.id, value, count })}
            >
              {title}
            </button>
          ))}
        </p>
      ) : (
        <p className="flex flex-wrap gap-1" role="group" aria-label="Let columns wrap">
          {wraps.map(([title, value]) => (
            <button
              key={title}
              type="button"
              className="border border-line bg-sheet px-2 py-0.5 hover:border-ink"
              onClick={() => void run({ type: 'COLUMNS', node: node.id, device, value })}
            >
              {title}
            </button>
          ))}
        </p>
      )}
      <ProblemLine id={`${node.id}-layout`} problem={problem} />
    </>
  );
}

type ShareProps = {
  label: string;
  value: string;
  save: (value: string) => Promise<Problem | undefined>;
};

function Share({ label, value, save }: ShareProps) {
  const id = useId();
  const draft = useDraft(value, save);
  return (
    <div>
      <div className="grid grid-cols-[92px_minmax(0,1fr)] items-center gap-1.5">
        <label htmlFor={id}>{label}</label>
        <DraftInput
          draft={draft}
          id={id}
          aria-describedby={`${id}-problem`}
          className={`w-full border px-2 py-[3px] rounded-[2px] bg-sheet hover:border-soft ${draft.problem ? 'border-brick' : 'border-line'}`}
        />
      </div>
      <ProblemLine id={`${id}-problem`} problem={draft.problem} />
    </div>
  );
}
