import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { fetchText, type Problem, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { count } from '../../ui/count';
import { Empty, Mark } from '../../ui/States';
import { useWidth } from '../../ui/useWidth';
import { Frame } from '../../workbench/canvas/Frame';
import { inputClass } from '../../ui/inputClass';
import { DraftInput } from '../../ui/DraftInput';
import { useDraft } from '../../ui/useDraft';
import { LookChoice } from './LookChoice';
import type { Parts } from './parts';
import { UsesButton } from '../uses/UsesButton';
import { InFinishes } from './InFinishes';
import { ReachLine } from './ReachLine';
import { Swatch } from './Swatch';
import { useReach, type FinishesEdit } from './useFinishes';

type Row = Schemas['StyleRow'];
type Props = Parts & { params: URLSearchParams };

/** Kinds that have no words of their own to show. */
const wordless = ['page', 'section', 'row', 'column', 'picture', 'icon'].map(
  (kind) => `kind:${kind}`,
);

/** Bundles of settings with a name, and how every element of a kind looks, each shown as it is. */
export function NamedStyles({ table, look, edit, set, params }: Props) {
  const visible = table.styles.filter((style) => style.site === '' || style.site === look);
  const named = visible.filter((style) => !style.id.startsWith('kind:'));
  const kinds = visible.filter((style) => style.id.startsWith('kind:'));
  const chosen = visible.find((style) => style.id === params.get('style')) ?? visible[0];
  const [name, setName] = useState('');
  const [problem, setProblem] = useState('');
  const add = async () => {
    const failed = await edit({ type: 'ADD_STYLE', site: '', name });
    setProblem(failed?.message ?? '');
    if (!failed) setName('');
  };
  const list = (rows: readonly Row[]) =>
    rows.map((style) => (
      <li key={style.id}>
        <button
          type="button"
          aria-current={style.id === chosen?.id}
          onClick={() => {
            set({ style: style.id });
          }}
          className="grid grid-cols-[170px_minmax(0,1fr)] gap-4 items-center w-full text-left border-b border-hair py-1.5 pl-5 pr-3 hover:bg-sheet aria-[current=true]:bg-sheet aria-[current=true]:shadow-[inset_3px_0_0_var(--color-ink)]"
        >
          <span>
            <span className="font-semibold">{style.name}</span>{' '}
            {style.site !== '' && <Mark tone="local">client’s own</Mark>}
            <span className="block text-soft text-[12.5px]">
              {count(style.settings.length, 'setting')}
              {!style.id.startsWith('kind:') && `, on ${count(style.places, 'node')}`}
            </span>
          </span>
          {wordless.includes(style.id) ? <span /> : <Sample style={style.id} look={look} />}
        </button>
      </li>
    ));
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_520px] min-h-0">
      <section
        aria-label="Named styles"
        className="min-h-0 overflow-y-auto [scrollbar-width:thin] pb-6"
      >
        <div className="px-5 py-2 flex items-center gap-5">
          <LookChoice table={table} look={look} set={set} />
          <form
            className="flex items-center gap-2 ml-auto"
            onSubmit={(e) => {
              e.preventDefault();
              void add();
            }}
          >
            <input
              aria-label="Name of a new style"
              placeholder="Name of a new style"
              className={inputClass}
              value={name}
              onChange={(e) => {
                setName(e.target.value);
              }}
            />
            <Button type="submit" disabled={name.trim() === ''}>
              Add
            </Button>
          </form>
        </div>
        {problem && (
          <p role="alert" className="px-5 text-brick">
            {problem}
          </p>
        )}
        {named.length === 0 && (
          <div className="px-5">
            <Empty>
              No named style yet. Add one here, or make one on the workbench from an element’s own
              settings.
            </Empty>
          </div>
        )}
        <ul className="border-t border-line">{list(named)}</ul>
        <h2 className="px-5 pt-5 pb-1 text-[15px]">How every element of a kind looks</h2>
        <ul className="border-t border-line">{list(kinds)}</ul>
      </section>
      {chosen && <StyleDetail key={chosen.id} style={chosen} table={table} edit={edit} set={set} />}
    </div>
  );
}

