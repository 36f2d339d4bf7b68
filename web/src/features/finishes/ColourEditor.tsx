import type { Schemas } from '../../api/client';
import { ratio } from '../../ui/count';
import { FromPicture } from './FromPicture';
import { Slider } from './Slider';
import { Swatch } from './Swatch';
import type { Table } from './table';
import type { Tried } from './useFinishes';

type Props = {
  css: string;
  onTry: (value: string, bySlider?: boolean) => void;
  tried: Tried | undefined;
  pairs: readonly Schemas['ColourPair'][];
  table: Table;
  site: string;
};

type Parts = { lightness: number; chroma: number; hue: number; alpha: number };

function oklch({ lightness, chroma, hue, alpha }: Parts): string {
  const base = `${(lightness * 100).toFixed(1)}% ${chroma.toFixed(3)} ${hue.toFixed(1)}`;
  return alpha >= 1 ? `oklch(${base})` : `oklch(${base} / ${Math.round(alpha * 100)}%)`;
}

/** A colour by lightness, chroma, hue and alpha, by its lightness steps, or out of a picture. */
export function ColourEditor({ css, onTry, tried, pairs, table, site }: Props) {
  const colour = tried?.colour;
  if (!colour) return null;
  const change = (part: Partial<Parts>) => {
    onTry(oklch({ ...colour, ...part }), true);
  };
  return (
    <div aria-label="Colour" role="group" className="mt-3 grid gap-2">
      <div className="flex items-stretch gap-3">
        <Swatch css={css} className="w-14 h-12" />
        <div className="flex-1 min-w-0">
          <span className="font-medium">{colour.hex}</span>
          <div className="flex mt-1.5" role="group" aria-label="Lightness steps">
            {colour.steps.map((step) => (
              <button
                key={step}
                type="button"
                title={step}
                aria-label={`Lightness step ${step}`}
                aria-pressed={step === colour.hex}
                onClick={() => {
                  onTry(step);
                }}
                className="flex-1 h-5 border-y border-line first:border-l last:border-r aria-pressed:outline aria-pressed:outline-2 aria-pressed:outline-ink hover:h-6"
                style={{ background: step }}
              />
            ))}
          </div>
        </div>
      </div>
      <Slider
        label="Lightness"
        value={colour.lightness}
        min={0}
        max={1}
        step={0.005}
        onChange={(lightness) => {
          change({ lightness });
        }}
      />
      <Slider
        label="Chroma"
        value={colour.chroma}
        min={0}
        max={0.32}
        step={0.002}
        onChange={(chroma) => {
          change({ chroma });
        }}
      />
      <Slider
        label="Hue"
        value={colour.hue}
        min={0}
        max={360}
        step={1}
        unit="°"
        onChange={(hue) => {
          change({ hue });
        }}
      />
      <Slider
        label="Alpha"
        value={colour.alpha}
        min={0}
        max={1}
        step={0.01}
        onChange={(alpha) => {
          change({ alpha });
        }}
      />
      <FromPicture table={table} site={site} onTake={onTry} />
      <Pairs pairs={pairs} />
    </div>
  );
}

const verdicts: Record<string, { word: string; tone: string }> = {
  aaa: { word: 'AAA', tone: 'text-verdigris-deep' },
  aa: { word: 'AA', tone: 'text-verdigris-deep' },
  fails: { word: 'fails', tone: 'text-brick font-semibold' },
  cannot_tell: { word: 'cannot tell', tone: 'text-slate' },
};

export function Verdict({ verdict }: { verdict: string }) {
  const { word, tone } = verdicts[verdict] ?? { word: verdict, tone: '' };
  return <span className={tone}>{word}</span>;
}

function Pairs({ pairs }: { pairs: readonly Schemas['ColourPair'][] }) {
  if (pairs.length === 0) return null;
  return (
    <ul aria-label="Used with" className="grid gap-1">
      {pairs.slice(0, 5).map((pair) => (
        <li
          key={`${pair.role} ${pair.text} ${pair.ground} ${pair.large}`}
          className="grid grid-cols-[64px_minmax(0,1fr)_44px_68px] items-center gap-2"
        >
          <span
            aria-hidden
            data-sample
            className="px-1.5 border border-line text-center"
            style={{
              color: pair.text,
              background: pair.ground,
              fontSize: pair.large ? 16 : 13,
            }}
          >
            Words
          </span>
          <span className="text-soft truncate">
            as {pair.role}, {pair.places} {pair.places === 1 ? 'place' : 'places'}
          </span>
          <span className="text-right">{ratio(pair.ratio)}</span>
          <Verdict verdict={pair.verdict} />
        </li>
      ))}
    </ul>
  );
}
