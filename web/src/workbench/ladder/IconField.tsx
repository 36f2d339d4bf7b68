import { Radio, RadioGroup } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { inputClass } from '../../ui/inputClass';
import { Sheet } from '../../ui/Sheet';
import { Empty, Failed, Loading } from '../../ui/States';

type Icon = Schemas['Icon'];

const SOLID = ' solid';

/** What an icon is called, for a reader. */
function titleOf(name: string): string {
  const words = name.replaceAll('-', ' ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}

function Drawing({ icon, solid, size }: { icon: Icon; solid: boolean; size: number }) {
  const filled = solid && icon.solid.length > 0;
  return (
    <svg
      viewBox="0 0 24 24"
      width={size}
      height={size}
      aria-hidden
      fill={filled ? 'currentColor' : 'none'}
      stroke={filled ? 'none' : 'currentColor'}
      strokeWidth={2}
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      {(filled ? icon.solid : icon.outline).map((path) => (
        <path key={path} d={path} />
      ))}
    </svg>
  );
}

type Props = {
  id: string;
  /** The name of an icon, with “solid” after it if it is; empty for none. */
  value: string;
  /** Whether there need be none. */
  mayBeNone?: boolean;
  /** Whether it is for a link to a service: the marks for services are shown first. */
  isService?: boolean;
  onChange: (icon: string) => Promise<void> | void;
};

/** Which icon stands there. */
export function IconField(props: Props) {
  const { id, value, mayBeNone = false, isService = false, onChange } = props;
  const [open, setOpen] = useState(false);
  const icons = useQuery({
    queryKey: ['icons'],
    queryFn: () => answer(api.GET('/api/icons')),
    staleTime: Infinity,
  });
  const solid = value.endsWith(SOLID);
  const name = solid ? value.slice(0, -SOLID.length) : value;
  const here = icons.data?.find((icon) => icon.name === name);
  return (
    <>
      <button
        id={id}
        type="button"
        className={`${inputClass} flex items-center gap-2 text-left`}
        onClick={() => {
          setOpen(true);
        }}
      >
        {here && <Drawing icon={here} solid={solid} size={18} />}
        {name !== '' ? titleOf(name) : mayBeNone ? 'No icon' : 'Choose an icon'}
        {here && solid && here.solid.length > 0 && <span className="text-soft">solid</span>}
      </button>
      <Sheet
        open={open}
        onClose={() => {
          setOpen(false);
        }}
        title="Choose an icon"
        wide
      >
        {icons.error ? (
          <Failed error={icons.error} retry={() => void icons.refetch()} />
        ) : icons.data ? (
          <Choice
            icons={isService ? servicesFirst(icons.data) : icons.data}
            chosen={name}
            solid={solid}
            mayBeNone={mayBeNone}
            onChoose={async (icon) => {
              await onChange(icon);
              setOpen(false);
            }}
          />
        ) : (
          <Loading what="the icons" />
        )}
      </Sheet>
    </>
  );
}

/** The marks for services before all other icons. */
function servicesFirst(icons: readonly Icon[]): readonly Icon[] {
  return [...icons.filter((icon) => icon.service), ...icons.filter((icon) => !icon.service)];
}

type ChoiceProps = {
  icons: readonly Icon[];
  chosen: string;
  solid: boolean;
  mayBeNone: boolean;
  onChoose: (icon: string) => Promise<void>;
};

const forms = [
  { solid: false, title: 'Outline' },
  { solid: true, title: 'Solid' },
];

function Choice({ icons, chosen, solid, mayBeNone, onChoose }: ChoiceProps) {
  const [words, setWords] = useState('');
  const [wantsSolid, setWantsSolid] = useState(solid);
  const wanted = words.trim().toLowerCase();
  const found = icons.filter(
    (icon) =>
      titleOf(icon.name).toLowerCase().includes(wanted) && (!wantsSolid || icon.solid.length > 0),
  );
  return (
    <>
      <div className="flex items-center gap-4">
        <input
          type="search"
          autoFocus
          aria-label="Name of an icon"
          placeholder="Name of an icon"
          className={`${inputClass} max-w-[280px]`}
          value={words}
          onChange={(event) => {
            setWords(event.target.value);
          }}
        />
        <RadioGroup
          aria-label="Form"
          value={wantsSolid}
          onChange={setWantsSolid}
          className="flex border border-line"
        >
          {forms.map((form) => (
            <Radio
              key={form.title}
              value={form.solid}
              className="px-3 py-1 text-[13px] cursor-pointer data-checked:bg-ink data-checked:text-white"
            >
              {form.title}
            </Radio>
          ))}
        </RadioGroup>
        {mayBeNone && chosen !== '' && (
          <Button look="quiet" onClick={() => void onChoose('')}>
            No icon
          </Button>
        )}
        <span role="status" className="ml-auto text-[13px] text-soft">
          {found.length} of {icons.length}
        </span>
      </div>
      {found.length === 0 ? (
        <Empty>No icon is called “{words.trim()}”.</Empty>
      ) : (
        <ul className="mt-4 grid grid-cols-[repeat(auto-fill,minmax(88px,1fr))] gap-1 max-h-[420px] overflow-y-auto p-1">
          {found.map((icon) => (
            <li key={icon.name}>
              <button
                type="button"
                aria-pressed={icon.name === chosen && wantsSolid === solid}
                className="w-full grid justify-items-center gap-1.5 px-1 py-2.5 text-[12px] text-soft hover:text-ink hover:bg-verdigris-tint aria-pressed:outline-2 aria-pressed:outline-verdigris"
                onClick={() => void onChoose(wantsSolid ? icon.name + SOLID : icon.name)}
              >
                <span className="text-ink">
                  <Drawing icon={icon} solid={wantsSolid} size={26} />
                </span>
                <span className="w-full truncate text-center" title={titleOf(icon.name)}>
                  {titleOf(icon.name)}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
