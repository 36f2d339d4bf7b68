import sizes from '../../api/devices.json';

/** The three widths that are always in sight; sizes are those that the core computes with. */
export const devices = [
  { key: 'desktop', title: 'Desktop', ...sizes.desktop },
  { key: 'tablet', title: 'Tablet', ...sizes.tablet },
  { key: 'phone', title: 'Phone', ...sizes.phone },
] as const;

export type DeviceKey = (typeof devices)[number]['key'];

export function deviceOf(key: string | null): DeviceKey {
  return devices.find((device) => device.key === key)?.key ?? 'desktop';
}
