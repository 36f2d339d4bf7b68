import { useState } from 'react';
import { answer, api, Problem } from '../../api/client';
import { Button } from '../../ui/Button';
import { Sheet } from '../../ui/Sheet';
import type { AskedEdit, WorkbenchAnswer, WorkbenchView } from '../../workbench/engine/source';

type Props = {
  view: WorkbenchView;
  replace: (view: WorkbenchAnswer) => void;
  /** Shows a variant, by its id; empty for the piece itself. */
  onShow: (variant: string) => void;
};

/** Which variant of the piece is worked on, and what variants there are. */
export function Variants({ view, replace, onShow }: Props) {
  const [open, setOpen] = useState(false);
  const variants = view.piece?.variants ?? [];
  const shown = view.piece?.variant ?? '';
  const forms = [{ id: '', name: 'The piece itself' }, ...variants];
  const go = (by: number) => {
    const next = forms[forms.findIndex((form) => form.id === shown) + by];
    if (next) onShow(next.id);
  };
  return (
    <div className="text-[12.5px] mt-1.5">
      {variants.length > 0 && (
        <div
          role="tablist"
          aria-label="Variants"
          aria-orientation="vertical"
          className="border-l border-line max-h-32 overflow-y-auto [scrollbar-width:thin]"
          onKeyDown={(event) => {
            const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
            if (by === undefined) return;
            event.preventDefault();
            event.stopPropagation();
            go(by);
          }}
        >
          {forms.map((form) => (
            <button
              key={form.id}
              type="button"
              role="tab"
              aria-selected={form.id === shown}
              tabIndex={form.id === shown ? 0 : -1}
              className="block w-full text-left truncate pl-2 py-0.5 -ml-px border-l-[3px] border-transparent text-soft hover:text-ink aria-selected:border-verdigris aria-selected:text-ink aria-selected:font-medium"
              onClick={() => {
                onShow(form.id);
              }}
            >
              {form.name}
            </button>
          ))}
        </div>
      )}
      <button
        type="button"
        className="text-verdigris hover:underline whitespace-nowrap"
        onClick={() => {
          setOpen(true);
        }}
      >
        {variants.length === 0 ? 'Add a variant' : 'Add or rename variants'}
      </button>
      {open && (
        <VariantSheet
          view={view}
          replace={replace}
          onShow={onShow}
          onClose={() => {
            setOpen(false);
          }}
        />
      )}
    </div>
  );
}

function VariantSheet({ view, replace, onShow, onClose }: Props & { onClose: () => void }) {
  const [name, setName] = useState('');
  const [problem, setProblem] = useState('');
  const variants = view.piece?.variants ?? [];
  const shown = view.piece?.variant ?? '';
  const edit = async (asked: AskedEdit) => {
    try {
      const next = await answer(
        api.POST('/api/pieces/{id}/edits', {
          params: {
            path: { id: view.id },
            query: shown === '' ? { site: view.siteId } : { site: view.siteId, variant: shown },
          },
          body: { version: view.version, stamp: view.stamp, edit: asked },
        }),
      );
      replace(next);
      setProblem('');
      return next;
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'It was not saved; try again.');
      return undefined;
    }
  };
  const add = async () => {
    const next = await edit({ type: 'VARIANT_ADD', name });
    const made = next?.piece?.variants.at(-1);
    if (!made) return;
    onClose();
    onShow(made.id);
  };
  return (
    <Sheet open onClose={onClose} title={`Variants of ${view.title}`}>
      <p className="text-soft mb-3">
        A variant is the piece with some things changed: a picture left out, another order. What is
        bettered in the piece itself gets to every variant.
      </p>
      <ul className="mb-4">
        {variants.map((variant) => (
          <li key={variant.id} className="flex items-center gap-3 border-t border-line py-1.5">
            <input
              aria-label={`Name of ${variant.name}`}
              defaultValue={variant.name}
              maxLength={60}
              className="border border-line bg-sheet px-2 py-1 flex-1"
              onBlur={(e) => {
                if (e.target.value.trim() !== variant.name) {
                  void edit({ type: 'VARIANT_RENAME', variant: variant.id, name: e.target.value });
                }
              }}
            />
            <Button
              look="quiet"
              onClick={() => {
                onClose();
                onShow(variant.id);
              }}
            >
              Draw it
            </Button>
            <Button
              look="quiet"
              onClick={() => {
                void edit({ type: 'VARIANT_REMOVE', variant: variant.id }).then((next) => {
                  if (next && shown === variant.id) onShow('');
                });
              }}
            >
              Take it away
            </Button>
          </li>
        ))}
      </ul>
      <form
        className="flex items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <label className="block flex-1">
          <span className="font-medium">Name of a new variant</span>
          <input
            autoFocus
            value={name}
            maxLength={60}
            placeholder="Without the picture"
            onChange={(e) => {
              setName(e.target.value);
            }}
            className="mt-1 w-full border border-line bg-sheet px-2 py-1.5"
          />
        </label>
        <Button onClick={onClose}>Close</Button>
        <Button look="main" type="submit" disabled={name.trim() === ''}>
          Add and draw it
        </Button>
      </form>
      {problem && (
        <p role="alert" className="mt-2 text-brick">
          {problem}
        </p>
      )}
    </Sheet>
  );
}
