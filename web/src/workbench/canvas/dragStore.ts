import { useSyncExternalStore } from 'react';
import type { Landing, Load } from './geometry';

/** Where the landing mark is drawn. */
export type Zone = 'canvas' | 'drawing' | 'outline';

export type Drag = {
  load: Load;
  /** What the label at the pointer says of it. */
  title: string;
  pointer: { x: number; y: number };
  zone: Zone;
  landing: Landing | undefined;
};

let drag: Drag | undefined;
const listeners = new Set<() => void>();

/** What is being carried, apart from the screens, so that a drag draws only its marks anew. */
export function setDrag(next: Drag | undefined) {
  drag = next;
  for (const listener of listeners) listener();
}

export function currentDrag(): Drag | undefined {
  return drag;
}

function listen(listener: () => void) {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
}

export function useDrag(): Drag | undefined {
  return useSyncExternalStore(listen, () => drag);
}

/** Whether something is being carried, for what only gives way to it. */
export function useIsCarrying(): boolean {
  return useSyncExternalStore(listen, () => drag !== undefined);
}
