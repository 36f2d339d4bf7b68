import { useCallback, useEffect, useState } from 'react';
import { useWidth } from '../ui/useWidth';
import { devices, type DeviceKey } from './devices';
import { Frame, type Boxes } from './Frame';
import { Overlay } from './Overlay';
import type { NodeView } from './source';

type Props = {
  html: string;
  lead: DeviceKey;
  chain: readonly NodeView[];
  onLead: (device: DeviceKey) => void;
  onPick: (node: string) => void;
  onKey: (event: KeyboardEvent) => void;
};

/** Three widths at once: the lead takes the edits, the other two watch beside it. */
export function Frames({ html, lead, chain, onLead, onPick, onKey }: Props) {
  const watchers = devices.filter((device) => device.key !== lead);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,200px)] grid-rows-2 h-full min-h-0">
      {devices.map((device) => (
        <Pane
          key={device.key}
          device={device}
          html={html}
          chain={chain}
          isLead={device.key === lead}
          row={watchers[0]?.key === device.key ? 1 : 2}
          onLead={onLead}
          onPick={onPick}
          onKey={onKey}
        />
      ))}
    </div>
  );
}

type PaneProps = Omit<Props, 'lead'> & {
  device: (typeof devices)[number];
  isLead: boolean;
  row: 1 | 2;
};

function Pane({ device, html, chain, isLead, row, onLead, onPick, onKey }: PaneProps) {
  const [area, room] = useWidth<HTMLDivElement>();
  const [boxes, setBoxes] = useState<Boxes>(new Map());
  const scale = room === 0 ? 0.3 : Math.min(1, room / device.width);
  const inHand = chain[chain.length - 1];
  const box = inHand && inHand.kind !== 'page' ? boxes.get(inHand.id) : undefined;
  const top = box && box.y * scale;
  const bottom = box && (box.y + box.height) * scale;
  useEffect(() => {
    const view = area.current;
    if (!view || top === undefined || bottom === undefined) return;
    const outside = bottom < view.scrollTop + 24 || top > view.scrollTop + view.clientHeight - 24;
    if (outside) view.scrollTo({ top: Math.max(0, top - 48) });
    // Only taking another thing in hand scrolls; an edit that moves it does not.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [area, inHand?.id, top === undefined, scale]);
  const pick = useCallback(
    (node: string) => {
      if (!isLead) onLead(device.key);
      onPick(node);
    },
    [isLead, onLead, onPick, device.key],
  );
  const place = isLead
    ? 'row-start-1 row-end-3 col-start-1 px-4'
    : `col-start-2 pr-3 ${row === 1 ? 'row-start-1' : 'row-start-2'}`;
  return (
    <section
      aria-label={`${device.title} frame`}
      className={`flex flex-col min-h-0 min-w-0 ${place}`}
    >
      <header className="flex items-baseline gap-2 py-2 text-[12.5px] whitespace-nowrap">
        {isLead ? (
          <h2 className="font-sans font-bold">
            {device.title} {device.width}
            <span className="font-normal text-soft">
              {device.key === 'desktop'
                ? ' · edits go here and to narrower widths'
                : device.key === 'tablet'
                  ? ' · edits go to tablet and phone'
                  : ' · edits go to phone alone'}
            </span>
          </h2>
        ) : (
          <>
            <h2 className="font-sans font-bold">
              {device.title} {device.width}
            </h2>
            <button
              type="button"
              className="text-verdigris hover:underline"
              onClick={() => {
                onLead(device.key);
              }}
            >
              work here
            </button>
          </>
        )}
        <span className="ml-auto text-soft">{Math.round(scale * 100)} %</span>
      </header>
      <div
        ref={area}
        className="flex-1 min-h-0 overflow-y-auto overflow-x-hidden [scrollbar-width:thin] mb-3"
      >
        <div
          className={`relative mx-auto ${isLead ? 'outline outline-1 outline-ink' : 'outline outline-1 outline-line'} -outline-offset-1`}
          style={{ width: device.width * scale }}
        >
          <Frame
            html={html}
            title={`${device.title}, ${device.width} px wide`}
            width={device.width}
            screen={device.screen}
            scale={scale}
            onPick={pick}
            onKey={onKey}
            onDrawn={setBoxes}
          />
          <Overlay
            boxes={boxes}
            chain={chain}
            scale={scale}
            room={device.width * scale}
            quiet={!isLead}
          />
        </div>
      </div>
    </section>
  );
}