/** Draws one named style, in a frame of its own. */
function Sample({ style, look }: { style: string; look: string }) {
  const [area, room] = useWidth<HTMLSpanElement>();
  const html = useQuery({
    queryKey: ['specimen', 'style', style, look],
    queryFn: () =>
      fetchText(
        `/api/finishes/sample?site=${encodeURIComponent(look)}&style=${encodeURIComponent(style)}`,
      ),
    placeholderData: (before) => before,
  });
  const width = 720;
  return (
    <span
      ref={area}
      className="block max-h-20 overflow-hidden outline outline-1 outline-hair pointer-events-none"
    >
      {html.data && room > 0 && (
        <Frame
          html={html.data}
          title={`Sample of ${style}`}
          width={width}
          screen={80}
          scale={room / width}
        />
      )}
    </span>
  );
}

type DetailProps = Pick<Parts, 'table' | 'edit' | 'set'> & { style: Row };

function StyleDetail({ style, table, edit, set }: DetailProps) {
  const ofKind = style.id.startsWith('kind:');
  const [problem, setProblem] = useState('');
  const name = useDraft(style.name, (value) =>
    edit({ type: 'RENAME_STYLE', site: style.site, style: style.id, name: value }),
  );
  const run = async (body: Parameters<Parts['edit']>[0]) => {
    const failed = await edit(body);
    setProblem(failed?.message ?? '');
    return failed;
  };
  const bases = table.styles.filter(
    (other) =>
      !other.id.startsWith('kind:') &&
      other.id !== style.id &&
      (other.site === '' || other.site === style.site),
  );
  return (
    <aside
      aria-label="Style in hand"
      className="border-l border-line bg-sheet min-h-0 overflow-y-auto [scrollbar-width:thin] p-5 text-[13px]"
    >
      {ofKind ? (
        <h2 className="text-[16px]">{style.name}</h2>
      ) : (
        <DraftInput
          draft={name}
          aria-label="Name of the style"
          className="font-title font-semibold text-[16px] w-full border-b border-line focus:border-verdigris bg-transparent"
        />
      )}
      {name.problem && (
        <p role="alert" className="text-brick">
          {name.problem.message}
        </p>
      )}
      {!ofKind && (
        <label className="flex items-center gap-2 mt-2">
          <span className="text-soft whitespace-nowrap">builds on</span>
          <select
            value={style.basedOn}
            className={inputClass}
            onChange={(e) =>
              void run({
                type: 'BASE_STYLE',
                site: style.site,
                style: style.id,
                by: e.target.value,
              })
            }
          >
            <option value="">nothing, it stands alone</option>
            {bases.map((base) => (
              <option key={base.id} value={base.id}>
                {base.name}
              </option>
            ))}
          </select>
        </label>
      )}
      <Settings style={style} edit={edit} />
      {problem && (
        <p role="alert" className="text-brick mt-2">
          {problem}
        </p>
      )}
      {!ofKind && (
        <div className="mt-4 flex gap-4">
          <UsesButton
            of={{ kind: 'style', id: style.id, name: style.name }}
            site={style.site || (table.sites[0]?.id ?? '')}
          >
            <InFinishes style={style.id} />
          </UsesButton>
          <Button
            look="quiet"
            onClick={() =>
              void run({ type: 'REMOVE_STYLE', site: style.site, style: style.id }).then(
                (failed) => {
                  if (!failed) set({ style: '' });
                },
              )
            }
          >
            Delete
          </Button>
        </div>
      )}
    </aside>
  );
}

const devices = ['desktop', 'tablet', 'phone'];

