import { useState } from 'react';
import { Button } from '../../ui/Button';
import { inputClass } from '../../ui/inputClass';
import { readFluid, writeFluid, type Fluid } from './composite';

type Props = { value: string; css: string; onTry: (value: string) => void };

const parts = [
  { key: 'least', label: 'From' },
  { key: 'from', label: 'at a width of' },
  { key: 'greatest', label: 'to' },
  { key: 'to', label: 'at a width of' },
] as const;

/** A length that grows with the screen between two widths. */
export function FluidEditor({ value, css, onTry }: Props) {
  const known = readFluid(value) ?? readFluid(css);
  const [size, setSize] = useState<Fluid | undefined>(known);
  if (!size) {
    const now = Number.parseFloat(css) || 18;
    return (
      <Button
        look="quiet"
        className="mt-2"
        onClick={() => {
          const begun = { least: now, greatest: Math.round(now * 1.25), from: 390, to: 1280 };
          setSize(begun);
          onTry(writeFluid(begun));
        }}
      >
        Let it grow with the screen
      </Button>
    );
  }
  const sound = size.least > 0 && size.least < size.greatest && size.from < size.to;
  return (
    <div role="group" aria-label="Fluid size" className="mt-3 grid grid-cols-2 gap-2">
      {parts.map((part, i) => (
        <label key={i} className="grid grid-cols-[92px_minmax(0,1fr)_20px] items-center gap-1.5">
          {part.label}
          <input
            type="number"
            className={inputClass}
            value={size[part.key]}
            onChange={(e) => {
              const next = { ...size, [part.key]: Number(e.target.value) };
              setSize(next);
              const fits = next.least > 0 && next.least < next.greatest && next.from < next.to;
              if (fits) onTry(writeFluid(next));
            }}
          />
          px
        </label>
      ))}
      {!sound && (
        <p role="alert" className="col-span-2 text-brick">
          It grows from a smaller size and width to a greater one.
        </p>
      )}
    </div>
  );
}
