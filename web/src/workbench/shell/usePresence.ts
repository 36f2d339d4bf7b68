import { useEffect, useState } from 'react';
import type { Pulse, Source } from '../engine/source';

const EVERY = 3000;
/** What is only passed by is not told; and an edit goes first. */
const AFTER = 400;
const tab = crypto.randomUUID();

/** Tells the server what is in hand in this tab, and hears of others and of what they saved. */
export function usePresence(
  source: Source,
  node: string,
  onVersion: (version: number, stamp: number) => void,
) {
  const [others, setOthers] = useState<Pulse['others']>([]);
  useEffect(() => {
    let over = false;
    const beat = async () => {
      try {
        const pulse = await source.here({ tab, node, leaving: false });
        if (over) return;
        setOthers(pulse.others);
        onVersion(pulse.version, pulse.stamp);
      } catch {
        // Without a connection there is nothing to hear; saving says so.
      }
    };
    const first = setTimeout(() => void beat(), AFTER);
    const timer = setInterval(() => void beat(), EVERY);
    return () => {
      over = true;
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [source, node, onVersion]);
  useEffect(() => {
    const leave = () => {
      void source.here({ tab, node: '', leaving: true }).catch(() => undefined);
    };
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, [source]);
  return others;
}
