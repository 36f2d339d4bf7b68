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
  onEdit: (edit: EditBody) => Promise<unknown>;
  onDone: () => void;
};

function escaped(text: string): string {
  const holder = document.createElement('div');
  holder.textContent = text;
  return holder.innerHTML.replace(/\n/g, '<br>');
}

/** Words edited where they stand, with what they can be marked with. */
export function TextEditing({ canvas, node, scale, onEdit, onDone }: Props) {
  const [asking, setAsking] = useState<'link' | 'colour'>();
  const [problem, setProblem] = useState('');
  const range = useRef<Range | undefined>(undefined);
  const done = useRef(false);
  const { table } = useFinishes();
  const doc = canvas.doc;
  const id = node?.id ?? '';
  const kind = node?.kind ?? '';

  const finish = useCallback(
    async (keep: boolean) => {
      const element = canvas.element(id);
      if (done.current || !element) return;
      const html = element.innerHTML;
      if (keep) {
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
    const before = element.innerHTML;
    element.contentEditable = 'true';
    element.style.outline = '2px solid #1f6f63';
    element.style.outlineOffset = '4px';
    element.focus();
    doc.getSelection()?.selectAllChildren(element);
    const onKey = (event: KeyboardEvent) => {
      event.stopPropagation();
      if (event.key === 'Escape') {
        event.preventDefault();
        element.innerHTML = before;
        void finish(false);
      } else if (event.key === 'Enter') {
        event.preventDefault();
        if (event.shiftKey || (kind === 'text' && !event.ctrlKey)) {
          const list = doc.getSelection()?.anchorNode?.parentElement?.closest('li');
          if (list) doc.execCommand('insertParagraph');
          else doc.execCommand('insertLineBreak');
        } else {
          void finish(true);
        }
      } else if ((event.ctrlKey || event.metaKey) && (event.key === 'b' || event.key === 'i')) {
        event.preventDefault();
        doc.execCommand(event.key === 'b' ? 'bold' : 'italic');
      } else if ((event.ctrlKey || event.metaKey) && event.key === 'k') {
        event.preventDefault();
        setAsking('link');
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
  const colour = (token: string, css: string) => {
    back();
    const selection = doc.getSelection();
    if (!selection || selection.isCollapsed) {
      setProblem('Choose the words first that are to have the colour.');
      return;
    }
    const holder = doc.createElement('div');
    holder.append(selection.getRangeAt(0).cloneContents());
    doc.execCommand(
      'insertHTML',
      false,
      `<span data-colour="{${token}}" style="color:${css}">${holder.innerHTML}</span>`,
    );
    setAsking(undefined);
  };
  const palette = table?.tokens.filter((token) => token.type === 'color' && !token.retired) ?? [];
  const top = box.y * scale;
  return (
    <div
      data-text-tools
      role="toolbar"
      aria-label="Words"
      className="absolute z-30 bg-paper border border-ink px-1 py-0.5 text-[12.5px]"
      style={{
        left: Math.max(0, box.x * scale),
        top: top > 40 ? top - 38 : top + box.height * scale + 8,
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
              setAsking('link');
            }}
          >
            <LinkIcon size={14} />
          </Tool>
        )}
        <Tool
          label="Colour of the chosen words"
          onClick={() => {
            setAsking(asking === 'colour' ? undefined : 'colour');
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
      {asking === 'link' && (
        <form
          className="flex gap-1 p-1"
          onSubmit={(event) => {
            event.preventDefault();
            const to = new FormData(event.currentTarget).get('to');
            run(to === '' ? 'unlink' : 'createLink', typeof to === 'string' ? to : '');
            setAsking(undefined);
          }}
        >
          <input
            name="to"
            autoFocus
            aria-label="Where the link goes"
            placeholder="/page, #section or https://…"
            className="border border-line bg-sheet px-1.5 py-0.5 w-52"
          />
          <button type="submit" className="px-2 text-verdigris font-medium">
            Link
          </button>
        </form>
      )}
      {asking === 'colour' && (
        <div className="flex flex-wrap gap-1 p-1 max-w-64">
          {palette.map((token) => (
            <button
              key={token.id}
              type="button"
              aria-label={token.name}
              title={token.name}
              className="size-6 border border-line hover:border-ink"
              style={{ background: token.house.css }}
              onClick={() => {
                colour(token.id, token.house.css);
              }}
            />
          ))}
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
