import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { ChoiceField } from '../../ui/ChoiceField';
import { Sheet } from '../../ui/Sheet';
import type { Card } from './filter';

type Props = {
  /** Undefined for one that is begun with nothing in it. */
  piece: Card | undefined;
  choices: Schemas['Choices'];
  clients: readonly { id: string; name: string }[];
  onSave: (said: Schemas['DescribeRequest']) => Promise<unknown>;
  onClose: () => void;
};

const NOTHING_SAID = {
  name: '',
  kind: 'section-template',
  purpose: 'other',
  tags: [] as readonly string[],
  notes: '',
  siteId: '',
};

const fieldClass = 'mt-1 w-full border border-line bg-sheet px-2 py-1.5 rounded-[2px]';

/** What is said of a piece: its name, what it is and is for, whose it is. */
export function DescribeSheet({ piece, choices, clients, onSave, onClose }: Props) {
  const said = piece ?? NOTHING_SAID;
  const [name, setName] = useState(said.name);
  const [kind, setKind] = useState(said.kind);
  const [purpose, setPurpose] = useState(said.purpose);
  const [tags, setTags] = useState(said.tags.join(', '));
  const [notes, setNotes] = useState(said.notes);
  const [siteId, setSiteId] = useState(said.siteId);
  const [problem, setProblem] = useState('');
  const save = async () => {
    try {
      await onSave({ name, kind, purpose, tags: tags.split(','), notes, siteId });
      onClose();
    } catch (failed) {
      setProblem((failed as Error).message);
    }
  };
  return (
    <Sheet open onClose={onClose} title={piece ? `Describe ${piece.name}` : 'A new piece'}>
      <form
        className="grid grid-cols-2 gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <Line label="Name" wide>
          <input
            autoFocus
            value={name}
            maxLength={80}
            onChange={(e) => {
              setName(e.target.value);
            }}
            className={fieldClass}
          />
        </Line>
        <ChoiceField label="Kind" value={kind} choices={choices.kinds} onChange={setKind} />
        <ChoiceField
          label="Purpose"
          value={purpose}
          choices={choices.purposes}
          onChange={setPurpose}
        />
        <Line label="Tags" hint="with commas between them" wide>
          <input
            value={tags}
            onChange={(e) => {
              setTags(e.target.value);
            }}
            className={fieldClass}
          />
        </Line>
        <Line label="Notes" hint="for those who use it" wide>
          <textarea
            value={notes}
            rows={3}
            maxLength={1000}
            onChange={(e) => {
              setNotes(e.target.value);
            }}
            className={fieldClass}
          />
        </Line>
        <ChoiceField
          label="Whose it is"
          className="col-span-2"
          value={siteId}
          choices={[
            { word: '', title: 'For all clients' },
            ...clients.map((client) => ({
              word: client.id,
              title: `${client.name} only`,
            })),
          ]}
          onChange={setSiteId}
        />
        {problem && (
          <p role="alert" className="text-brick col-span-2">
            {problem}
          </p>
        )}
        <div className="flex justify-end gap-3 mt-2 col-span-2">
          <Button onClick={onClose}>{piece ? 'Leave it as it is' : 'Begin none'}</Button>
          <Button look="main" type="submit" disabled={name.trim() === ''}>
            {piece ? 'Save' : 'Begin to draw'}
          </Button>
        </div>
      </form>
    </Sheet>
  );
}

type LineProps = { label: string; hint?: string; wide?: boolean; children: ReactNode };

function Line({ label, hint, wide = false, children }: LineProps) {
  return (
    <label className={`block ${wide ? 'col-span-2' : ''}`}>
      <span className="font-medium">{label}</span>
      {hint && <span className="text-soft"> {hint}</span>}
      {children}
    </label>
  );
}
