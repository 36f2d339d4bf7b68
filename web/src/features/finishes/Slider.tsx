import { useId } from 'react';

type Props = {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  unit?: string;
  onChange: (value: number) => void;
};

/** A ruler to drag along, with the number beside it. */
export function Slider({ label, value, min, max, step, unit = '', onChange }: Props) {
  const id = useId();
  const shown = step < 1 ? value.toFixed(step < 0.01 ? 3 : 2) : String(Math.round(value));
  return (
    <div className="grid grid-cols-[78px_minmax(0,1fr)_58px] items-center gap-2">
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        type="range"
        min={min}
        max={max}
        step={step}
        value={value}
        onChange={(e) => {
          onChange(Number(e.target.value));
        }}
        className="w-full h-6 accent-verdigris"
      />
      <span className="text-right text-soft">
        {shown}
        {unit}
      </span>
    </div>
  );
}
