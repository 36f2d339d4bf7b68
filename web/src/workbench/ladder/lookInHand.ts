import { useSyncExternalStore } from 'react';
import type { Schemas } from '../../api/client';

/** An element’s look, taken to be laid on another, in this tab or another one. */
export type TakenLook = Schemas['LookView'] & { title: string };

const key = 'good-bones-look';
const listeners = new Set<() => void>();

function subscribe(listener: () => void) {
  listeners.add(listener);
  window.addEventListener('storage', listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', listener);
  };
}

export function takeLook(look: TakenLook) {
  localStorage.setItem(key, JSON.stringify(look));
  for (const listener of listeners) listener();
}

export function useTakenLook(): TakenLook | undefined {
  const text = useSyncExternalStore(subscribe, () => localStorage.getItem(key) ?? '');
  return text === '' ? undefined : (JSON.parse(text) as TakenLook);
}
