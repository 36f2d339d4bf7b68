import { ImageDown } from 'lucide-react';
import { useRef, useState } from 'react';
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { Problem, uploadPicture } from '../../api/client';
import { Button } from '../../ui/Button';

/** A picture of the design that is rebuilt, beside the lead frame or over it. */
export type Reference = {
  picture: string;
  how: 'off' | 'over' | 'beside';
  opacity: number;
  x: number;
  y: number;
  /** Whether dragging moves the picture instead of the page's things. */
  aligning: boolean;
};

export const noReference: Reference = {
  picture: '',
  how: 'off',
  opacity: 50,
  x: 0,
  y: 0,
  aligning: false,
};

const key = (document: string) => `good-bones-reference ${document}`;

/** The reference picture of a document, kept in this browser. */
export function useReference(document: string) {
  const [reference, setReference] = useState<Reference>(() => {
    const kept = localStorage.getItem(key(document));
    return kept === null ? noReference : { ...noReference, ...(JSON.parse(kept) as Reference) };
  });
  const set = (next: Reference) => {
    localStorage.setItem(key(document), JSON.stringify({ ...next, aligning: false }));
    setReference(next);
  };
  return [reference, set] as const;
}

type LayerProps = {
  reference: Reference;
  scale: number;
  onChange: (reference: Reference) => void;
};

/** The picture half transparent over the lead frame; dragged while it is being aligned. */
export function ReferenceLayer({ reference, scale, onChange }: LayerProps) {
  const begun = useRef<{ x: number; y: number; from: Reference } | undefined>(undefined);
  if (reference.how !== 'over' || reference.picture === '') return null;
  return (
    <div
      className={`absolute inset-0 overflow-hidden z-10 ${reference.aligning ? 'cursor-move touch-none' : 'pointer-events-none'}`}
      data-testid="reference"
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        begun.current = { x: event.clientX, y: event.clientY, from: reference };
      }}
      onPointerMove={(event) => {
        const start = begun.current;
        if (!start) return;
        onChange({
          ...start.from,
          x: start.from.x + (event.clientX - start.x) / scale,
          y: start.from.y + (event.clientY - start.y) / scale,
        });
      }}
      onPointerUp={() => {
        begun.current = undefined;
      }}
      onClick={(event) => {
        event.stopPropagation();
      }}
    >
      <img
        src={`/api/pictures/${reference.picture}/file`}
        alt=""
        draggable={false}
        className="absolute origin-top-left max-w-none select-none"
        style={{
          opacity: reference.opacity / 100,
          transform: `scale(${String(scale)}) translate(${String(reference.x)}px, ${String(reference.y)}px)`,
        }}
      />
    </div>
  );
}

type MenuProps = { reference: Reference; onChange: (reference: Reference) => void };

/** Brings a reference picture in, and says where it lies. */
export function ReferenceMenu({ reference, onChange }: MenuProps) {
  const [problem, setProblem] = useState('');
  const bringIn = async (file: File | undefined) => {
    if (!file) return;
    setProblem('');
    try {
      const added = await uploadPicture('', file, true);
      onChange({ ...noReference, picture: added.picture.id, how: 'over' });
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'The picture could not be sent.');
    }
  };
  const set = (part: Partial<Reference>) => {
    onChange({ ...reference, ...part });
  };
  return (
    <Popover className="flex">
      <PopoverButton
        title="A picture of the design, beside the page or over it"
        className="inline-flex items-center gap-1.5 text-verdigris font-medium hover:underline underline-offset-2 align-middle"
      >
        <ImageDown size={15} /> Reference
      </PopoverButton>
      <PopoverPanel
        anchor="bottom end"
        className="z-40 mt-2 w-72 bg-paper border border-ink p-3 text-[13px] grid gap-2.5"
      >
        <label className="grid gap-1">
          <span className="font-medium">Picture of the design</span>
          <input
            type="file"
            accept="image/*"
            className="w-full text-[12.5px]"
            onChange={(e) => void bringIn(e.target.files?.[0])}
          />
        </label>
        {problem && (
          <p role="alert" className="text-brick">
            {problem}
          </p>
        )}
        {reference.picture !== '' && (
          <>
            <fieldset className="flex gap-4">
              <legend className="sr-only">Where it lies</legend>
              {(['over', 'beside', 'off'] as const).map((how) => (
                <label key={how} className="flex items-center gap-1.5">
                  <input
                    type="radio"
                    name="reference"
                    className="accent-verdigris"
                    checked={reference.how === how}
                    onChange={() => {
                      set({ how });
                    }}
                  />
                  {how === 'over' ? 'over the page' : how === 'beside' ? 'beside it' : 'hidden'}
                </label>
              ))}
            </fieldset>
            {reference.how === 'over' && (
              <>
                <label className="grid gap-1">
                  <span>Opacity {reference.opacity} %</span>
                  <input
                    type="range"
                    min={5}
                    max={100}
                    value={reference.opacity}
                    className="h-6 accent-verdigris"
                    onChange={(e) => {
                      set({ opacity: Number(e.target.value) });
                    }}
                  />
                </label>
                <span className="flex gap-3 items-center">
                  <Button
                    aria-pressed={reference.aligning}
                    className="!py-1 aria-pressed:border-verdigris aria-pressed:bg-verdigris-tint"
                    onClick={() => {
                      set({ aligning: !reference.aligning });
                    }}
                  >
                    {reference.aligning ? 'Done aligning' : 'Align by dragging'}
                  </Button>
                  <span className="text-soft">
                    {Math.round(reference.x)}, {Math.round(reference.y)} px
                  </span>
                </span>
              </>
            )}
          </>
        )}
      </PopoverPanel>
    </Popover>
  );
}
