type Props = {
  label: string;
  value: string;
  choices: readonly { word: string; title: string }[];
  onChange: (word: string) => void;
  className?: string;
};

/** One of several words, with its name above it. */
export function ChoiceField({ label, value, choices, onChange, className = '' }: Props) {
  return (
    <label className={`block ${className}`}>
      <span className="font-medium">{label}</span>
      <select
        value={value}
        onChange={(e) => {
          onChange(e.target.value);
        }}
        className="mt-1 w-full border border-line bg-sheet px-2 py-1.5 rounded-[2px]"
      >
        {choices.map(({ word, title }) => (
          <option key={word} value={word}>
            {title}
          </option>
        ))}
      </select>
    </label>
  );
}
