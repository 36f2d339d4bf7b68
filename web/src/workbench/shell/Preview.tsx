import { X } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { devices, type DeviceKey } from '../engine/devices';
import type { Canvas, Drawing } from '../engine/drawing';
import { LiveFrame } from '../canvas/LiveFrame';
import { holdsOthers } from '../engine/levels';
import type { Tree } from '../engine/tree';

type Props = {
  drawing: Drawing;
  tree: Tree;
  /** The section in hand. */
  section: string;
  device: DeviceKey;
  onClose: () => void;
};

/** The page, or the section in hand, at true size; what is hidden is shown on wish. */
export function Preview({ drawing, tree, section, device: first, onClose }: Props) {
  const [device, setDevice] = useState(first);
  const [only, setOnly] = useState(false);
  const [reveal, setReveal] = useState(false);
  const [canvas, setCanvas] = useState<Canvas>();
  const shown = useMemo(() => {
    const blocks = drawing.blocks.filter((block) => block.id === section);
    return only && blocks.length > 0 ? { ...drawing, blocks } : drawing;
  }, [drawing, only, section]);
  const chosen = devices.find((d) => d.key === device) ?? devices[0];

  useEffect(() => {
    if (!canvas) return;
    for (const node of tree.nodes) {
      const element = canvas.element(node.id);
      if (!element || !node.hiddenOn.includes(device)) continue;
      if (reveal) {
        element.style.setProperty('display', holdsOthers(node.kind) ? 'grid' : 'block');
        element.style.setProperty('outline', '2px dashed #8a5a0c');
      } else {
        element.style.removeProperty('display');
        element.style.removeProperty('outline');
      }
    }
  }, [canvas, reveal, tree, device]);
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      if (event.key === 'Escape') {
        event.stopPropagation();
        onClose();
      }
    };
    document.addEventListener('keydown', key, true);
    return () => {
      document.removeEventListener('keydown', key, true);
    };
  }, [onClose]);
  const hiddenCount = tree.nodes.filter((node) => node.hiddenOn.includes(device)).length;
  return (
    <div role="dialog" aria-label="True size" className="fixed inset-0 z-50 bg-board flex flex-col">
      <header className="flex items-center gap-5 px-4 h-11 border-b border-ink bg-paper text-[13px]">
        <h2 className="text-[16px]">True size</h2>
        {devices.map((d) => (
          <button
            key={d.key}
            type="button"
            aria-pressed={d.key === device}
            className="h-full border-b-[3px] border-transparent aria-pressed:border-verdigris aria-pressed:font-semibold"
            onClick={() => {
              setDevice(d.key);
            }}
          >
            {d.title} {d.width}
          </button>
        ))}
        <label className="flex items-center gap-1.5 ml-6">
          <input
            type="checkbox"
            className="accent-verdigris"
            checked={only}
            onChange={(e) => {
              setOnly(e.target.checked);
            }}
          />
          this section alone
        </label>
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            className="accent-verdigris"
            checked={reveal}
            onChange={(e) => {
              setReveal(e.target.checked);
            }}
          />
          show what is hidden here ({hiddenCount})
        </label>
        <button type="button" aria-label="Close" className="ml-auto" onClick={onClose}>
          <X size={17} />
        </button>
      </header>
      <div className="flex-1 overflow-auto">
        <div className="mx-auto" style={{ width: chosen.width }}>
          <LiveFrame
            key={`${device} ${String(only)}`}
            drawing={shown}
            title={`${chosen.title} at true size`}
            width={chosen.width}
            screen={chosen.screen}
            scale={1}
            onDrawn={setCanvas}
          />
        </div>
      </div>
    </div>
  );
}
