import { Redo2, Undo2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import { BarSlot } from '../../ui/Bar';
import { Button } from '../../ui/Button';
import { Failed, Loading, Mark } from '../../ui/States';
import { ContrastTab } from './ContrastTab';
import { FilesMenu } from './FilesMenu';
import { NamedStyles } from './NamedStyles';
import { ReleaseSheet } from './ReleaseSheet';
import { Schemes } from './Schemes';
import { TokensTab } from './TokensTab';
import { Typefaces } from './Typefaces';
import { useFinishes } from './useFinishes';
import { useAddress } from '../../ui/useAddress';

const tabs = [
  { key: 'tokens', title: 'Tokens' },
  { key: 'styles', title: 'Named styles' },
  { key: 'schemes', title: 'Schemes' },
  { key: 'contrast', title: 'Contrast' },
  { key: 'typefaces', title: 'Typefaces' },
] as const;

/** Tokens and named styles: the house’s, and every client’s own on top. */
export function FinishesScreen() {
  const finishes = useFinishes();
  const { params, set } = useAddress();
  const [releasing, setReleasing] = useState(false);
  const { table, undo, redo } = finishes;

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLTextAreaElement ||
        (event.target instanceof HTMLInputElement && event.target.type !== 'range');
      if (typing || event.defaultPrevented) return;
      const pressed = event.key.toLowerCase();
      if ((event.ctrlKey || event.metaKey) && (pressed === 'z' || pressed === 'y')) {
        event.preventDefault();
        void (pressed === 'y' || event.shiftKey ? redo() : undo());
      }
    };
    document.addEventListener('keydown', onKey);
    return () => {
      document.removeEventListener('keydown', onKey);
    };
  }, [undo, redo]);

  if (finishes.query.error && !table) {
    return <Failed error={finishes.query.error} retry={() => void finishes.query.refetch()} />;
  }
  if (!table) return <Loading what="the finishes" />;
  const tab = tabs.find((t) => t.key === params.get('tab'))?.key ?? 'tokens';
  const wanted = params.get('look');
  const look =
    wanted === 'house'
      ? ''
      : ((table.sites.find((site) => site.id === wanted) ?? table.sites[0])?.id ?? '');
  const behind = table.sites.filter((site) => site.behind);
  const shared = { table, look, edit: finishes.edit, set };
  return (
    <main className="h-full grid grid-rows-[auto_minmax(0,1fr)]">
      <BarSlot>
        <span role="status" className="text-soft">
          {finishes.saving ? 'Saving…' : 'Saved'}
        </span>
        <Button
          look="quiet"
          disabled={table.undo === ''}
          title={table.undo ? `Undo: ${table.undo} (Ctrl Z)` : 'Nothing to undo'}
          onClick={() => void undo()}
        >
          <Undo2 size={15} />
          <span className="max-w-40 truncate">Undo{table.undo && `: ${table.undo}`}</span>
        </Button>
        <Button
          look="quiet"
          disabled={table.redo === ''}
          title={table.redo ? `Redo: ${table.redo} (Ctrl Shift Z)` : 'Nothing to redo'}
          onClick={() => void redo()}
        >
          <Redo2 size={15} /> Redo
        </Button>
      </BarSlot>
      <header className="flex items-center gap-6 px-5 h-12 border-b border-line">
        <h1 className="text-xl">Finishes</h1>
        <nav aria-label="Parts of the finishes" className="flex gap-5 h-full text-[13.5px]">
          {tabs.map((t) => (
            <button
              key={t.key}
              type="button"
              aria-current={t.key === tab ? 'page' : undefined}
              onClick={() => {
                set({ tab: t.key === 'tokens' ? '' : t.key });
              }}
              className="h-full border-b-2 border-transparent hover:border-line aria-[current=page]:border-ink aria-[current=page]:font-semibold"
            >
              {t.title}
            </button>
          ))}
        </nav>
        <span className="ml-auto flex items-center gap-4 text-[13px]">
          <Button
            look="quiet"
            onClick={() => {
              setReleasing(true);
            }}
          >
            House, revision {table.revision}
          </Button>
          {table.draft && <Mark tone="local">draft not released</Mark>}
          <FilesMenu table={table} run={finishes.run} />
          {table.draft || behind.length > 0 ? (
            <Button
              look="main"
              onClick={() => {
                setReleasing(true);
              }}
            >
              {table.draft ? `Release revision ${table.revision + 1}` : 'Bring sites up to date'}
            </Button>
          ) : null}
        </span>
      </header>
      {tab === 'tokens' && (
        <TokensTab
          {...shared}
          params={params}
          refresh={async () => (await finishes.query.refetch()).data}
        />
      )}
      {tab === 'styles' && <NamedStyles {...shared} params={params} />}
      {tab === 'schemes' && <Schemes {...shared} />}
      {tab === 'contrast' && <ContrastTab {...shared} />}
      {tab === 'typefaces' && <Typefaces {...shared} />}
      {releasing && (
        <ReleaseSheet
          table={table}
          run={finishes.run}
          onClose={() => {
            setReleasing(false);
          }}
        />
      )}
    </main>
  );
}
