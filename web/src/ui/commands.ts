import { useEffect, useSyncExternalStore } from 'react';

/** Something that a screen can do, by its name. */
export type Command = { title: string; run: () => void };

let commands: readonly Command[] = [];
const listeners = new Set<() => void>();

function put(next: readonly Command[]) {
  commands = next;
  for (const listener of listeners) listener();
}

/** Offers a screen's commands in the jump box as long as it is shown. */
export function useCommands(offered: readonly Command[]) {
  useEffect(() => {
    put(offered);
    return () => {
      put([]);
    };
  }, [offered]);
}

export function useOfferedCommands(): readonly Command[] {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => {
        listeners.delete(listener);
      };
    },
    () => commands,
  );
}
