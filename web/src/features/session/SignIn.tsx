import { useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { postForm, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';

const inputClass = 'w-full border border-line bg-sheet px-3 py-2 rounded-[2px]';

export function SignIn({ session }: { session: Schemas['Session'] }) {
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const [problem, setProblem] = useState('');

  const signIn = async (user: string, secret: string) => {
    setProblem('');
    const response = await postForm('/api/sign-in', { username: user, password: secret }).catch(
      () => undefined,
    );
    if (!response) setProblem('The server cannot be reached. Try again.');
    else if (response.status === 401) setProblem('Name and password do not go together.');
    else if (!response.ok) setProblem(`The server answered ${response.status}. Try again.`);
    else await queries.resetQueries();
  };
  const onSubmit = (event: FormEvent) => {
    event.preventDefault();
    void signIn(name, password);
  };

  return (
    <main className="min-h-full grid place-items-center bg-board p-8">
      <div className="w-full max-w-md bg-paper border border-ink p-10">
        <h1 className="text-3xl">
          Good <span className="text-verdigris">Bones</span>
        </h1>
        <p className="mt-2 text-soft">One library of sections for every client’s pages.</p>
        <form onSubmit={onSubmit} className="mt-8 grid gap-4">
          <label>
            <span className="font-medium">Name</span>
            <input
              className={inputClass}
              autoComplete="username"
              value={name}
              onChange={(e) => {
                setName(e.target.value);
              }}
            />
          </label>
          <label>
            <span className="font-medium">Password</span>
            <input
              className={inputClass}
              type="password"
              autoComplete="current-password"
              value={password}
              onChange={(e) => {
                setPassword(e.target.value);
              }}
            />
          </label>
          {problem && (
            <p role="alert" className="text-brick">
              {problem}
            </p>
          )}
          <Button look="main" type="submit" className="justify-center py-2">
            Sign in
          </Button>
        </form>
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
