import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import { useChoices } from '../../features/library/useLibrary';
import { Button } from '../../ui/Button';
import { ChoiceField } from '../../ui/ChoiceField';
import { Sheet } from '../../ui/Sheet';
import { Failed, Loading } from '../../ui/States';
import type { AskedEdit, Guessed, NodeView, Source } from '../engine/source';

type Props = {
  source: Source;
  node: NodeView;
  /** The client whose page it is; empty where a piece is worked on. */
  client: string;
  onEdit: (edit: AskedEdit) => Promise<Error | undefined>;
  onClose: () => void;
};

/** Puts the thing in hand into the library; where it stood, the piece is placed. */
export function KeepSheet(props: Props) {
  const { source, node, onClose } = props;
  const guess = useQuery({
    queryKey: [...source.key, 'guess', node.id],
    queryFn: () => source.guess(node.id),
    gcTime: 0,
  });
  const choices = useChoices();
  const failed = guess.error ?? choices.error;
  return (
    <Sheet open onClose={onClose} title={`Keep the ${node.kind} as a piece`}>
      {failed && <Failed error={failed} />}
      {guess.data && choices.data ? (
        <Form {...props} guess={guess.data} choices={choices.data} />
      ) : (
        !failed && <Loading what="a name for it" />
      )}
    </Sheet>
  );
}

type FormProps = Props & { guess: Guessed; choices: Schemas['Choices'] };

function Form({ node, client, guess, choices, onEdit, onClose }: FormProps) {
  const [name, setName] = useState(guess.name);
  const [kind, setKind] = useState(guess.kind);
  const [purpose, setPurpose] = useState(guess.purpose);
  const [onlyHere, setOnlyHere] = useState(false);
  const [stays, setStays] = useState(false);
  const [problem, setProblem] = useState('');
  const keep = async () => {
    const failed = await onEdit({
      type: 'KEEP',
      node: node.id,
      name,
      kind,
      purpose,
      onlyHere,
      stays,
    });
    if (failed) setProblem(failed.message);
    else onClose();
  };
  const kinds = choices.kinds.filter(
    ({ word }) => word === 'saved-block' || node.kind === 'section',
  );
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
      className="grid grid-cols-2 gap-3"
    >
      <label className="block col-span-2">
        <span className="font-medium">Name</span>
        <input
          autoFocus
          value={name}
          maxLength={80}
          onFocus={(e) => {
            e.target.select();
          }}
          onChange={(e) => {
            setName(e.target.value);
          }}
          className="mt-1 w-full border border-line bg-sheet px-2 py-1.5 rounded-[2px]"
        />
      </label>
      <ChoiceField label="Kind" value={kind} choices={kinds} onChange={setKind} />
      <ChoiceField
        label="Purpose"
        value={purpose}
        choices={choices.purposes}
        onChange={setPurpose}
      />
      {client !== '' && (
        <Tick checked={onlyHere} onChange={setOnlyHere}>
          For {client} only
        </Tick>
      )}
      <Tick checked={stays} onChange={setStays}>
        What stands here stays as it is, tied to nothing
      </Tick>
      <p className="text-soft col-span-2">
        {stays ? 'This page does not change. ' : 'It stays as it looks here. '}
        {client !== '' &&
          !onlyHere &&
          'The piece gets neutral words and pictures; those of this page stay this page’s own.'}
      </p>
      {problem && (
        <p role="alert" className="text-brick col-span-2">
          {problem}
        </p>
      )}
      <div className="flex justify-end gap-3 mt-2 col-span-2">
        <Button onClick={onClose}>Leave it as it is</Button>
        <Button look="main" type="submit" disabled={name.trim() === ''}>
          Keep as a piece
        </Button>
      </div>
    </form>
  );
}

type TickProps = { checked: boolean; onChange: (on: boolean) => void; children: ReactNode };

function Tick({ checked, onChange, children }: TickProps) {
  return (
    <label className="flex items-center gap-2 col-span-2">
      <input
        type="checkbox"
        checked={checked}
        onChange={(e) => {
          onChange(e.target.checked);
        }}
        className="accent-verdigris"
      />
      {children}
    </label>
  );
}
