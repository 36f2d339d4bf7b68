import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api } from '../../api/client';
import { Button } from '../../ui/Button';
import { count } from '../../ui/count';
import { Failed, Loading } from '../../ui/States';

type Props = { token?: string; style?: string };

/** What in the finishes refers to a token or named style, and all that is drawn with it by that. */
export function InFinishes({ token = '', style = '' }: Props) {
  const [all, setAll] = useState(false);
  const uses = useQuery({
    queryKey: ['finishes-uses', token, style],
    queryFn: () => answer(api.GET('/api/finishes/uses', { params: { query: { token, style } } })),
    gcTime: 0,
  });
  return (
    <section aria-label="In the finishes" className="mt-3">
      {uses.error && <Failed error={uses.error} />}
      {uses.data && uses.data.length > 0 && (
        <>
          <h3 className="text-[14px]">In the finishes</h3>
          <ul className="border-t border-hair mb-2">
            {uses.data.map((place) => (
              <li key={place} className="py-1 border-b border-hair">
                {place}
              </li>
            ))}
          </ul>
        </>
      )}
      <Button
        look="quiet"
        aria-expanded={all}
        onClick={() => {
          setAll(!all);
        }}
      >
        {all ? 'Hide what is drawn with it' : 'Show everything that is drawn with it'}
      </Button>
      {all && <Drawn token={token} style={style} />}
    </section>
  );
}

function Drawn({ token, style }: Required<Props>) {
  const drawn = useQuery({
    queryKey: ['finishes-drawn', token, style],
    queryFn: () => answer(api.GET('/api/finishes/drawn', { params: { query: { token, style } } })),
    gcTime: 0,
  });
  if (drawn.error) return <Failed error={drawn.error} />;
  if (!drawn.data) return <Loading what="what is drawn with it" />;
  const { nodes, more } = drawn.data;
  if (nodes.length === 0) return <p className="mt-1 text-soft">Nothing on any page yet.</p>;
  return (
    <ul aria-label="Drawn with it" className="mt-1 border-t border-hair">
      {nodes.map((use) => (
        <li
          key={`${use.pageId} ${use.node} ${use.property}`}
          className="py-1 border-b border-hair truncate"
        >
          <Link
            className="underline underline-offset-2"
            to={`/sites/${use.siteId}/pages/${use.pageId}?node=${encodeURIComponent(use.node)}`}
          >
            {use.siteName}, {use.pageTitle}: {use.nodeTitle}
          </Link>{' '}
          <span className="text-soft">{use.property.toLowerCase()}</span>
        </li>
      ))}
      {more > 0 && <li className="py-1 text-soft">and {count(more, 'other')}</li>}
    </ul>
  );
}
