// @vitest-environment jsdom
import { renderHook } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { AskedEdit } from '../engine/source';
import { useClipboard } from './useClipboard';

const TYPE = 'application/x-good-bones+json';
const clip = { data: '{"nodes":[]}', html: '<p>Seeds</p>', text: 'Seeds' };

/** A clipboard event as a browser sends it, with what it holds. */
function clipboardEvent(type: 'copy' | 'paste', held: Record<string, string> = {}) {
  const event = new Event(type, { bubbles: true, cancelable: true });
  const clipboardData = {
    getData: (kind: string) => held[kind] ?? '',
    setData: (kind: string, value: string) => {
      held[kind] = value;
    },
  };
  return Object.assign(event, { clipboardData, held });
}

function clipboard() {
  const onPaste = vi.fn<(edit: AskedEdit) => void>();
  const { result } = renderHook(() =>
    useClipboard({ clip: () => Promise.resolve(clip), target: 'column', onPaste }),
  );
  return { onPaste, hook: result };
}

beforeEach(() => {
  localStorage.clear();
});

describe('copying', () => {
  it('writes what other pages take, and HTML and words for other programs', async () => {
    const { hook } = clipboard();
    const event = clipboardEvent('copy');
    document.execCommand = vi.fn(() => document.dispatchEvent(event));
    await hook.current.copy();
    expect(event.held).toEqual({
      [TYPE]: clip.data,
      'text/html': clip.html,
      'text/plain': 'Seeds',
    });
    expect(event.defaultPrevented).toBe(true);
  });

  it('leaves words that are copied elsewhere alone', () => {
    clipboard();
    const event = clipboardEvent('copy');
    document.dispatchEvent(event);
    expect(event.held).toEqual({});
    expect(event.defaultPrevented).toBe(false);
  });
});

describe('pasting', () => {
  it('takes what was copied here before anything else', () => {
    const { onPaste } = clipboard();
    document.dispatchEvent(clipboardEvent('paste', { [TYPE]: clip.data, 'text/html': '<p>' }));
    expect(onPaste).toHaveBeenCalledExactlyOnceWith({
      type: 'PASTE',
      node: 'column',
      value: clip.data,
    });
  });

  it('takes HTML of other programs, and words as they are', () => {
    const { onPaste } = clipboard();
    document.dispatchEvent(clipboardEvent('paste', { 'text/html': '<h2>Rules</h2>' }));
    expect(onPaste).toHaveBeenLastCalledWith(
      expect.objectContaining({ type: 'PASTE_HTML', value: '<h2>Rules</h2>' }),
    );
    document.dispatchEvent(clipboardEvent('paste', { 'text/plain': 'a < b & c' }));
    expect(onPaste).toHaveBeenLastCalledWith(
      expect.objectContaining({ type: 'PASTE_HTML', value: '<p>a &lt; b &amp; c</p>' }),
    );
  });

  it('leaves a field that is typed into, and an empty clipboard, alone', () => {
    const { onPaste } = clipboard();
    const input = document.body.appendChild(document.createElement('input'));
    input.dispatchEvent(clipboardEvent('paste', { 'text/plain': 'Seeds' }));
    document.dispatchEvent(clipboardEvent('paste'));
    expect(onPaste).not.toHaveBeenCalled();
    input.remove();
  });

  it('by the button takes what was copied in this browser last', async () => {
    const { hook, onPaste } = clipboard();
    hook.current.pasteCopied();
    expect(onPaste).not.toHaveBeenCalled();
    document.execCommand = vi.fn(() => true);
    await hook.current.copy();
    hook.current.pasteCopied();
    expect(onPaste).toHaveBeenCalledExactlyOnceWith({
      type: 'PASTE',
      node: 'column',
      value: clip.data,
    });
  });
});
