import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { fetchText } from '../../api/client';
import { Sheet } from '../../ui/Sheet';
import { Whole } from '../../workbench/canvas/Whole';
import { devices, type DeviceKey } from '../../workbench/engine/devices';
import { useSites } from '../sites/useSites';

type Props = {
  piece: { id: string; name: string };
  /** Of the draft: with another one it looks different. */
  version: number;
};

/** The draft in every client's finishes, side by side at one width. */
export function AtEveryClient({ piece, version }: Props) {
  const [open, setOpen] = useState(false);
  const [width, setWidth] = useState<DeviceKey>('desktop');
  const sites = useSites();
  const device = devices.find(({ key }) => key === width);
  const room = width === 'desktop' ? 464 : width === 'tablet' ? 464 : 224;
  return (
    <>
      <button
        type="button"
        className="text-verdigris text-[12.5px] hover:underline mt-1"
        onClick={() => {
          setOpen(true);
        }}
      >
        See it at every client
      </button>
      <Sheet
        open={open}
        widest
        onClose={() => {
          setOpen(false);
        }}
        title={`${piece.name} at every client`}
      >
        <div role="radiogroup" aria-label="Width" className="inline-flex border border-line mb-4">
          {devices.map(({ key, title, width: px }) => (
            <button
              key={key}
              type="button"
              role="radio"
              aria-checked={key === width}
              title={title}
              className="px-3 py-1 border-r border-line last:border-r-0 tabular-nums hover:bg-board aria-checked:bg-ink aria-checked:text-paper"
              onClick={() => {
                setWidth(key);
              }}
            >
              {px}
            </button>
          ))}
        </div>
        <div
          className={`grid gap-4 max-h-[60vh] overflow-y-auto p-px ${width === 'phone' ? 'grid-cols-4' : 'grid-cols-2'}`}
        >
          {sites.data?.map((site) => (
            <figure key={site.id}>
              <figcaption className="font-medium text-[14px] mb-1">{site.name}</figcaption>
              {device && (
                <AtOne
                  piece={piece}
                  version={version}
                  site={site.id}
                  viewport={device}
                  width={room}
                />
              )}
            </figure>
          ))}
        </div>
      </Sheet>
    </>
  );
}

type OneProps = Props & {
  site: string;
  viewport: { width: number; screen: number };
  width: number;
};

function AtOne({ piece, version, site, viewport, width }: OneProps) {
  const html = useQuery({
    queryKey: ['piece-frame', piece.id, 'draft', version, site],
    queryFn: () => fetchText(`/api/pieces/${piece.id}/frame?site=${site}&draft=true`),
  });
  return (
    <div className="grid justify-start">
      <Whole html={html.data} title={piece.name} viewport={viewport} width={width} height={640} />
    </div>
  );
}
