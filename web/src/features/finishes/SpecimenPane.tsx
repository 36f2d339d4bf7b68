import { useQuery } from '@tanstack/react-query';
import { fetchText } from '../../api/client';
import { useWidth } from '../../ui/useWidth';
import { devices } from '../../workbench/engine/devices';
import { Frame } from '../../workbench/canvas/Frame';

type Props = { look: string; page: string; html: string | undefined; quick?: string };

/**
 * A client’s specimen, or one of its pages, at all three widths and all to one scale; while
 * something is tried on, that is shown.
 */
export function SpecimenPane({ look, page, html, quick = '' }: Props) {
  const [area, room] = useWidth<HTMLDivElement>();
  const kept = useQuery({
    queryKey: ['specimen', look, page],
    queryFn: () =>
      fetchText(
        `/api/finishes/specimen?site=${encodeURIComponent(look)}&page=${encodeURIComponent(page)}`,
      ),
    placeholderData: (before) => before,
  });
  const shown = html ?? kept.data;
  const scale = room / devices[0].width;
  return (
    <div ref={area} className="flex flex-wrap items-start gap-3 min-h-40">
      {kept.error && !shown && <p className="text-brick">{kept.error.message}</p>}
      {shown !== undefined &&
        room > 0 &&
        devices.map((device) => (
          <figure key={device.key} className="outline outline-1 outline-line">
            <Frame
              html={shown}
              title={`Specimen on a ${device.key}`}
              width={device.width}
              screen={device.screen}
              scale={scale}
              quick={quick}
            />
          </figure>
        ))}
    </div>
  );
}
