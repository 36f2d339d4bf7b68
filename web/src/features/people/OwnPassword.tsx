import { useState } from 'react';
import { api, done } from '../../api/client';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/TextField';

/** Changes one’s own password; one’s other sessions end. */
export function OwnPassword() {
  const [present, setPresent] = useState('');
  const [wanted, setWanted] = useState('');
  const [said, setSaid] = useState('');
  const [problem, setProblem] = useState('');
  const change = async () => {
    setProblem('');
    setSaid('');
    try {
      await done(api.POST('/api/people/me/password', { body: { present, wanted } }));
      setPresent('');
      setWanted('');
      setSaid('Your password is changed; your other sessions have ended.');
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <section aria-label="Your password" className="mt-6 border-t border-line pt-3">
      <h2 className="text-lg">Your password</h2>
      <form
        className="mt-3 grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void change();
        }}
      >
        <TextField
          label="Present password"
          type="password"
          autoComplete="current-password"
          value={present}
          onChange={(e) => {
            setPresent(e.target.value);
          }}
        />
        <TextField
          label="New password"
          hint="of at least 10 characters"
          type="password"
          autoComplete="new-password"
          value={wanted}
          onChange={(e) => {
            setWanted(e.target.value);
          }}
        />
        {problem && (
          <p role="alert" className="text-brick">
            {problem}
          </p>
        )}
        {said && (
          <p role="status" className="text-verdigris-deep">
            {said}
          </p>
        )}
        <Button
          type="submit"
          className="justify-self-start"
          disabled={present === '' || wanted === ''}
        >
          Change my password
        </Button>
      </form>
    </section>
  );
}
