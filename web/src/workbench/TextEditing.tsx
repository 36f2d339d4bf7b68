import { Bold, CornerDownLeft, Italic, Link as LinkIcon, List, Palette } from 'lucide-react';
import { useCallback, useEffect, useRef, useState } from 'react';
import { answer, api, Problem } from '../api/client';
import { useFinishes } from '../features/finishes/useFinishes';
import { boxOf } from './geometry';
import type { Canvas } from './LiveFrame';
import type { EditBody, NodeView } from './source';

type Props = {
  canvas: Canvas;
  node: NodeView | undefined;
  scale: number;
  /** In whose look it is drawn; empty for the house's. */
  site: string;
  onEdit: (edit: EditBody) => Promise<unknown>;
  onDone: () => void;
};

function escaped(text: string): string {
  const holder = document.createElement('div');
  holder.textContent = text;
  return holder.innerHTML.replace(/\n/g, '<br>');
}

/** What is chosen at the moment; of a link, where the one in hand leads. */
type Asking = { what: 'link'; to: string } | { what: 'colour' };

/** What the tools take with what they unfold, in px of the screen. */
const ROOM_ABOVE = 110;

const says = { link: 'lead somewhere', colour: 'have the colour' };

/** The link that the caret or the chosen words stand in. */
function linkAround(range: Range | undefined): Element | undefined {
  return (range && elementOf(range.commonAncestorContainer)?.closest('a[href]')) ?? undefined;
}

/** The element that something of a document is or stands in. */
function elementOf(node: Node): Element | null {
  return node.nodeType === Node.ELEMENT_NODE ? (node as Element) : node.parentElement;
}

/** What a range holds, with the marks around it, but in no colour of its own. */
function uncoloured(range: Range, words: Element): string {
  const holder = words.ownerDocument.createElement('div');
  holder.append(range.cloneContents());
  let around = elementOf(range.commonAncestorContainer);
  while (around && around !== words) {
    if (around.matches('a, b, strong, i, em')) {
      const mark = around.cloneNode() as Element;
      mark.append(...holder.childNodes);
      holder.append(mark);
    }
    around = around.parentElement;
  }
  for (const painted of holder.querySelectorAll('[data-colour]')) {
    painted.replaceWith(...painted.childNodes);
  }
  return holder.innerHTML;
}

