import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, done } from '../../api/client';
import { Button } from '../../ui/Button';
import { Sheet } from '../../ui/Sheet';
import { TextField } from '../../ui/TextField';

type Props = {
  site: { id: string; name: string };
  page: { id: string; title: string };
};

const what = {
  composition: {
    ask: 'Keep this page as a composition',
    kept: 'Pages can begin with it now.',
    hint: 'Its pieces, in this order and without their words, for other pages to begin with.',
  },
  set: {
    ask: 'Keep all pages as a set',
    kept: 'A site can begin with them now.',
    hint: 'What each page has from the library, without words, for another site to begin with.',
  },
} as const;

type What = keyof typeof what;

/** Keeps what a page, or a whole site, has from the library, for others to begin with. */
export function KeepStart({ site, page }: Props) {
  const queries = useQueryClient();
  const [asked, setAsked] = useState<What>();
  const [name, setName] = useState('');
  const keeping = useMutation({
    mutationFn: (kept: What) =>
      done(
        kept === 'composition'
          ? api.POST('/api/pages/{id}/composition', {
              params: { path: { id: page.id } },
              body: { name },
            })
          : api.POST('/api/sites/{id}/sets', { params: { path: { id: site.id } }, body: { name } }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['compositions'] });
    },
  });
  const ask = (kept: What) => {
    keeping.reset();
    setName(kept === 'composition' ? page.title : site.name);
    setAsked(kept);
  };
  const leave = () => {
    setAsked(undefined);
  };
  return (
    <section aria-label="To begin with" className="mt-6 border-t border-line pt-3">
      <h3 className="text-[15px]">To begin others with</h3>
      <div className="mt-1 grid justify-items-start gap-1">
        {(Object.keys(what) as What[]).map((each) => (
          <Button
            key={each}
            look="quiet"
            title={what[each].hint}
            onClick={() => {
              ask(each);
            }}
          >
            {what[each].ask}
          </Button>
        ))}
        {asked && keeping.isSuccess && (
          <p role="status" className="text-soft text-[13px]">
            “{name}” is kept. {what[asked].kept}
          </p>
        )}
      </div>
      {asked && !keeping.isSuccess && (
        <Sheet open onClose={leave} title={what[asked].ask}>
          <form
            className="grid gap-3"
            onSubmit={(event) => {
              event.preventDefault();
              keeping.mutate(asked);
            }}
          >
            <TextField
              label="Name"
              value={name}
              onChange={(event) => {
                setName(event.target.value);
              }}
              autoFocus
              maxLength={80}
            />
            <p className="text-soft text-[13px]">{what[asked].hint}</p>
            {keeping.error && (
              <p role="alert" className="text-brick text-[13px]">
                {keeping.error.message}
              </p>
            )}
            <div className="flex justify-end gap-3">
              <Button onClick={leave}>Keep nothing</Button>
              <Button look="main" type="submit" disabled={name.trim() === '' || keeping.isPending}>
                Keep
              </Button>
            </div>
          </form>
        </Sheet>
      )}
    </section>
  );
}
