import { useEffect, useState } from 'react';

/** How many have their turn before the next picture is drawn on the screen. */
const AT_ONCE = 2;

const waiting = new Set<() => void>();
let free = AT_ONCE;

function next() {
  free = AT_ONCE;
  for (const turn of [...waiting].slice(0, free)) take(turn);
}

function take(turn: () => void) {
  if (free === AT_ONCE) requestAnimationFrame(next);
  free -= 1;
  waiting.delete(turn);
  turn();
}

/**
 * Whether it is the turn of something that takes long to put on the screen: a few at a time, so
 * that the first is seen at once and no key or scroll waits for all of them.
 *
 * @param wanted whether it is there to be put on the screen at all
 */
export function useTurn(wanted: boolean): boolean {
  const [had, setHad] = useState(false);
  useEffect(() => {
    if (!wanted || had) return;
    const turn = () => {
      setHad(true);
    };
    waiting.add(turn);
    if (free > 0) take(turn);
    return () => {
      waiting.delete(turn);
    };
  }, [wanted, had]);
  return had;
}
