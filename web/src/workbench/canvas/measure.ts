import { devices, type DeviceKey } from '../engine/devices';
import type { Canvas } from '../engine/drawing';
import type { FitAsked } from '../engine/source';
import type { Tree } from '../engine/tree';

/** The sizes of all words in the frames, for what only a browser can know. */
export function measured(
  tree: Tree,
  canvases: ReadonlyMap<DeviceKey, Canvas>,
  nodes: readonly string[],
): FitAsked {
  const words: FitAsked['words'] = {};
  const screens: FitAsked['screens'] = {};
  for (const device of devices) {
    const canvas = canvases.get(device.key);
    if (!canvas) continue;
    screens[device.key] = [device.width, device.screen];
    const sizes: Record<string, number[]> = {};
    for (const node of tree.nodes) {
      const element = canvas.element(node.id);
      if (
        !element?.matches(
          '.heading, .text, .label, .button, .icon, .logo, .menu, .social, .divider',
        )
      )
        continue;
      const { width, height } = element.getBoundingClientRect();
      sizes[node.id] = [width, height];
    }
    words[device.key] = sizes;
  }
  return { nodes: [...nodes], screens, words };
}
