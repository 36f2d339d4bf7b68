type Props = { states: readonly string[]; state: string; onState: (state: string) => void };

const words: Record<string, string> = {
  normal: 'Normal',
  current: 'Current page',
  hover: 'Under the pointer',
  focus: 'In focus',
};

/** The state whose settings are shown and set. */
export function States({ states, state, onState }: Props) {
  return (
    <label className="grid grid-cols-[92px_minmax(0,1fr)] items-center gap-1.5 text-[12.5px] py-1">
      State
      <select
        value={state}
        onChange={(e) => {
          onState(e.target.value);
        }}
        className={`border border-line px-1.5 py-[3px] rounded-[2px] ${state === 'normal' ? 'bg-sheet' : 'bg-verdigris-tint'}`}
      >
        {states.map((s) => (
          <option key={s} value={s}>
            {words[s] ?? s}
          </option>
        ))}
      </select>
    </label>
  );
}
