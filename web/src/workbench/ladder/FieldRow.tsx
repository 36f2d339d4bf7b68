import { useQuery } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type Problem } from '../../api/client';
import { LinkField } from '../../features/sites/LinkField';
import { Button } from '../../ui/Button';
import { inputClass } from '../../ui/inputClass';
import { ProblemLine } from '../../ui/ProblemLine';
import { DraftInput } from '../../ui/DraftInput';
import { IconField } from './IconField';
import { PicturePicker } from './PicturePicker';
import { isOfPage } from '../engine/items';
import type { AskedEdit, FieldView, NodeView } from '../engine/source';
import { useDraft } from '../../ui/useDraft';

type Props = {
  field: FieldView;
  node: NodeView;
  inPiece: boolean;
  /** The client in whose look it is, and the page, for what links lead to. */
  site: string;
  page: string;
  /** Whether it stands in an item of a list, which may show a page. */
  inItem: boolean;
  onEdit: (edit: AskedEdit) => Promise<Problem | undefined>;
};

type SlotProps = Omit<Props, 'site' | 'page' | 'inItem'>;

/** A content field of the thing in hand. */
export function FieldRow({ field, node, inPiece, site, page, inItem, onEdit }: Props) {
  const id = useId();
  const [refused, setRefused] = useState('');
  const set = async (value: string, more: { newTab?: boolean } = {}) => {
    const failed = await onEdit({ type: 'FIELD', node: node.id, field: field.key, value, ...more });
    setRefused(failed?.message ?? '');
  };
  return (
    <div className="mb-2">
      <div className="flex justify-between items-baseline text-[12.5px] mb-0.5">
        <label htmlFor={id} className="font-medium">
          {field.label}
        </label>
        <SlotState field={field} node={node} inPiece={inPiece} onEdit={onEdit} />
      </div>
      {field.type === 'picture' ? (
        <PictureField
          id={id}
          field={field}
          node={node}
          site={site}
          inItem={inItem}
          onEdit={onEdit}
        />
      ) : field.type === 'icon' ? (
        <IconField id={id} value={field.value} onChange={(icon) => set(icon)} />
      ) : field.type === 'level' ? (
        <select
          id={id}
          className={inputClass}
          value={field.value || '2'}
          onChange={(e) =>
            void onEdit({ type: 'FIELD', node: node.id, field: field.key, value: e.target.value })
          }
        >
          {['1', '2', '3', '4', '5', '6'].map((level) => (
            <option key={level} value={level}>
              Level {level}
            </option>
          ))}
        </select>
      ) : field.type === 'link' ? (
        <>
          <LinkField
            label={field.label}
            site={site}
            page={page}
            value={field.value}
            onChange={(link) => void set(link, { newTab: field.newTab })}
          />
          {field.value !== '' && (
            <label className="mt-1 flex items-center gap-1.5 text-[12.5px]">
              <input
                type="checkbox"
                className="accent-verdigris"
                checked={field.newTab}
                onChange={(e) => void set(field.value, { newTab: e.target.checked })}
              />
              Open it in a new tab
            </label>
          )}
        </>
      ) : field.type === 'menu' ? (
        <MenuField id={id} site={site} value={field.value} onChange={(menu) => void set(menu)} />
      ) : (
        <TextField id={id} field={field} node={node} onEdit={onEdit} />
      )}
      {refused && (
        <p role="alert" className="text-brick text-[12.5px] mt-0.5">
          {refused}
        </p>
      )}
      {inPiece && node.placement === '' && field.filled !== 'fixed' ? (
        <WantFields field={field} node={node} onEdit={onEdit} />
      ) : (
        <WantLine field={field} />
      )}
    </div>
  );
}

/** What the author wants in the slot, and whether what stands there misses it. */
function WantLine({ field }: { field: FieldView }) {
  if (!field.want) return null;
  return (
    <p className={`text-[12px] mt-0.5 ${field.missed ? 'text-ochre' : 'text-soft'}`}>
      {field.missed || wantWords(field.want)}
    </p>
  );
}

function wantWords({ from, to, ratio, purpose }: NonNullable<FieldView['want']>): string {
  const length =
    from > 0 && to > 0
      ? `${String(from)} to ${String(to)} characters`
      : to > 0
        ? `at most ${String(to)} characters`
        : from > 0
          ? `at least ${String(from)} characters`
          : '';
  return [purpose, length, ratio && `a picture of ${ratio}`].filter((part) => part).join(' · ');
}

