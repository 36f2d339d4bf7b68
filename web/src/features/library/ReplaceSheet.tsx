import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { count, names } from '../../ui/count';
import { Sheet } from '../../ui/Sheet';
import { Loading, Mark } from '../../ui/States';
import { isOffered } from '../../workbench/hands/actions';
import { PieceChoice } from './PieceChoice';
import type { Card } from './filter';

type Plan = Schemas['ReplacementPlan'];
type AtSite = Schemas['AtSite'];

type Props = {
  piece: Card;
  pieces: readonly Card[];
  /** In whose look pieces are shown. */
  site: string;
  onDone: () => void;
  onClose: () => void;
};

/** Puts another piece in the place of one wherever that stands, and retires it: one rollout. */
export function ReplaceSheet({ piece, pieces, site, onDone, onClose }: Props) {
  const queries = useQueryClient();
  const rank = (other: Card) =>
    (other.purpose === piece.purpose ? 0 : 1) + (other.root === piece.root ? 0 : 2);
  const others = pieces
    .filter((other) => other.id !== piece.id && isOffered(other, piece.siteId))
    .sort((a, b) => rank(a) - rank(b));
  const [chosen, setChosen] = useState(others[0]?.id ?? '');
  const other = others.find((each) => each.id === chosen);
  const plan = useQuery({
    queryKey: ['replacement', piece.id, chosen],
    queryFn: () =>
      answer(
        api.GET('/api/rollouts/replacement', {
          params: { query: { piece: piece.id, by: chosen } },
        }),
      ),
    enabled: chosen !== '',
    gcTime: 0,
    retry: false,
  });
  const replace = useMutation({
    mutationFn: (made: Plan) =>
      answer(
        api.POST('/api/rollouts/replacement', {
          body: { pieceId: made.pieceId, by: made.by, basis: made.basis },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries();
      onDone();
    },
    onError: () => void plan.refetch(),
  });
  const failed = plan.error ?? replace.error;
  return (
    <Sheet open widest onClose={onClose} title={`Another piece in the place of ${piece.name}`}>
      <div className="grid grid-cols-[minmax(0,1fr)_300px] gap-6">
        {other ? (
          <PieceChoice
            pieces={others}
            chosen={other}
            site={site}
            scale={0.338}
            onChoose={(next) => {
              setChosen(next.id);
            }}
          >
            <p className="text-soft mt-2">
              Words, pictures and links go along where {other.name} has a place for them; what has
              none is kept with its placement and comes back with {piece.name}.
            </p>
          </PieceChoice>
        ) : (
          <p>There is no other piece in the library.</p>
        )}
        <section aria-label="What it comes to" aria-live="polite" className="text-[14px]">
          {failed && (
            <p role="alert" className="text-brick">
              {failed.message}
            </p>
          )}
          {chosen !== '' && plan.isPending && <Loading what="the places" />}
          {plan.data && !plan.error && <Outcome plan={plan.data} />}
        </section>
      </div>
      <div className="flex justify-end gap-3 mt-4">
        <Button onClick={onClose}>Leave it as it is</Button>
        <Button
          look="main"
          disabled={!plan.data || !!plan.error || plan.isFetching || replace.isPending}
          onClick={() => {
            if (plan.data) replace.mutate(plan.data);
          }}
        >
          {plan.data && !plan.error
            ? `Replace ${where(plan.data)} and retire ${piece.name}`
            : 'Replace and retire'}
        </Button>
      </div>
    </Sheet>
  );
}

function where(plan: Plan): string {
  const places = [
    plan.placements > 0 ? `at ${count(plan.placements, 'placement')}` : '',
    plan.pieces.length > 0 ? `in ${count(plan.pieces.length, 'piece')}` : '',
  ].filter((each) => each !== '');
  return places.length === 0 ? 'it' : names(places);
}

/** What a replacement does, with all that has no place in the other piece. */
function Outcome({ plan }: { plan: Plan }) {
  if (plan.placements === 0 && plan.pieces.length === 0) {
    return <p>{plan.name} is used nowhere: it can be retired without another one.</p>;
  }
  return (
    <div className="max-h-[380px] overflow-y-auto pr-1">
      {plan.pieces.length > 0 && (
        <p className="border-b border-hair pb-2 mb-2">
          {names(plan.pieces.map((piece) => `${piece.name} ${String(piece.revision)}`))}{' '}
          {plan.pieces.length === 1 ? 'has' : 'have'} {plan.byName} in{' '}
          {plan.pieces.length === 1 ? 'it' : 'them'}.
        </p>
      )}
      {plan.sites.map((site) => (
        <AtOneSite key={site.siteId} site={site} />
      ))}
    </div>
  );
}

function AtOneSite({ site }: { site: AtSite }) {
  return (
    <section className="mb-3">
      <h3 className="text-[14px] font-semibold">{site.name}</h3>
      <ul className="border-t border-hair">
        {site.placements.map((placement) => (
          <li key={`${placement.pageId} ${placement.path}`} className="border-b border-hair py-1">
            <div className="flex items-baseline gap-2">
              <span className="truncate">{placement.pageTitle}</span>
              <span className="text-soft ml-auto whitespace-nowrap tabular-nums">
                {placement.carried} carried over
              </span>
            </div>
            {placement.kept.length > 0 && (
              <p className="text-[13px]">
                <Mark tone="local">no place</Mark> {placement.kept.join(', ')}
              </p>
            )}
            {placement.others > 0 && (
              <p className="text-soft text-[13px]">
                {count(placement.others, 'local change')} of its own kept with them
              </p>
            )}
          </li>
        ))}
      </ul>
      {site.follows.length > 0 && (
        <p className="text-[13px] mt-1">Follows at once: {names(site.follows)}</p>
      )}
      {site.waiting.length > 0 && (
        <p className="text-[13px] mt-1">
          <Mark tone="conflict">waits</Mark> for an answer on {names(site.waiting)}
        </p>
      )}
      {site.later.length > 0 && (
        <p className="text-soft text-[13px] mt-1">
          Further behind, to be rolled out there: {names(site.later)}
        </p>
      )}
    </section>
  );
}
