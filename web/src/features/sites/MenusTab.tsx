import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { answer, api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { inputClass } from '../../ui/inputClass';
import { KeepLine, useKeep } from '../../ui/Keep';
import { Failed, Loading } from '../../ui/States';
import { LinkField } from './LinkField';
import { flat, moved, treeOf, type Line } from './menuLines';

type Menus = Schemas['MenusView'];

/** The menus of a site: trees of links, that pages, headers and footers show. */
export function MenusTab({ siteId }: { siteId: string }) {
  const menus = useQuery({
    queryKey: ['menus', siteId],
    queryFn: () => answer(api.GET('/api/sites/{id}/menus', { params: { path: { id: siteId } } })),
  });
  const [kept, setKept] = useState<number>();
  if (menus.error) return <Failed error={menus.error} retry={() => void menus.refetch()} />;
  if (!menus.data) return <Loading what="the menus" />;
  const { version } = menus.data;
  return (
    <Editor
      key={version}
      siteId={siteId}
      menus={menus.data}
      kept={kept === version}
      onKept={setKept}
    />
  );
}

type Drafted = { name: string; lines: readonly Line[] };

type EditorProps = {
  siteId: string;
  menus: Menus;
  /** Whether they are as they were kept just now. */
  kept: boolean;
  onKept: (version: number) => void;
};

function Editor({ siteId, menus, kept, onKept }: EditorProps) {
  const queries = useQueryClient();
  const first = menus.menus.map(({ name, items }): Drafted => ({ name, lines: flat(items) }));
  const missed = useSearchParams()[0].get('menu') ?? '';
  const [drafts, setDrafts] = useState<readonly Drafted[]>(
    missed === '' || first.some(({ name }) => name === missed)
      ? first
      : [...first, { name: missed, lines: [] }],
  );
  const changed = JSON.stringify(drafts) !== JSON.stringify(first);
  const set = (at: number, part: Partial<Drafted>) => {
    setDrafts(drafts.map((menu, i) => (i === at ? { ...menu, ...part } : menu)));
  };
  const setLine = (at: number, line: number, part: Partial<Line>) => {
    const lines = drafts[at]?.lines ?? [];
    set(at, { lines: lines.map((each, i) => (i === line ? { ...each, ...part } : each)) });
  };
  const { problem, keep } = useKeep(async () => {
    const now = await answer(
      api.PUT('/api/sites/{id}/menus', {
        params: { path: { id: siteId } },
        body: {
          version: menus.version,
          menus: drafts.map(({ name, lines }) => ({ name: name.trim(), items: treeOf(lines) })),
        },
      }),
    );
    queries.setQueryData(['menus', siteId], now);
    await queries.invalidateQueries({ queryKey: ['frame'] });
    onKept(now.version);
  });
  return (
    <div className="overflow-y-auto pt-4 pb-10 max-w-4xl">
      <p className="text-soft">
        A header or footer shows a menu by its name. Links to pages follow when pages are renamed or
        moved.
      </p>
      {drafts.map((menu, at) => (
        <section key={at} aria-label={`Menu ${menu.name}`} className="mt-6">
          <div className="flex items-center gap-4 border-b border-ink pb-2">
            <label className="flex items-baseline gap-2">
              <span className="font-medium">Menu</span>
              <input
                aria-label="Name of the menu"
                className={`${inputClass} !w-48`}
                value={menu.name}
                maxLength={40}
                onChange={(e) => {
                  set(at, { name: e.target.value });
                }}
              />
            </label>
            {drafts.length > 1 && (
              <Button
                look="quiet"
                className="ml-auto"
                onClick={() => {
                  setDrafts(drafts.filter((each) => each !== menu));
                }}
              >
                Take this menu away
              </Button>
            )}
          </div>
          <ol>
            {menu.lines.map((line, i) => (
              <li
                key={i}
                className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto] gap-3 items-start py-1.5 border-b border-hair"
                style={{ paddingLeft: line.depth * 24 }}
              >
                <input
                  aria-label={`Words of link ${i + 1}`}
                  placeholder="The title of the page"
                  className={inputClass}
                  value={line.words}
                  maxLength={80}
                  onChange={(e) => {
                    setLine(at, i, { words: e.target.value });
                  }}
                />
                <LinkField
                  label={`Where link ${i + 1} leads`}
                  site={siteId}
                  page=""
                  value={line.link}
                  onChange={(link) => {
                    setLine(at, i, { link });
                  }}
                  onMake
                />
                <span className="flex items-center gap-1.5 text-[13px]">
                  <label className="flex items-center gap-1.5 mr-2 text-soft whitespace-nowrap">
                    <input
                      type="checkbox"
                      aria-label={`Open link ${i + 1} in a new tab`}
                      className="accent-verdigris"
                      checked={line.newTab}
                      onChange={(e) => {
                        setLine(at, i, { newTab: e.target.checked });
                      }}
                    />
                    new tab
                  </label>
                  {(['up', 'down', 'in', 'out'] as const).map((way) => (
                    <Button
                      key={way}
                      look="quiet"
                      aria-label={`Move link ${i + 1} ${way}`}
                      onClick={() => {
                        set(at, { lines: moved(menu.lines, i, way) });
                      }}
                    >
                      {way}
                    </Button>
                  ))}
                  <Button
                    look="quiet"
                    aria-label={`Take link ${i + 1} away`}
                    onClick={() => {
                      set(at, { lines: menu.lines.filter((_, j) => j !== i) });
                    }}
                  >
                    take away
                  </Button>
                </span>
              </li>
            ))}
          </ol>
          <Button
            look="quiet"
            className="mt-2"
            onClick={() => {
              set(at, { lines: [...menu.lines, { words: '', link: '', newTab: false, depth: 0 }] });
            }}
          >
            Add a link
          </Button>
        </section>
      ))}
      <Button
        look="quiet"
        className="mt-6"
        onClick={() => {
          setDrafts([...drafts, { name: `Menu ${drafts.length + 1}`, lines: [] }]);
        }}
      >
        Add a menu
      </Button>
      <div className="mt-5">
        <KeepLine
          what="menus"
          changed={changed}
          kept={kept}
          problem={problem}
          onKeep={() => void keep()}
        />
      </div>
    </div>
  );
}