/** Words edited where they stand, with what they can be marked with. */
export function TextEditing({ canvas, node, scale, site, onEdit, onDone }: Props) {
  const [asking, setAsking] = useState<Asking>();
  const [problem, setProblem] = useState('');
  const range = useRef<Range | undefined>(undefined);
  const before = useRef('');
  const done = useRef(false);
  const { table } = useFinishes();
  const doc = canvas.doc;
  const id = node?.id ?? '';
  const kind = node?.kind ?? '';

  /** Opens what a link or a colour is chosen in, once there are words to have it. */
  const ask = (what: 'link' | 'colour') => {
    const none = range.current?.collapsed !== false;
    if (none && !(what === 'link' && linkAround(range.current))) {
      setAsking(undefined);
      setProblem(`Choose the words first that are to ${says[what]}.`);
      return;
    }
    setProblem('');
    const to = linkAround(range.current)?.getAttribute('href') ?? '';
    setAsking(what === 'link' ? { what, to } : { what });
  };

  const finish = useCallback(
    async (keep: boolean) => {
      const element = canvas.element(id);
      if (done.current || !element) return;
      const html = element.innerHTML;
      if (keep && html !== before.current) {
        const failed = await onEdit({ type: 'MARKED', node: id, field: 'words', value: html });
        if (failed instanceof Problem) {
          setProblem(failed.message);
          return;
        }
      }
      done.current = true;
      element.removeAttribute('contenteditable');
      onDone();
    },
    [canvas, id, onEdit, onDone],
  );

  useEffect(() => {
    const element = canvas.element(id);
    if (!element) {
      onDone();
      return;
    }
    before.current = element.innerHTML;
    element.contentEditable = 'true';
    element.style.outline = '2px solid #1f6f63';
    element.style.outlineOffset = '4px';
    element.focus();
    doc.getSelection()?.selectAllChildren(element);
    const onKey = (event: KeyboardEvent) => {
      event.stopPropagation();
      if (event.key === 'Escape') {
        event.preventDefault();
        element.innerHTML = before.current;
        void finish(false);
      } else if (event.key === 'Enter') {
        event.preventDefault();
        if (event.shiftKey || (kind === 'text' && !event.ctrlKey)) {
          const caret = doc.getSelection()?.anchorNode;
          if (caret && elementOf(caret)?.closest('li')) doc.execCommand('insertParagraph');
          else doc.execCommand('insertLineBreak');
        } else {
          void finish(true);
        }
      } else if ((event.ctrlKey || event.metaKey) && (event.key === 'b' || event.key === 'i')) {
        event.preventDefault();
        doc.execCommand(event.key === 'b' ? 'bold' : 'italic');
      } else if ((event.ctrlKey || event.metaKey) && event.key === 'k') {
        event.preventDefault();
        ask('link');
      }
    };
    const onPaste = (event: ClipboardEvent) => {
      event.preventDefault();
      const html = event.clipboardData?.getData('text/html');
      const text = event.clipboardData?.getData('text/plain') ?? '';
      void answer(api.POST('/api/clean', { body: { html: html ? html : escaped(text) } })).then(
        (clean) => {
          element.focus();
          doc.execCommand('insertHTML', false, clean.html);
        },
      );
    };
    const onSelect = () => {
      const selection = doc.getSelection();
      if (selection && selection.rangeCount > 0 && element.contains(selection.anchorNode)) {
        range.current = selection.getRangeAt(0).cloneRange();
      }
    };
    const onOutside = (event: MouseEvent) => {
      if (!element.contains(event.target as Node)) void finish(true);
    };
    element.addEventListener('keydown', onKey);
    element.addEventListener('paste', onPaste);
    doc.addEventListener('selectionchange', onSelect);
    doc.addEventListener('mousedown', onOutside);
    return () => {
      element.removeEventListener('keydown', onKey);
      element.removeEventListener('paste', onPaste);
      doc.removeEventListener('selectionchange', onSelect);
      doc.removeEventListener('mousedown', onOutside);
      element.removeAttribute('contenteditable');
      element.style.removeProperty('outline');
      element.style.removeProperty('outline-offset');
      if (element.getAttribute('style') === '') element.removeAttribute('style');
    };
    // The document is edited in place: a new drawing of it must not begin anew.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [id, doc]);

  useEffect(() => {
    const onOutside = (event: PointerEvent) => {
      const target = event.target as Element;
      if (!target.closest('[data-text-tools]')) void finish(true);
    };
    document.addEventListener('pointerdown', onOutside);
    return () => {
      document.removeEventListener('pointerdown', onOutside);
    };
  }, [finish]);

  const box = boxOf(canvas, id);
  if (!box) return null;
  const back = () => {
    const element = canvas.element(id);
    element?.focus();
    const selection = doc.getSelection();
    if (selection && range.current) {
      selection.removeAllRanges();
      selection.addRange(range.current);
    }
  };
  const run = (command: string, value?: string) => {
    back();
    doc.execCommand(command, false, value);
  };
  /** @param colour a token's id and what it is worth here; empty for the colour of the others */
  const paint = (colour: string, css: string) => {
    back();
    const selection = doc.getSelection();
    const words = canvas.element(id);
    if (!words || !selection || selection.isCollapsed) return;
    const stored = colour === '' ? '' : `{${colour}}`;
    doc.execCommand(
      'insertHTML',
      false,
      `<span data-colour="${stored}" style="color:${css}">${uncoloured(selection.getRangeAt(0), words)}</span>`,
    );
    setAsking(undefined);
  };
  const link = (to: string) => {
    back();
    const selection = doc.getSelection();
    const around = linkAround(range.current);
    if (around && selection?.isCollapsed) selection.selectAllChildren(around);
    doc.execCommand(to === '' ? 'unlink' : 'createLink', false, to);
    setAsking(undefined);
  };
  const element = canvas.element(id);
  const plain = (element && doc.defaultView?.getComputedStyle(element).color) ?? '';
  const palette = table?.tokens.filter((token) => token.type === 'color' && !token.retired) ?? [];
  const top = box.y * scale;
  // What is chosen from unfolds away from the words.
  const above = top > ROOM_ABOVE;
  return (
    <div
      data-text-tools
      role="toolbar"
      aria-label="Words"
      className={`absolute z-30 flex bg-paper border border-ink px-1 py-0.5 text-[12.5px] ${above ? 'flex-col-reverse -translate-y-full' : 'flex-col'}`}
      style={{
        left: Math.max(0, box.x * scale),
        top: above ? top - 6 : top + box.height * scale + 8,
      }}
    >
      <div className="flex items-center gap-0.5">
        <Tool
          label="Bold (Ctrl B)"
          onClick={() => {
            run('bold');
          }}
        >
          <Bold size={14} />
        </Tool>
        <Tool
          label="Italic (Ctrl I)"
          onClick={() => {
            run('italic');
          }}
        >
          <Italic size={14} />
        </Tool>
        {kind !== 'button' && (
          <Tool
            label="Link (Ctrl K)"
            onClick={() => {
              ask('link');
            }}
          >
            <LinkIcon size={14} />
          </Tool>
        )}
        <Tool
          label="Colour of the chosen words"
          onClick={() => {
            if (asking?.what === 'colour') setAsking(undefined);
            else ask('colour');
          }}
        >
          <Palette size={14} />
        </Tool>
        {kind === 'text' && (
          <Tool
            label="List"
            onClick={() => {
              run('insertUnorderedList');
            }}
          >
            <List size={14} />
          </Tool>
        )}
        <Tool
          label="Line break (Shift Enter)"
          onClick={() => {
            run('insertLineBreak');
          }}
        >
          <CornerDownLeft size={14} />
        </Tool>
        <button
          type="button"
          className="ml-1 px-2 py-0.5 bg-verdigris text-white rounded-[2px]"
          onClick={() => void finish(true)}
        >
          Done
        </button>
      </div>
      {asking?.what === 'link' && <LinkForm to={asking.to} onLink={link} />}
      {asking?.what === 'colour' && (
        <div className="flex flex-wrap gap-1 p-1 max-w-64">
          {palette.map((token) => {
            const { css } = token.sites[site] ?? token.house;
            return (
              <button
                key={token.id}
                type="button"
                aria-label={token.name}
                title={token.name}
                className="size-6 border border-line hover:border-ink"
                style={{ background: css }}
                onClick={() => {
                  paint(token.id, css);
                }}
              />
            );
          })}
          <button
            type="button"
            className="px-1.5 h-6 border border-line hover:border-ink"
            onClick={() => {
              paint('', plain);
            }}
          >
            as the other words
          </button>
        </div>
      )}
      {problem && (
        <p role="alert" className="text-brick px-1 pb-1 max-w-72">
          {problem}
        </p>
      )}
    </div>
  );
}

type LinkFormProps = { to: string; onLink: (to: string) => void };

/** Where the chosen words lead; a link is taken away by leaving it empty. */
function LinkForm({ to, onLink }: LinkFormProps) {
  return (
    <form
      className="flex gap-1 p-1"
      onSubmit={(event) => {
        event.preventDefault();
        const value = new FormData(event.currentTarget).get('to');
        onLink(typeof value === 'string' ? value.trim() : '');
      }}
    >
      <input
        name="to"
        autoFocus
        defaultValue={to}
        aria-label="Where the link goes"
        placeholder="/page, #section or https://…"
        className="border border-line bg-sheet px-1.5 py-0.5 w-52"
      />
      <button type="submit" className="px-2 text-verdigris font-medium">
        {to === '' ? 'Link' : 'Change'}
      </button>
      {to !== '' && (
        <button
          type="button"
          className="px-1 text-verdigris"
          onClick={() => {
            onLink('');
          }}
        >
          Take away
        </button>
      )}
    </form>
  );
}

type ToolProps = { label: string; onClick: () => void; children: React.ReactNode };

function Tool({ label, onClick, children }: ToolProps) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      className="size-7 grid place-items-center hover:bg-board rounded-[2px]"
      onMouseDown={(event) => {
        event.preventDefault();
      }}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
