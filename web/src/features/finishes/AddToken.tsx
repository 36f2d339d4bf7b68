import { useId, useState } from 'react';
import { Button } from '../../ui/Button';
import { Sheet } from '../../ui/Sheet';
import { inputClass } from '../../ui/inputClass';
import type { Parts } from './parts';
import type { Table } from './table';

const types = [
  { key: 'color', title: 'Colour', group: 'color', value: '#1d3a4c' },
  { key: 'dimension', title: 'Dimension', group: 'size', value: '24px' },
  { key: 'fontFamily', title: 'Font family', group: 'font', value: 'Work Sans, Arial, sans-serif' },
  { key: 'fontWeight', title: 'Font weight', group: 'font', value: '600' },
  { key: 'number', title: 'Number', group: 'line', value: '1.5' },
  {
    key: 'shadow',
    title: 'Shadow',
    group: 'shadow',
    value: '0px 4px 16px 0px rgb(0 0 0 / 20%)',
  },
  { key: 'border', title: 'Border', group: 'border', value: '1px solid {color.text}' },
  {
    key: 'gradient',
    title: 'Gradient',
    group: 'gradient',
    value: 'linear-gradient(180deg, #00000000 0%, #000000 100%)',
  },
  {
    key: 'typography',
    title: 'Typography',
    group: 'type',
    value: '600 32px/1.2 0px Literata, serif',
  },
  { key: 'transition', title: 'Transition', group: 'motion', value: '160ms 0ms ease' },
  { key: 'duration', title: 'Duration', group: 'motion', value: '160ms' },
  { key: 'cubicBezier', title: 'Curve', group: 'motion', value: 'cubic-bezier(0.2, 0, 0, 1)' },
  { key: 'strokeStyle', title: 'Stroke style', group: 'border', value: 'dashed' },
] as const;

type Props = { table: Table; edit: Parts['edit']; onClose: () => void };

export function AddToken({ edit, onClose }: Props) {
  const id = useId();
  const [type, setType] = useState<(typeof types)[number]>(types[0]);
  const [name, setName] = useState('color.');
  const [value, setValue] = useState<string>(types[0].value);
  const [problem, setProblem] = useState('');
  const add = async () => {
    const failed = await edit({ type: 'ADD_TOKEN', name, kind: type.key, value });
    if (failed) setProblem(failed.message);
    else onClose();
  };
  return (
    <Sheet open onClose={onClose} title="Add a token to the house">
      <form
        className="grid grid-cols-[90px_minmax(0,1fr)] gap-x-3 gap-y-2.5 items-center"
        onSubmit={(e) => {
          e.preventDefault();
          void add();
        }}
      >
        <label htmlFor={`${id}-type`}>Type</label>
        <select
          id={`${id}-type`}
          className={inputClass}
          value={type.key}
          onChange={(e) => {
            const next = types.find((t) => t.key === e.target.value) ?? types[0];
            setType(next);
            setValue(next.value);
            if (/^[a-z]*\.$/.test(name)) setName(`${next.group}.`);
          }}
        >
          {types.map((t) => (
            <option key={t.key} value={t.key}>
              {t.title}
            </option>
          ))}
        </select>
        <label htmlFor={`${id}-name`}>Name</label>
        <input
          id={`${id}-name`}
          className={inputClass}
          value={name}
          onChange={(e) => {
            setName(e.target.value);
          }}
        />
        <label htmlFor={`${id}-value`}>House’s value</label>
        <input
          id={`${id}-value`}
          className={inputClass}
          value={value}
          onChange={(e) => {
            setValue(e.target.value);
          }}
        />
        {problem && (
          <p role="alert" className="col-span-2 text-brick">
            {problem}
          </p>
        )}
        <div className="col-span-2 flex justify-end gap-3 mt-2">
          <Button onClick={onClose}>Leave</Button>
          <Button look="main" type="submit">
            Add {name || 'it'}
          </Button>
        </div>
      </form>
    </Sheet>
  );
}
