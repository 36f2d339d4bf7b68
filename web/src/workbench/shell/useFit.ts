import { useCallback, useEffect, useState, type RefObject } from 'react';
import type { DeviceKey } from '../engine/devices';
import { measured } from '../canvas/measure';
import type { FitView, Source } from '../engine/source';
import type { Tree } from '../engine/tree';
import type { Surface } from '../hands/useCarrying';

/** What an edit put down, and what could not come along with it. */
type Made = { made: readonly string[]; unfit: readonly FitView[] };

/** The frames are drawn by then. */
const DRAWN_AFTER = 120;

/** Whether what was put down fits where it is; asked once it is drawn. */
export function useFit(
  source: Source,
  tree: Tree,
  surfaces: RefObject<ReadonlyMap<DeviceKey, Surface>>,
) {
  const [findings, setFindings] = useState<readonly FitView[]>([]);
  const [toFit, setToFit] = useState<Made>({ made: [], unfit: [] });
  const look = useCallback(
    async ({ made, unfit }: Made) => {
      const frames = new Map([...surfaces.current].map(([key, s]) => [key, s.canvas]));
      try {
        setFindings([...unfit, ...(await source.fit(measured(tree, frames, made)))]);
      } catch {
        setFindings(unfit);
      }
    },
    [source, tree, surfaces],
  );
  useEffect(() => {
    if (toFit.made.length === 0) return;
    const timer = setTimeout(() => {
      void look(toFit);
      setToFit({ made: [], unfit: [] });
    }, DRAWN_AFTER);
    return () => {
      clearTimeout(timer);
    };
  }, [toFit, look]);
  return { findings, setFindings, lookAt: setToFit };
}
