import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api } from '../../api/client';
import { useOfferedCommands } from '../../ui/commands';
import { Sheet } from '../../ui/Sheet';
import { tableQuery } from '../finishes/table';
import { shortcuts } from '../../workbench/hands/shortcuts';

type Target = { key: string; kind: string; title: string; where: string; run: () => void };

const MOST = 40;

/** Goes to any page, piece, token or command by its name; also the list of shortcuts. */
export function JumpBox() {
  const [open, setOpen] = useState<'jump' | 'keys'>();
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        setOpen('jump');
      } else if (event.key === '?' && !typing && !event.defaultPrevented) {
        setOpen('keys');
      }
    };
    document.addEventListener('keydown', key);
    return () => {
      document.removeEventListener('keydown', key);
    };
  }, []);
  const close = () => {
    setOpen(undefined);
  };
  return (
    <>
      <button
        type="button"
        title="Jump to anything (Ctrl K)"
        className="text-soft text-[13px] border border-line rounded-[3px] px-2 py-0.5 hover:border-ink"
        onClick={() => {
          setOpen('jump');
        }}
      >
        Jump <span className="text-[11.5px]">Ctrl K</span>
      </button>
      <Sheet open={open === 'jump'} onClose={close} title="Jump to">
        <Jump
          onClose={close}
          onKeys={() => {
            setOpen('keys');
          }}
        />
      </Sheet>
      <Sheet open={open === 'keys'} onClose={close} title="Keys of the workbench" wide>
        <div className="grid grid-cols-3 gap-6 text-[13px]">
          {shortcuts.map((group) => (
            <section key={group.title} aria-label={group.title}>
              <h3 className="font-sans font-bold mb-1">{group.title}</h3>
              <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
                {group.keys.map(([keys, what]) => (
                  <div key={keys} className="contents">
                    <dt className="font-medium whitespace-nowrap">{keys}</dt>
                    <dd className="text-soft">{what}</dd>
                  </div>
                ))}
              </dl>
            </section>
          ))}
        </div>
      </Sheet>
    </>
  );
}

function Jump({ onClose, onKeys }: { onClose: () => void; onKeys: () => void }) {
  const navigate = useNavigate();
  const commands = useOfferedCommands();
  const places = useQuery({
    queryKey: ['jump'],
    queryFn: () => answer(api.GET('/api/jump')),
  });
  const finishes = useQuery(tableQuery(useQueryClient()));
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState(0);
  const go = (to: string) => () => void navigate(to);
  const all: Target[] = [
    ...commands.map((command) => ({
      key: `command ${command.title}`,
      kind: 'command',
      title: command.title,
      where: 'here',
      run: command.run,
    })),
    { key: 'keys', kind: 'command', title: 'Keys of the workbench', where: '?', run: onKeys },
    ...(places.data ?? []).map((place) => ({
      key: place.to,
      kind: place.kind,
      title: place.title,
      where: place.where,
      run: go(place.to),
    })),
    ...(finishes.data?.tokens ?? []).map((token) => ({
      key: `token ${token.id}`,
      kind: 'token',
      title: token.name,
      where: 'Finishes',
      run: go(`/finishes?token=${encodeURIComponent(token.id)}`),
    })),
  ];
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const found = all
    .filter((target) => {
      const text = `${target.title} ${target.where} ${target.kind}`.toLowerCase();
      return words.every((word) => text.includes(word));
    })
    .slice(0, MOST);
  const current = found[Math.min(chosen, found.length - 1)];
  const run = (target: Target | undefined) => {
    if (!target) return;
    onClose();
    target.run();
  };
  return (
    <>
      <input
        autoFocus
        role="combobox"
        aria-expanded
        aria-controls="jump-list"
        aria-activedescendant={current?.key}
        aria-label="Name of a page, piece, token or command"
        placeholder="Name of a page, piece, token or command"
        value={typed}
        onChange={(e) => {
          setTyped(e.target.value);
          setChosen(0);
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            const by = event.key === 'ArrowDown' ? 1 : -1;
            setChosen((chosen + by + found.length) % Math.max(1, found.length));
          } else if (event.key === 'Enter') {
            event.preventDefault();
            run(current);
          }
        }}
        className="w-full border border-line bg-sheet px-3 py-2"
      />
      <ul id="jump-list" role="listbox" className="mt-2 max-h-80 overflow-y-auto">
        {found.map((target) => (
          <li
            key={target.key}
            id={target.key}
            role="option"
            aria-selected={target === current}
            onClick={() => {
              run(target);
            }}
            className="flex items-baseline gap-3 px-3 py-1 cursor-pointer hover:bg-board aria-selected:bg-verdigris-tint"
          >
            <span className="font-medium truncate">{target.title}</span>
            <span className="ml-auto text-soft text-[12.5px] whitespace-nowrap">
              {target.kind} · {target.where}
            </span>
          </li>
        ))}
        {found.length === 0 && <li className="px-3 py-2 text-soft">Nothing goes by that name.</li>}
      </ul>
    </>
  );
}
