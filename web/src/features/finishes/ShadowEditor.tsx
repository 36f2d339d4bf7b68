import { Button } from '../../ui/Button';
import { inputClass } from '../../ui/inputClass';
import { readShadow, writeShadow, type Shadow } from './composite';
import { Slider } from './Slider';

type Props = { value: string; css: string; onTry: (value: string) => void };

const fresh: Shadow = {
  inset: false,
  x: '0px',
  y: '4px',
  blur: '16px',
  spread: '0px',
  colour: 'rgb(0 0 0 / 20%)',
};
const px = (length: string) => Number.parseFloat(length) || 0;

const parts = [
  { key: 'x', label: 'Across', min: -40, max: 40 },
  { key: 'y', label: 'Down', min: -40, max: 40 },
  { key: 'blur', label: 'Blur', min: 0, max: 80 },
  { key: 'spread', label: 'Spread', min: -40, max: 40 },
] as const;

/** A shadow layer by layer, with a sample of it. */
export function ShadowEditor({ value, css, onTry }: Props) {
  const layers = readShadow(value.startsWith('{') ? css : value);
  const put = (next: readonly Shadow[]) => {
    onTry(writeShadow(next));
  };
  const change = (at: number, part: Partial<Shadow>) => {
    put(layers.map((layer, i) => (i === at ? { ...layer, ...part } : layer)));
  };
  return (
    <div role="group" aria-label="Shadow" className="mt-3 grid gap-3">
      <div className="h-24 bg-board grid place-items-center border border-line">
        <span className="w-28 h-12 bg-sheet" style={{ boxShadow: css }} />
      </div>
      {layers.map((layer, i) => (
        <fieldset key={i} className="grid gap-1 border-l-[3px] border-line pl-2">
          <legend className="float-left w-full flex justify-between">
            <span className="font-medium">Layer {i + 1}</span>
            <span className="flex gap-3">
              <label className="flex items-center gap-1 text-soft">
                <input
                  type="checkbox"
                  className="accent-verdigris"
                  checked={layer.inset}
                  onChange={(e) => {
                    change(i, { inset: e.target.checked });
                  }}
                />
                inside
              </label>
              <Button
                look="quiet"
                onClick={() => {
                  put(layers.filter((_, j) => j !== i));
                }}
              >
                Remove
              </Button>
            </span>
          </legend>
          {parts.map((part) => (
            <Slider
              key={part.key}
              label={part.label}
              min={part.min}
              max={part.max}
              step={1}
              unit=" px"
              value={px(layer[part.key])}
              onChange={(n) => {
                change(i, { [part.key]: `${n}px` });
              }}
            />
          ))}
          <label className="grid grid-cols-[78px_minmax(0,1fr)] items-center gap-2">
            Colour
            <input
              className={inputClass}
              value={layer.colour}
              onChange={(e) => {
                change(i, { colour: e.target.value });
              }}
            />
          </label>
        </fieldset>
      ))}
      <span>
        <Button
          look="quiet"
          onClick={() => {
            put([...layers, fresh]);
          }}
        >
          Add a layer
        </Button>
      </span>
    </div>
  );
}
