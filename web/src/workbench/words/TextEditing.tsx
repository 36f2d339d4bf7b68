import {
  Bold,
  CornerDownLeft,
  Italic,
  Link as LinkIcon,
  List,
  ListOrdered,
  PaintBucket,
  Rss,
} from 'lucide-react';
import { useCallback, useContext, useEffect, useRef, useState } from 'react';
import { answer, api, Problem } from '../../api/client';
import { askBeforeLeaving } from '../../ui/askBeforeLeaving';
import { elementOf, escaped, linkAround, linksIn, uncoloured } from './chosenWords';
import { boxOf } from '../canvas/geometry';
import type { Canvas } from '../engine/drawing';
import type { AskedEdit, NodeView } from '../engine/source';
import { Typing, useHold } from '../../ui/useDraft';
import { BoundForm, LinkForm, Palette, Tool } from './WordTools';

type Props = {
  canvas: Canvas;
  node: NodeView | undefined;
  scale: number;
  /** In whose look it is drawn; empty for the house's. */
  site: string;
  onEdit: (edit: AskedEdit) => Promise<unknown>;
  onDone: () => void;
};

/** What is chosen at the moment; of a link, where the one in hand leads. */
type Asking = { what: 'link'; to: string; newTab: boolean } | { what: 'colour' | 'bound' };

/** What the tools take with what they unfold, in px of the screen. */
const ROOM_ABOVE = 110;

const says = { link: 'lead somewhere', colour: 'have the colour' };

