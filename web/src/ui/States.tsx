import type { ReactNode } from 'react';
import { Button } from './Button';

export function Loading({ what }: { what: string }) {
  return (
    <p role="status" className="p-8 text-soft">
      Fetching {what}…
    </p>
  );
}

export function Failed({ error, retry }: { error: Error; retry?: () => void }) {
  return (
    <div role="alert" className="m-8 border-l-4 border-brick bg-brick-tint p-4 max-w-xl">
      <p className="font-semibold">This could not be shown</p>
      <p className="mt-1">{error.message}</p>
      {retry && (
        <Button className="mt-3" onClick={retry}>
          Try again
        </Button>
      )}
    </div>
  );
}

export function Empty({ children }: { children: ReactNode }) {
  return <p className="border border-dashed border-line p-6 text-soft max-w-xl">{children}</p>;
}

type Tone = 'local' | 'conflict' | 'held' | 'library';
const tones: Record<Tone, string> = {
  local: 'bg-ochre-tint text-ochre',
  conflict: 'bg-brick-tint text-brick',
  held: 'bg-slate-tint text-slate',
  library: 'bg-verdigris-tint text-verdigris-deep',
};

/** State is told by colour and word. */
export function Mark({ tone, children }: { tone: Tone; children: ReactNode }) {
  return (
    <span className={`px-1.5 py-px text-[12px] leading-5 whitespace-nowrap ${tones[tone]}`}>
      {children}
    </span>
  );
}