const wantClass = 'border border-line bg-sheet px-1 py-px text-ink rounded-[2px] min-w-0';

/** The author says what a slot wants: its length or ratio, and what it is for. */
function WantFields({ field, node, onEdit }: Omit<SlotProps, 'inPiece'>) {
  if (field.type !== 'words' && field.type !== 'picture') return null;
  const want = field.want ?? { from: 0, to: 0, ratio: '', purpose: '' };
  // One part is said at a time: another that is on its way still holds.
  const say = (part: { from?: number; to?: number; ratio?: string; purpose?: string }) =>
    onEdit({ type: 'WANT', node: node.id, field: field.key, ...part });
  const number = (text: string) => Math.max(0, Math.round(Number(text)) || 0);
  const name = field.label.toLowerCase();
  return (
    <details className="text-[12px] text-soft mt-0.5" open={field.want ? true : undefined}>
      <summary className="cursor-pointer">
        What it wants{field.missed && <span className="text-ochre"> · {field.missed}</span>}
      </summary>
      <div className="flex items-center gap-1 mt-1 flex-wrap">
        {field.type === 'words' ? (
          <>
            from
            <WantInput
              label={`Fewest characters of ${name}`}
              value={want.from === 0 ? '' : String(want.from)}
              width="w-10"
              save={(typed) => say({ from: number(typed) })}
            />
            to
            <WantInput
              label={`Most characters of ${name}`}
              value={want.to === 0 ? '' : String(want.to)}
              width="w-12"
              save={(typed) => say({ to: number(typed) })}
            />
            characters
          </>
        ) : (
          <>
            ratio
            <WantInput
              label={`Ratio of ${name}`}
              placeholder="3 / 2"
              value={want.ratio}
              width="w-16"
              save={(typed) => say({ ratio: typed.trim() })}
            />
          </>
        )}
        <WantInput
          label={`What ${name} is for`}
          placeholder="what it is for"
          value={want.purpose}
          width="w-full"
          save={(typed) => say({ purpose: typed.trim() })}
        />
      </div>
    </details>
  );
}

type WantInputProps = {
  label: string;
  value: string;
  width: string;
  placeholder?: string;
  save: (typed: string) => Promise<Problem | undefined>;
};

function WantInput({ label, value, width, placeholder, save }: WantInputProps) {
  const id = useId();
  const draft = useDraft(value, save);
  return (
    <>
      <DraftInput
        draft={draft}
        aria-label={label}
        aria-describedby={id}
        placeholder={placeholder}
        maxLength={120}
        className={`${wantClass} ${width}`}
      />
      <ProblemLine id={id} problem={draft.problem} />
    </>
  );
}

type MenuProps = { id: string; site: string; value: string; onChange: (menu: string) => void };

/** Which of the site's menus is shown. */
function MenuField({ id, site, value, onChange }: MenuProps) {
  const menus = useQuery({
    queryKey: ['menus', site],
    queryFn: () => answer(api.GET('/api/sites/{id}/menus', { params: { path: { id: site } } })),
    enabled: site !== '',
  });
  const names = menus.data?.menus.map(({ name }) => name) ?? [];
  const offered = names.includes(value) || value === '' ? names : [value, ...names];
  return (
    <>
      <select
        id={id}
        className={inputClass}
        value={value}
        onChange={(e) => {
          onChange(e.target.value);
        }}
      >
        {offered.map((name) => (
          <option key={name} value={name}>
            {name}
          </option>
        ))}
      </select>
      <p className="text-[12px] text-soft mt-0.5">
        {value !== '' && !names.includes(value) && menus.data
          ? 'This client has none of that name. '
          : ''}
        <Link to={`/sites/${site}?tab=menus`} className="text-verdigris hover:underline">
          Work on the menus
        </Link>
      </p>
    </>
  );
}