/** Words edited where they stand, with what they can be marked with. */
export function TextEditing({ canvas, node, scale, site, onEdit, onDone }: Props) {
  const [asking, setAsking] = useState<Asking>();
  const [problem, setProblem] = useState('');
  const range = useRef<Range | undefined>(undefined);
  const before = useRef('');
  const done = useRef(false);
  const { settled } = useContext(Typing);
  useHold();
  const begun = useRef(settled);
  const doc = canvas.doc;
  const id = node?.id ?? '';
  const kind = node?.kind ?? '';

  /** The browser tells of what is chosen a moment later; whoever needs it now looks itself. */
  const remember = () => {
    const selection = doc.getSelection();
    const inWords = canvas.element(id)?.contains(selection?.anchorNode ?? null) ?? false;
    if (selection && selection.rangeCount > 0 && inWords) {
      range.current = selection.getRangeAt(0).cloneRange();
    }
  };

  /** Opens what a link or a colour is chosen in, once there are words to have it. */
  const ask = (what: 'link' | 'colour') => {
    remember();
    const none = range.current?.collapsed !== false;
    if (none && !(what === 'link' && linkAround(range.current))) {
      setAsking(undefined);
      setProblem(`Choose the words first that are to ${says[what]}.`);
      return;
    }
    setProblem('');
    const link = linkAround(range.current);
    const to = link?.getAttribute('href') ?? '';
    const newTab = link?.getAttribute('target') === '_blank';
    setAsking(what === 'link' ? { what, to, newTab } : { what });
  };

  const finish = useCallback(
    async (keep: boolean) => {
      const element = canvas.element(id);
      if (done.current || !element) return;
      done.current = true;
      const html = element.innerHTML;
      if (keep && html !== before.current) {
        const failed = await onEdit({ type: 'MARKED', node: id, field: 'words', value: html });
        if (failed instanceof Problem) {
          // Whose words hold is asked over the frames.
          setProblem(failed.stale ? '' : failed.message);
          done.current = false;
          return;
        }
      }
      element.removeAttribute('contenteditable');
      canvas.stray(element);
      if (!keep) canvas.putBack();
      onDone();
    },
    [canvas, id, onEdit, onDone],
  );

  useEffect(
    () =>
      askBeforeLeaving(() => {
        const element = canvas.element(id);
        return element !== null && element.innerHTML !== before.current;
      }),
    [canvas, id],
  );
  const giveUp = () => {
    void finish(false);
  };
  useEffect(() => {
    if (begun.current !== settled) void finish(false);
  }, [settled, finish]);

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
        giveUp();
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
        if (kind !== 'button') ask('link');
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
    const onOutside = (event: MouseEvent) => {
      if (!element.contains(event.target as Node)) void finish(true);
    };
    element.addEventListener('keydown', onKey);
    element.addEventListener('paste', onPaste);
    doc.addEventListener('selectionchange', remember);
    doc.addEventListener('mousedown', onOutside);
    return () => {
      element.removeEventListener('keydown', onKey);
      element.removeEventListener('paste', onPaste);
      doc.removeEventListener('selectionchange', remember);
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
      if (!target.closest('[data-text-tools], [data-notices]')) void finish(true);
    };
    document.addEventListener('pointerdown', onOutside);
    return () => {
      document.removeEventListener('pointerdown', onOutside);
    };
  }, [finish]);

  const box = boxOf(canvas, id);
  if (!box) return null;
  const back = () => {
    remember();
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
    remember();
    if (asking?.what === 'link') openIn(asking.newTab);
    setAsking(undefined);
  };
  const openIn = (newTab: boolean) => {
    for (const link of linksIn(range.current)) {
      if (newTab) link.setAttribute('target', '_blank');
      else link.removeAttribute('target');
    }
  };
  const bind = (what: string, title: string) => {
    back();
    const html = `<span data-bound="${what}" contenteditable="false">${escaped(title)}</span>`;
    doc.execCommand('insertHTML', false, html);
    setAsking(undefined);
  };
  const element = canvas.element(id);
  const plain = (element && doc.defaultView?.getComputedStyle(element).color) ?? '';
  const top = box.y * scale;
  const room = doc.documentElement.clientWidth;
  const side =
    box.x + box.width / 2 > room / 2
      ? { right: Math.max(0, room - box.x - box.width) * scale }
      : { left: Math.max(0, box.x) * scale };
  // What is chosen from unfolds away from the words.
  const above = top > ROOM_ABOVE;
  return (
    <div
      data-text-tools
      role="toolbar"
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key !== 'Escape') return;
        if (asking) {
          setAsking(undefined);
          back();
        } else giveUp();
      }}
      aria-label="Words"
      className={`absolute z-30 flex bg-paper border border-ink px-1 py-0.5 text-[12.5px] ${above ? 'flex-col-reverse -translate-y-full' : 'flex-col'}`}
      style={{
        ...side,
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
          <PaintBucket size={14} />
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
        {kind === 'text' && (
          <Tool
            label="Numbered list"
            onClick={() => {
              run('insertOrderedList');
            }}
          >
            <ListOrdered size={14} />
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
        <Tool
          label="Words that follow the client details"
          onClick={() => {
            remember();
            setAsking(asking?.what === 'bound' ? undefined : { what: 'bound' });
          }}
        >
          <Rss size={14} />
        </Tool>
        <button
          type="button"
          className="ml-1 px-2 py-0.5 bg-verdigris text-white rounded-[2px]"
          onClick={() => void finish(true)}
        >
          Done
        </button>
      </div>
      {asking?.what === 'link' && (
        <LinkForm
          site={site}
          to={asking.to}
          newTab={asking.newTab}
          onLink={link}
          onNewTab={(newTab) => {
            openIn(newTab);
            setAsking({ ...asking, newTab });
          }}
          onEscape={() => {
            setAsking(undefined);
            back();
          }}
        />
      )}
      {asking?.what === 'bound' && <BoundForm onBind={bind} />}
      {asking?.what === 'colour' && (
        <Palette
          site={site}
          onPaint={paint}
          onPlain={() => {
            paint('', plain);
          }}
        />
      )}
      {problem && (
        <p role="alert" className="text-brick px-1 pb-1 max-w-72">
          {problem}
        </p>
      )}
    </div>
  );
}
