import { describe, expect, it } from 'vitest';
import { deedOf } from './keys';

function pressed(key: string, ...held: ('ctrl' | 'meta' | 'alt' | 'shift')[]) {
  return deedOf({
    key,
    ctrlKey: held.includes('ctrl'),
    metaKey: held.includes('meta'),
    altKey: held.includes('alt'),
    shiftKey: held.includes('shift'),
  });
}

describe('what a key asks for', () => {
  it('is the same in capitals, and with the key of either keyboard', () => {
    expect(pressed('a')).toEqual({ is: 'act', action: 'add' });
    expect(pressed('A', 'shift')).toEqual({ is: 'act', action: 'add' });
    expect(pressed('d', 'ctrl')).toEqual(pressed('d', 'meta'));
  });

  it('goes a step, or takes one more in hand', () => {
    expect(pressed('ArrowLeft')).toEqual({ is: 'step', step: 'parent', more: false });
    expect(pressed('ArrowDown', 'shift')).toEqual({ is: 'step', step: 'next', more: true });
    expect(pressed('ArrowUp', 'alt')).toEqual({ is: 'act', action: 'up' });
  });

  it('tells undo and redo apart', () => {
    expect(pressed('z', 'ctrl')?.is).toBe('undo');
    expect(pressed('Z', 'ctrl', 'shift')?.is).toBe('redo');
    expect(pressed('y', 'ctrl')?.is).toBe('redo');
    expect(pressed('z')).toBeUndefined();
  });

  it('takes a sign that needs Shift on some keyboards', () => {
    expect(pressed('/', 'shift')?.is).toBe('find');
  });

  it('works at a width by its number', () => {
    expect(pressed('3')).toEqual({ is: 'work', device: 'phone' });
    expect(pressed('4')).toBeUndefined();
  });

  it('leaves to the browser what is the browser’s', () => {
    expect(pressed('r', 'ctrl')).toBeUndefined();
    expect(pressed('v', 'ctrl')).toBeUndefined();
    expect(pressed('ArrowLeft', 'alt')).toBeUndefined();
    expect(pressed('a', 'alt')).toBeUndefined();
    expect(pressed('Tab')).toBeUndefined();
  });
});
