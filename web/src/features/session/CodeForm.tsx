import { useState } from 'react';
import { api, done } from '../../api/client';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/TextField';

type Props = {
  /** Whether this makes the very first account. */
  first: boolean;
  onDone: (name: string, password: string) => Promise<void>;
  onBack?: () => void;
};

/** Chooses a name or keeps the one given, and a password, with a one-time code. */
export function CodeForm({ first, onDone, onBack }: Props) {
  const [code, setCode] = useState('');
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const [problem, setProblem] = useState('');
  const send = async () => {
    setProblem('');
    const body = { code, name, password };
    try {
      await done(
        first ? api.POST('/api/session/first', { body }) : api.POST('/api/session/code', { body }),
      );
      await onDone(name, password);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <form
      className="mt-8 grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <h2 className="text-lg">{first ? 'Make the first account' : 'Choose a password'}</h2>
      {first && (
        <p className="text-soft -mt-2">
          Nobody works here yet. The one-time code stands where Good Bones was started.
        </p>
      )}
      <TextField
        label="One-time code"
        className="font-mono uppercase placeholder:normal-case"
        autoComplete="one-time-code"
        spellCheck={false}
        value={code}
        onChange={(e) => {
          setCode(e.target.value);
        }}
      />
      <TextField
        label="Your name"
        autoComplete="username"
        value={name}
        onChange={(e) => {
          setName(e.target.value);
        }}
      />
      <TextField
        label="Password"
        hint="of at least 10 characters"
        type="password"
        autoComplete="new-password"
        value={password}
        onChange={(e) => {
          setPassword(e.target.value);
        }}
      />
      {problem && (
        <p role="alert" className="text-brick">
          {problem}
        </p>
      )}
      <Button look="main" type="submit" className="justify-center py-2">
        {first ? 'Make the account and sign in' : 'Set the password and sign in'}
      </Button>
      {onBack && (
        <Button look="quiet" className="justify-self-start" onClick={onBack}>
          Sign in with a password
        </Button>
      )}
    </form>
  );
}
