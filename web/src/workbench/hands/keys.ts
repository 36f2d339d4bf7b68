import { devices, type DeviceKey } from '../engine/devices';
import type { HandAction } from './HandBar';
import type { Step } from '../engine/tree';

/** What a key asks for. */
export type Deed =
  | { is: 'act'; action: HandAction }
  | { is: 'step'; step: Step; more: boolean }
  | { is: 'work'; device: DeviceKey }
  | { is: 'undo' | 'redo' | 'cut' | 'let go' | 'enter' | 'keep' | 'find' | 'hide' | 'preview' };

const act = (action: HandAction): Deed => ({ is: 'act', action });

const steps: readonly (readonly [string, Step])[] = [
  ['ArrowLeft', 'parent'],
  ['ArrowRight', 'child'],
  ['ArrowDown', 'next'],
  ['ArrowUp', 'previous'],
];

const deeds: ReadonlyMap<string, Deed> = new Map<string, Deed>([
  ['Ctrl z', { is: 'undo' }],
  ['Ctrl Shift z', { is: 'redo' }],
  ['Ctrl y', { is: 'redo' }],
  ['Ctrl d', act('duplicate')],
  ['Ctrl c', act('copy')],
  ['Ctrl x', { is: 'cut' }],
  ['Alt ArrowUp', act('up')],
  ['Alt ArrowDown', act('down')],
  ['Delete', act('remove')],
  ['Backspace', act('remove')],
  ['F2', act('rename')],
  ['Enter', { is: 'enter' }],
  [' ', { is: 'keep' }],
  ['Escape', { is: 'let go' }],
  ['/', { is: 'find' }],
  ['a', act('add')],
  ['l', act('library')],
  ['m', act('mirror')],
  ['r', act('row')],
  ['b', act('box')],
  ['u', act('unwrap')],
  ['k', act('piece')],
  ['e', act('share')],
  ['i', act('into')],
  ['n', act('item')],
  ['p', { is: 'preview' }],
  ['h', { is: 'hide' }],
  ...steps.flatMap(([key, step]): [string, Deed][] => [
    [key, { is: 'step', step, more: false }],
    [`Shift ${key}`, { is: 'step', step, more: true }],
  ]),
  ...devices.map(({ key }, i): [string, Deed] => [String(i + 1), { is: 'work', device: key }]),
]);

type Pressed = Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>;

/**
 * What a key asks for on the workbench; undefined if nothing. Shift counts with arrows and Ctrl
 * alone: some keyboards need it for a sign.
 */
export function deedOf({ key, ctrlKey, metaKey, altKey, shiftKey }: Pressed): Deed | undefined {
  const ctrl = ctrlKey || metaKey;
  const parts = [
    ...(ctrl ? ['Ctrl'] : []),
    ...(altKey ? ['Alt'] : []),
    ...(shiftKey && (ctrl || key.startsWith('Arrow')) ? ['Shift'] : []),
    key.length === 1 ? key.toLowerCase() : key,
  ];
  return deeds.get(parts.join(' '));
}