function Settings({ style, edit }: { style: Row; edit: Parts['edit'] }) {
  const [property, setProperty] = useState(style.may[0]?.property ?? '');
  const [device, setDevice] = useState('desktop');
  const [state, setState] = useState('normal');
  const [value, setValue] = useState('');
  const [problem, setProblem] = useState<Problem>();
  const [trying, setTrying] = useState<FinishesEdit>();
  const reach = useReach(trying);
  const body = (
    setting: { property: string; device: string; state: string },
    next: string,
  ): FinishesEdit => ({
    type: 'SET_STYLE',
    site: style.site,
    style: style.id,
    property: setting.property,
    device: setting.device,
    state: setting.state,
    value: next,
  });
  const put = (setting: { property: string; device: string; state: string }, next: string) => {
    setTrying(undefined);
    return edit(body(setting, next));
  };
  const form = style.may.find((p) => p.property === property)?.form ?? '';
  const add = async () => {
    const failed = await put({ property, device, state }, value);
    setProblem(failed);
    if (!failed) setValue('');
  };
  return (
    <>
      <table className="w-full mt-4 border-t border-line">
        <tbody>
          {style.settings.map((setting) => (
            <SettingRow
              key={`${setting.property} ${setting.device} ${setting.state}`}
              setting={setting}
              onSet={(next) => put(setting, next)}
              onTry={(next) => {
                setTrying(next === undefined ? undefined : body(setting, next));
              }}
            />
          ))}
        </tbody>
      </table>
      {style.settings.length === 0 && (
        <p className="text-soft mt-2">It sets nothing yet. Add its first setting below.</p>
      )}
      <form
        aria-label="Add a setting"
        className="grid grid-cols-[minmax(0,1.3fr)_84px_84px] gap-2 mt-4 border-t border-line pt-3"
        onSubmit={(e) => {
          e.preventDefault();
          void add();
        }}
      >
        <select
          aria-label="Property"
          className={inputClass}
          value={property}
          onChange={(e) => {
            setProperty(e.target.value);
          }}
        >
          {style.may.map((p) => (
            <option key={p.property} value={p.property}>
              {p.label}
            </option>
          ))}
        </select>
        <select
          aria-label="Device"
          className={inputClass}
          value={device}
          onChange={(e) => {
            setDevice(e.target.value);
          }}
        >
          {devices.map((d) => (
            <option key={d}>{d}</option>
          ))}
        </select>
        <select
          aria-label="State"
          className={inputClass}
          value={state}
          onChange={(e) => {
            setState(e.target.value);
          }}
        >
          {style.states.map((s) => (
            <option key={s}>{s}</option>
          ))}
        </select>
        <input
          aria-label="Value of the setting"
          className={`${inputClass} col-span-2`}
          placeholder={form}
          value={value}
          onChange={(e) => {
            setValue(e.target.value);
            setTrying(
              e.target.value.trim() === ''
                ? undefined
                : body({ property, device, state }, e.target.value),
            );
          }}
        />
        <Button type="submit" disabled={value.trim() === ''}>
          Add
        </Button>
        {problem && (
          <p role="alert" className="col-span-3 text-brick">
            {problem.message}
          </p>
        )}
      </form>
      {trying && (
        <div aria-label="Reach of the setting" role="group" className="mt-3 min-h-10">
          {reach.data && <ReachLine reach={reach.data.reach} />}
        </div>
      )}
    </>
  );
}

type SettingProps = {
  setting: Schemas['SettingView'];
  onSet: (value: string) => Promise<Problem | undefined>;
  /** Told what is being typed; nothing once it is left. */
  onTry: (value: string | undefined) => void;
};

function SettingRow({ setting, onSet, onTry }: SettingProps) {
  const draft = useDraft(setting.value, onSet);
  const where = [setting.device, setting.state].filter((w) => w !== 'desktop' && w !== 'normal');
  const title = `${setting.label}${where.length > 0 ? `, ${where.join(', ')}` : ''}`;
  return (
    <tr className="border-b border-hair align-top">
      <th scope="row" className="text-left font-medium py-1.5 pr-2 w-44">
        {setting.label}
        {where.length > 0 && <span className="font-normal text-soft"> {where.join(', ')}</span>}
      </th>
      <td className="py-1">
        <span className="flex items-center gap-1.5">
          {/^(#|rgb|oklch)/.test(setting.css) && <Swatch css={setting.css} className="size-4" />}
          <DraftInput
            draft={draft}
            onTry={onTry}
            aria-label={title}
            className={inputClass}
            title={setting.css}
          />
          <Button look="quiet" aria-label={`Remove ${title}`} onClick={() => void onSet('')}>
            Remove
          </Button>
        </span>
        {draft.problem && (
          <p role="alert" className="text-brick">
            {draft.problem.message}
          </p>
        )}
      </td>
    </tr>
  );
}
