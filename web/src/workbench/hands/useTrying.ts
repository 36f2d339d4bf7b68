import { useCallback, useEffect, useRef, useState } from 'react';
import { merged, type AskedEdit, type Source, type WorkbenchView } from '../engine/source';

/** Time for the next key, so that going quickly past many asks for the last one only. */
const PAUSE_MS = 90;

export type Trying = {
  /** What the document would show; undefined while nothing is tried. */
  tried: WorkbenchView | undefined;
  /** Why what is tried cannot be done. */
  refused: string;
  /** Shows what an edit would come to; nothing is kept. Without one, what is there is shown. */
  tryOut: (edit: AskedEdit | undefined) => void;
};

/** Looks at what edits would come to, one after the other, before one is kept. */
export function useTrying(source: Source, view: WorkbenchView): Trying {
  const [tried, setTried] = useState<WorkbenchView>();
  const [refused, setRefused] = useState('');
  const turn = useRef(0);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const latest = useRef(view);
  useEffect(() => {
    latest.current = view;
  }, [view]);
  const tryOut = useCallback(
    (edit: AskedEdit | undefined) => {
      turn.current += 1;
      const asked = turn.current;
      clearTimeout(timer.current);
      setRefused('');
      if (!edit) {
        setTried(undefined);
        return;
      }
      timer.current = setTimeout(() => {
        const now = latest.current;
        const { version, stamp, drawing } = now;
        source.tried({ version, stamp, drawing, edit }).then(
          (answer) => {
            if (asked === turn.current) setTried(merged(now, answer));
          },
          (failed: unknown) => {
            if (asked !== turn.current) return;
            setTried(undefined);
            setRefused(failed instanceof Error ? failed.message : 'It could not be tried.');
          },
        );
      }, PAUSE_MS);
    },
    [source],
  );
  useEffect(
    () => () => {
      turn.current += 1;
      clearTimeout(timer.current);
    },
    [],
  );
  return { tried, refused, tryOut };
}
