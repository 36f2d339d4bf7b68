import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { postForm, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/TextField';
import { CodeForm } from './CodeForm';

/** How somebody comes in: with a password, or the first time with a one-time code. */
export function SignIn({ session }: { session: Schemas['Session'] }) {
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const [problem, setProblem] = useState('');
  const [withCode, setWithCode] = useState(false);

  const signIn = async (user: string, secret: string) => {
    setProblem('');
    const response = await postForm('/api/sign-in', { username: user, password: secret }).catch(
      () => undefined,
    );
    if (response?.ok) {
      await queries.resetQueries();
      return;
    }
    const said = (await response?.json().catch(() => undefined)) as { detail?: string } | undefined;
    setProblem(
      said?.detail ??
        (response
          ? `The server answered ${response.status}. Try again.`
          : 'The server cannot be reached. Try again.'),
    );
  };

  return (
    <main className="min-h-full grid place-items-center bg-board p-8">
      <div className="w-full max-w-md bg-paper border border-ink p-10">
        <h1 className="text-3xl">
          Good <span className="text-verdigris">Bones</span>
        </h1>
        <p className="mt-2 text-soft">One library of sections for every client’s pages.</p>
        {session.firstStart ? (
          <CodeForm first onDone={signIn} />
        ) : withCode ? (
          <CodeForm
            first={false}
            onDone={signIn}
            onBack={() => {
              setWithCode(false);
            }}
          />
        ) : (
          <form
            className="mt-8 grid gap-4"
            onSubmit={(event) => {
              event.preventDefault();
              void signIn(name, password);
            }}
          >
            <TextField
              label="Name"
              autoComplete="username"
              value={name}
              onChange={(e) => {
                setName(e.target.value);
              }}
            />
            <TextField
              label="Password"
              type="password"
              autoComplete="current-password"
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
              Sign in
            </Button>
            <Button
              look="quiet"
              className="justify-self-start"
              onClick={() => {
                setWithCode(true);
              }}
            >
              I was given a one-time code
            </Button>
          </form>
        )}
        {session.demoAccounts.length > 0 && (
          <section aria-label="Demo accounts" className="mt-8 border-t border-line pt-4">
            <h2 className="text-[15px]">Demo accounts</h2>
            <ul className="mt-2 grid gap-1">
              {session.demoAccounts.map((account) => (
                <li key={account.name} className="flex justify-between items-center">
                  <span>
                    {account.name} <span className="text-soft">with</span> {account.password}
                  </span>
                  <Button look="quiet" onClick={() => void signIn(account.name, account.password)}>
                    Sign in as {account.name}
                  </Button>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
    </main>
  );
}
