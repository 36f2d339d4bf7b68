import { Button } from '../../ui/Button';
import { inputClass } from '../../ui/inputClass';
import { readGradient, writeGradient, type Stop } from './composite';
import { Slider } from './Slider';

type Props = { value: string; css: string; onTry: (value: string) => void };

const plain = {
  angle: 180,
  stops: [
    { colour: '{color.accent}', position: 0 },
    { colour: '{color.text}', position: 100 },
  ],
};

/** A straight gradient by its direction and its stops, with a sample of it. */
export function GradientEditor({ value, css, onTry }: Props) {
  const gradient = readGradient(value) ?? readGradient(css);
  if (!gradient) {
    return (
      <Button
        className="mt-3"
        onClick={() => {
          onTry(writeGradient(plain));
        }}
      >
        Begin a gradient
      </Button>
    );
  }
  const put = (stops: Stop[], angle = gradient.angle) => {
    onTry(writeGradient({ angle, stops }));
  };
  return (
    <div role="group" aria-label="Gradient" className="mt-3 grid gap-2">
      <div className="h-14 border border-line" style={{ background: css }} />
      <Slider
        label="Direction"
        value={gradient.angle}
        min={0}
        max={360}
        step={1}
        unit="°"
        onChange={(angle) => {
          put(gradient.stops, angle);
        }}
      />
      {gradient.stops.map((stop, i) => (
        <div key={i} className="grid grid-cols-[minmax(0,1fr)_84px_auto] gap-2 items-center">
          <input
            aria-label={`Colour of stop ${i + 1}`}
            className={inputClass}
            value={stop.colour}
            onChange={(e) => {
              put(gradient.stops.map((s, j) => (j === i ? { ...s, colour: e.target.value } : s)));
            }}
          />
          <span className="flex items-center gap-1">
            <input
              type="number"
              aria-label={`Position of stop ${i + 1}`}
              className={inputClass}
              min={0}
              max={100}
              value={stop.position}
              onChange={(e) => {
                put(
                  gradient.stops.map((s, j) =>
                    j === i ? { ...s, position: Number(e.target.value) } : s,
                  ),
                );
              }}
            />
            %
          </span>
          <Button
            look="quiet"
            disabled={gradient.stops.length <= 2}
            onClick={() => {
              put(gradient.stops.filter((_, j) => j !== i));
            }}
          >
            Remove
          </Button>
        </div>
      ))}
      <span>
        <Button
          look="quiet"
          onClick={() => {
            put([...gradient.stops, { colour: '#ffffff', position: 100 }]);
          }}
        >
          Add a stop
        </Button>
      </span>
    </div>
  );
}
