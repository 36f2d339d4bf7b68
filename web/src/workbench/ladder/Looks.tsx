import { X } from 'lucide-react';
import { useState } from 'react';
import type { Problem } from '../../api/client';
import { Button } from '../../ui/Button';
import { inputClass } from '../../ui/inputClass';
import { takeLook, useTakenLook } from './lookInHand';
import type { AskedEdit, LadderView, NodeView } from '../engine/source';

type Props = {
  ladder: LadderView;
  node: NodeView;
  onEdit: (edit: AskedEdit) => Promise<Problem | undefined>;
};

/** The named styles and the colour scheme of the thing in hand; its look, to take and to lay on. */
export function Looks({ ladder, node, onEdit }: Props) {
  const taken = useTakenLook();
  const [making, setMaking] = useState(false);
  const [problem, setProblem] = useState('');
  const run = async (edit: AskedEdit) => {
    const failed = await onEdit(edit);
    setProblem(failed?.message ?? '');
    return failed;
  };
  const put = (ids: string[]) => run({ type: 'NAMED_STYLES', node: node.id, ids });
  const had = ladder.named.map((style) => style.id);
  const rest = ladder.choices.filter((style) => !had.includes(style.id));
  const hasOwn = Object.keys(ladder.look.styles).length > 0;
  if (ladder.styles.length === 0) return null;
  return (
    <div className="border-t border-hair pt-1.5 pb-1 text-[12.5px] grid gap-1.5">
      {ladder.schemes.length > 0 && (
        <label className="grid grid-cols-[92px_minmax(0,1fr)] items-center gap-1.5">
          Colour scheme
          <select
            value={ladder.scheme}
            className="border border-line bg-sheet px-1.5 py-[3px] rounded-[2px]"
            onChange={(e) => void run({ type: 'SCHEME', node: node.id, scheme: e.target.value })}
          >
            <option value="">as the page</option>
            {ladder.schemes.map((scheme) => (
              <option key={scheme.id} value={scheme.id}>
                {scheme.name}
              </option>
            ))}
          </select>
        </label>
      )}
      <div className="grid grid-cols-[92px_minmax(0,1fr)] items-start gap-1.5">
        <span className="pt-[3px]">Named styles</span>
        <span className="flex flex-wrap gap-1">
          {ladder.named.map((style, i) => (
            <span
              key={style.id}
              className="inline-flex items-center gap-1 border border-ink px-1.5 py-px"
              title={i === ladder.named.length - 1 ? 'the last one named wins' : undefined}
            >
              {style.name}
              <button
                type="button"
                aria-label={`Take the style ${style.name} off`}
                onClick={() => void put(had.filter((id) => id !== style.id))}
              >
                <X size={12} />
              </button>
            </span>
          ))}
          {rest.length > 0 && (
            <select
              aria-label="Put a named style on"
              value=""
              className="border border-line bg-sheet px-1 py-[2px] rounded-[2px] text-verdigris max-w-28"
              onChange={(e) => void put([...had, e.target.value])}
            >
              <option value="">put on…</option>
              {rest.map((style) => (
                <option key={style.id} value={style.id}>
                  {style.name}
                </option>
              ))}
            </select>
          )}
        </span>
      </div>
      <div className="flex flex-wrap gap-x-3 gap-y-1">
        <Button
          look="quiet"
          className="text-[12.5px]"
          disabled={!hasOwn && ladder.named.length === 0}
          onClick={() => {
            takeLook({ ...ladder.look, title: node.title });
          }}
        >
          Take its look
        </Button>
        {taken && (
          <Button
            look="quiet"
            className="text-[12.5px]"
            title={`The look of ${taken.title}`}
            onClick={() =>
              void run({
                type: 'LAY_LOOK',
                nodes: [node.id],
                look: taken.styles,
                ids: [...taken.named],
              })
            }
          >
            <span className="max-w-40 truncate">Lay “{taken.title}” on</span>
          </Button>
        )}
        <Button
          look="quiet"
          className="text-[12.5px]"
          disabled={!hasOwn}
          aria-expanded={making}
          onClick={() => {
            setMaking(!making);
          }}
        >
          Make a named style
        </Button>
      </div>
      {making && hasOwn && (
        <MakeStyle
          onMake={async (name) => {
            const failed = await run({ type: 'MAKE_STYLE', node: node.id, name });
            if (!failed) setMaking(false);
          }}
        />
      )}
      {problem && (
        <p role="alert" className="text-brick">
          {problem}
        </p>
      )}
    </div>
  );
}

function MakeStyle({ onMake }: { onMake: (name: string) => Promise<void> }) {
  const [name, setName] = useState('');
  return (
    <form
      className="flex gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        void onMake(name);
      }}
    >
      <input
        aria-label="Name of the new style"
        placeholder="Name of the new style"
        autoFocus
        className={inputClass}
        value={name}
        onChange={(e) => {
          setName(e.target.value);
        }}
      />
      <Button type="submit" className="!py-1" disabled={name.trim() === ''}>
        Make it
      </Button>
    </form>
  );
}
