/** The three widths that are always in sight; heights are those of a common screen of the kind. */
export const devices = [
  { key: 'desktop', title: 'Desktop', width: 1280, screen: 800 },
  { key: 'tablet', title: 'Tablet', width: 834, screen: 1112 },
  { key: 'phone', title: 'Phone', width: 390, screen: 844 },
] as const;

export type DeviceKey = (typeof devices)[number]['key'];

export function deviceOf(key: string | null): DeviceKey {
  return devices.find((device) => device.key === key)?.key ?? 'desktop';
}
