import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo, useRef } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { count } from '../../ui/count';
import { devices } from '../../workbench/engine/devices';
import { Frame, type Boxes } from '../../workbench/canvas/Frame';

/**
 * Lets this browser measure where the boxes of a site’s pages stand, at all three widths, so that
 * the pixels behind texts on pictures are known. It draws out of sight, and only what changed since.
 */
export function Measure({ site }: { site: string }) {
  const queries = useQueryClient();
  const wanted = useQuery({
    queryKey: ['to-measure', site],
    queryFn: () =>
      answer(api.GET('/api/sites/{id}/to-measure', { params: { path: { id: site } } })),
    enabled: site !== '',
  });
  const done = useRef(new Set<string>());
  const pages = useMemo(() => wanted.data ?? [], [wanted.data]);
  const left = useCallback(
    async (name: string) => {
      done.current.add(name);
      if (pages.every((p) => devices.every((d) => done.current.has(`${p.stamp} ${d.key}`)))) {
        await queries.invalidateQueries({ queryKey: ['to-measure', site] });
        await queries.invalidateQueries({ queryKey: ['contrast', site] });
      }
    },
    [pages, queries, site],
  );
  if (pages.length === 0) return null;
  return (
    <>
      <p role="status" className="text-soft">
        Measuring {count(pages.length, 'page')} with texts on pictures…
      </p>
      <div
        aria-hidden
        className="fixed left-0 top-0 w-px h-px overflow-hidden opacity-0 pointer-events-none"
      >
        {pages.flatMap((page) =>
          devices.map((device) => (
            <Measured
              key={`${page.stamp} ${device.key}`}
              page={page}
              device={device}
              onDone={left}
            />
          )),
        )}
      </div>
    </>
  );
}

type MeasuredProps = {
  page: Schemas['ToMeasure'];
  device: (typeof devices)[number];
  onDone: (name: string) => Promise<void>;
};

function Measured({ page, device, onDone }: MeasuredProps) {
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const onDrawn = useCallback(
    (boxes: Boxes) => {
      // Fonts and pictures may still move things; what stands still for a moment is taken.
      clearTimeout(timer.current);
      timer.current = setTimeout(() => {
        void api
          .POST('/api/pages/{id}/boxes', {
            params: { path: { id: page.pageId } },
            body: { stamp: page.stamp, device: device.key, boxes: Object.fromEntries(boxes) },
          })
          .then(() => onDone(`${page.stamp} ${device.key}`));
      }, 300);
    },
    [page, device, onDone],
  );
  return (
    <Frame
      html={page.html}
      title={`Measuring ${page.pageId} on ${device.key}`}
      width={device.width}
      screen={device.screen}
      scale={1}
      onDrawn={onDrawn}
    />
  );
}
