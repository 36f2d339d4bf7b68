import { useEffect, useRef } from 'react';
import type { ClipView, AskedEdit } from '../engine/source';

const TYPE = 'application/x-good-bones+json';

function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
}

type Props = {
  /** What would be copied. */
  clip: () => Promise<ClipView>;
  /** Where things are pasted: the thing in hand. */
  target: string;
  onPaste: (edit: AskedEdit) => void;
};

/**
 * Copy and paste by keys and buttons: structured data for pages here, HTML and plain words for
 * other programs.
 */
export function useClipboard({ clip, target, onPaste }: Props) {
  const ready = useRef<ClipView | undefined>(undefined);
  useEffect(() => {
    const onCopy = (event: ClipboardEvent) => {
      const clipped = ready.current;
      if (!clipped || !event.clipboardData) return;
      event.preventDefault();
      event.clipboardData.setData(TYPE, clipped.data);
      event.clipboardData.setData('text/html', clipped.html);
      event.clipboardData.setData('text/plain', clipped.text);
    };
    const paste = (event: ClipboardEvent) => {
      if (isTyping(event.target) || !event.clipboardData) return;
      const data = event.clipboardData.getData(TYPE);
      const html = event.clipboardData.getData('text/html');
      const text = event.clipboardData.getData('text/plain');
      if (data) {
        localStorage.setItem(TYPE, data);
        onPaste({ type: 'PASTE', node: target, value: data });
      } else if (html || text) {
        const holder = document.createElement('p');
        holder.textContent = text;
        onPaste({ type: 'PASTE_HTML', node: target, value: html || holder.outerHTML });
      } else return;
      event.preventDefault();
    };
    document.addEventListener('copy', onCopy);
    document.addEventListener('paste', paste);
    return () => {
      document.removeEventListener('copy', onCopy);
      document.removeEventListener('paste', paste);
    };
  }, [target, onPaste]);

  /** Copies what is in hand; the browser lets it write as long as the key was just pressed. */
  const copy = async () => {
    ready.current = await clip();
    localStorage.setItem(TYPE, ready.current.data);
    document.execCommand('copy');
    ready.current = undefined;
  };
  /** For the button: a browser does not let a page read its clipboard, but what was copied here is known. */
  const pasteCopied = () => {
    const data = localStorage.getItem(TYPE);
    if (data !== null) onPaste({ type: 'PASTE', node: target, value: data });
  };
  return { copy, pasteCopied };
}