function SlotState({ field, node, inPiece, onEdit }: SlotProps) {
  if (field.key === 'level' && !field.local) return null;
  if (inPiece && node.placement === '') {
    return (
      <select
        aria-label={`Who fills ${field.label.toLowerCase()}`}
        className="border border-line bg-sheet text-soft text-[12px] rounded-[2px] max-w-[150px]"
        value={field.filled}
        onChange={(e) =>
          void onEdit({
            type: 'SLOT',
            node: node.id,
            field: field.key,
            filled: filledBy[e.target.value] ?? 'FIXED',
          })
        }
      >
        <option value="fixed">fixed here</option>
        <option value="own">slot of each placement</option>
        <option value="site">slot of the whole site</option>
      </select>
    );
  }
  if (node.placement === '') return null;
  if (!field.local) return <span className="text-soft">{unfilled[field.filled]}</span>;
  const ofSite = field.filled === 'site';
  return (
    <span className={field.filled === 'fixed' ? 'text-ochre' : 'text-verdigris'}>
      {ofSite
        ? 'filled for the whole site'
        : field.filled === 'own'
          ? 'slot, filled here'
          : 'local change'}{' '}
      ·{' '}
      <button
        type="button"
        className="underline underline-offset-2"
        title={`The piece says “${field.library}”`}
        onClick={() =>
          void onEdit({ type: 'RESET', node: node.id, aspect: `content ${field.key}` })
        }
      >
        use the piece’s
      </button>
    </span>
  );
}

const filledBy: Record<string, 'FIXED' | 'OWN' | 'SITE'> = {
  fixed: 'FIXED',
  own: 'OWN',
  site: 'SITE',
};

const unfilled: Record<string, string> = {
  fixed: 'fixed in the piece',
  own: 'slot, not filled yet',
  site: 'slot of the whole site',
};

type TextProps = Omit<Props, 'inPiece' | 'site' | 'page' | 'inItem'> & { id: string };

function TextField({ id, field, node, onEdit }: TextProps) {
  const draft = useDraft(field.value, (value) =>
    onEdit({ type: 'FIELD', node: node.id, field: field.key, value }),
  );
  const shared = {
    id,
    className: `${inputClass} ${draft.problem ? 'border-brick' : ''}`,
    value: draft.text,
    'aria-invalid': draft.problem !== undefined,
    'aria-describedby': `${id}-problem`,
    onBlur: () => void draft.leave(),
  };
  return (
    <>
      {field.type === 'words' ? (
        <textarea
          {...shared}
          rows={Math.min(5, Math.max(1, Math.ceil(draft.text.length / 32)))}
          onChange={(e) => {
            draft.typed(e.target.value);
          }}
          onKeyDown={(e) => {
            if (e.key === 'Enter' && !e.shiftKey) {
              e.preventDefault();
              void draft.commit();
            } else if (e.key === 'Escape') {
              draft.drop();
              e.currentTarget.blur();
            }
          }}
        />
      ) : (
        <DraftInput
          draft={draft}
          id={id}
          className={shared.className}
          aria-describedby={`${id}-problem`}
        />
      )}
      <ProblemLine id={`${id}-problem`} problem={draft.problem} />
    </>
  );
}

/** The picture that only shows where a real one goes. */
const STAND_IN = 'stand-in';

type PictureProps = TextProps & { site: string; inItem: boolean };

function PictureField({ id, field, node, site, inItem, onEdit }: PictureProps) {
  const [open, setOpen] = useState(false);
  const chosen = field.value === STAND_IN ? '' : field.value;
  return (
    <div className="flex items-center gap-2">
      {isOfPage(field.value) ? (
        <span className="text-soft text-[12.5px]">of the page shown</span>
      ) : field.value ? (
        <img
          src={`/api/pictures/${field.value}/file`}
          alt=""
          className="w-16 h-9 object-cover border border-line"
        />
      ) : (
        <span className="w-16 h-9 border border-dashed border-line" />
      )}
      <Button
        id={id}
        className="!py-1 text-[13px]"
        onClick={() => {
          setOpen(true);
        }}
      >
        {chosen ? 'Choose another' : 'Choose a picture'}
      </Button>
      <PicturePicker
        open={open}
        site={site}
        chosen={chosen}
        said={{ alt: field.alt, decoration: field.decoration }}
        behind={node.kind === 'section'}
        inItem={inItem}
        onClose={() => {
          setOpen(false);
        }}
        onChoose={(value, said) =>
          onEdit({ type: 'FIELD', node: node.id, field: field.key, value, ...said })
        }
      />
    </div>
  );
}
