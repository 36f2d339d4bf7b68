import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { useId, useState } from 'react';
import { Link } from 'react-router';
import type { Problem, Schemas } from '../../api/client';
import { DraftInput } from '../../ui/DraftInput';
import { ProblemLine } from '../../ui/ProblemLine';
import type { DeviceKey } from '../engine/devices';
import type { AskedEdit, NodeView, StyleView } from '../engine/source';
import { useDraft } from '../../ui/useDraft';

type Props = {
  style: StyleView;
  node: NodeView;
  /** All that is in hand. */
  nodes: readonly string[];
  device: DeviceKey;
  state: string;
  /** In whose look it is drawn. */
  site: string;
  tokens: readonly Schemas['TokenChoice'][];
  onEdit: (edit: AskedEdit) => Promise<Problem | undefined>;
  onPick: (node: string) => void;
};

const isColour = (css: string) => /^(#|rgb|oklch|hsl)/.test(css);

/** One style setting: what is set here, what it is worth, and, unfolded, why. */
export function StyleRow({
  style,
  node,
  nodes,
  device,
  state,
  site,
  tokens,
  onEdit,
  onPick,
}: Props) {
  const id = useId();
  const [why, setWhy] = useState(false);
  const setFor = (on: string, value: string) =>
    onEdit({
      type: 'STYLE',
      nodes: [...nodes],
      property: style.property,
      device: on,
      state,
      value,
    });
  const set = (value: string) => setFor(device, value);
  const carry = (down: boolean) =>
    void onEdit({
      type: 'CARRY',
      node: node.id,
      property: style.property,
      device,
      state,
      down,
    });
  const draft = useDraft(style.here, set);
  const alone = nodes.length === 1;
  const swatch = isColour(style.css) && !style.mixed;
  const fitting = style.nearest.flatMap(
    (name) => tokens.find((token) => token.name === name) ?? [],
  );
  return (
    <div className="py-[3px]">
      <div className="grid grid-cols-[92px_minmax(0,1fr)_20px_30px] gap-x-1.5 items-center">
        <label htmlFor={id} className="text-[12.5px] leading-tight">
          {style.label}
        </label>
        <span className="relative">
          {swatch && (
            <span
              aria-hidden
              className="absolute left-1.5 top-1.5 size-3.5 border border-line"
              style={{ background: style.css }}
            />
          )}
          <DraftInput
            draft={draft}
            id={id}
            placeholder={style.mixed ? 'differ' : style.value}
            title={style.value === style.css ? style.value : `${style.value} = ${style.css}`}
            aria-describedby={`${id}-problem`}
            className={`w-full border px-2 py-[3px] text-[12.5px] rounded-[2px] placeholder:text-soft hover:border-soft ${
              swatch ? 'pl-7' : ''
            } ${draft.problem ? 'border-brick' : 'border-line'} ${style.local ? 'bg-ochre-tint' : 'bg-sheet'}`}
          />
        </span>
        <TokenMenu
          label={style.label}
          tokens={fitting}
          bound={style.bound}
          onChoose={(name) => void draft.commit(`{${name}}`)}
        />
        {alone && (
          <button
            type="button"
            aria-expanded={why}
            aria-label={`Why ${style.label.toLowerCase()} is so`}
            onClick={() => {
              setWhy(!why);
            }}
            className="text-verdigris text-[12.5px] hover:underline"
          >
            why
          </button>
        )}
      </div>
      <ProblemLine id={`${id}-problem`} problem={draft.problem} />
      {(style.devices.length > 1 || style.devices.some((d) => d !== 'desktop')) && (
        <p className="flex gap-1 mt-0.5 ml-[98px] text-[11.5px]">
          {style.devices.map((d) => (
            <span
              key={d}
              className={`inline-flex items-center gap-1 px-1 border ${d === device ? 'border-verdigris text-verdigris-deep bg-verdigris-tint' : 'border-line text-soft'}`}
            >
              {d}
              <button
                type="button"
                aria-label={`Take the ${d} value of ${style.label.toLowerCase()} away`}
                title={`Take the ${d} value away`}
                className="size-6 -mr-1 grid place-items-center hover:bg-board"
                onClick={() => void setFor(d, '')}
              >
                ×
              </button>
            </span>
          ))}
        </p>
      )}
      {why && style.here !== '' && (
        <p className="flex gap-3 text-[12.5px] text-verdigris">
          <button
            type="button"
            className="hover:underline"
            onClick={() => {
              carry(false);
            }}
          >
            Carry up a rung
          </button>
          <button
            type="button"
            className="hover:underline"
            onClick={() => {
              carry(true);
            }}
          >
            Carry down a rung
          </button>
        </p>
      )}
      {why && (
        <Trail
          style={style}
          node={node}
          site={site}
          onPick={onPick}
          onBack={() =>
            void onEdit({ type: 'BACK', node: node.id, property: style.property, device, state })
          }
        />
      )}
    </div>
  );
}

type TokenMenuProps = {
  label: string;
  /** The nearest first. */
  tokens: readonly Schemas['TokenChoice'][];
  /** The token that it is bound to; empty for a literal. */
  bound: string;
  onChoose: (name: string) => void;
};

function TokenMenu({ label, tokens, bound, onChoose }: TokenMenuProps) {
  if (tokens.length === 0) return <span />;
  return (
    <Menu>
      <MenuButton
        aria-label={`Take a token for ${label.toLowerCase()}`}
        title={bound ? `Bound to ${bound}` : 'A literal; bind it to a token'}
        className={`size-5 text-[13px] leading-none border rounded-[2px] hover:border-ink ${
          bound
            ? 'bg-verdigris-tint border-verdigris text-verdigris-deep'
            : 'bg-sheet border-line text-soft'
        }`}
      >
        {'{}'}
      </MenuButton>
      <MenuItems
        anchor="bottom end"
        className="z-30 bg-paper border border-ink py-1 text-[12.5px] max-h-72 w-64 focus:outline-none"
      >
        {tokens.map((token) => (
          <MenuItem key={token.name}>
            <button
              type="button"
              onClick={() => {
                onChoose(token.name);
              }}
              className="flex w-full items-center gap-2 px-2.5 py-1 text-left data-focus:bg-verdigris-tint"
            >
              {isColour(token.css) && (
                <span className="size-3.5 border border-line" style={{ background: token.css }} />
              )}
              <span className={token.name === bound ? 'font-semibold' : ''}>{token.name}</span>
              <span className="ml-auto text-soft truncate max-w-28">{token.css}</span>
            </button>
          </MenuItem>
        ))}
      </MenuItems>
    </Menu>
  );
}

type TrailProps = Pick<Props, 'style' | 'node' | 'site' | 'onPick'> & { onBack: () => void };

/** Every value that could have been shown, in order; the one that is shown stands out. */
function Trail({ style, node, site, onPick, onBack }: TrailProps) {
  return (
    <div
      className={`border-l-[3px] ${style.local ? 'border-ochre' : 'border-verdigris'} pl-2.5 my-1.5 text-[12.5px]`}
    >
      <ol aria-label={`Source trail of ${style.label.toLowerCase()}`}>
        {style.trail.map((step, i) => (
          <li key={i} className={step.won ? 'font-semibold' : 'text-soft'}>
            <TrailSource step={step} here={node.id} site={site} onPick={onPick} />
            {step.device !== 'desktop' && `, ${step.device}`}
            {step.state !== 'normal' && `, ${step.state}`}:{' '}
            <span className={step.won ? '' : 'line-through'}>
              {step.value}
              {step.css !== step.value && step.css !== '' && ` = ${step.css}`}
            </span>
            {step.token !== '' && (
              <Link
                to={`/finishes?token=${encodeURIComponent(step.token)}&look=${site}&column=${step.own ? site : ''}`}
                className="ml-1.5 font-normal text-verdigris hover:underline"
              >
                change the token
              </Link>
            )}
          </li>
        ))}
      </ol>
      {style.back !== '' && (
        <button type="button" className="text-verdigris hover:underline text-left" onClick={onBack}>
          One step back: {style.back}
        </button>
      )}
    </div>
  );
}

type SourceProps = {
  step: StyleView['trail'][number];
  here: string;
  site: string;
  onPick: (node: string) => void;
};

/** Where a candidate comes from, with a way there. */
function TrailSource({ step, here, site, onPick }: SourceProps) {
  if (step.node !== here) {
    return (
      <button
        type="button"
        className="underline underline-offset-2"
        onClick={() => {
          onPick(step.node);
        }}
      >
        {step.source}
      </button>
    );
  }
  return step.style === '' ? (
    step.source
  ) : (
    <Link
      to={`/finishes?tab=styles&look=${site}&style=${encodeURIComponent(step.style)}`}
      className="underline underline-offset-2"
    >
      {step.source}
    </Link>
  );
}
