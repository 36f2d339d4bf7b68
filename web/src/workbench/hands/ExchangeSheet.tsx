import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../../api/client';
import { Button } from '../../ui/Button';
import { Sheet } from '../../ui/Sheet';
import { Failed, Loading } from '../../ui/States';
import type { AskedEdit, PlacementView } from '../engine/source';
import { isOffered } from './actions';
import { PieceChoice } from './PieceChoice';

type Props = {
  placement: PlacementView;
  /** The kinds that may stand where it stands. */
  may: readonly string[];
  /** In whose look pieces are shown. */
  site: string;
  /** The piece that is worked on, which cannot stand in itself; empty on a page. */
  itself: string;
  onEdit: (edit: AskedEdit) => Promise<Error | undefined>;
  onClose: () => void;
};

/** Chooses another piece for the place of one, of the same purpose first; its words and pictures go along. */
export function ExchangeSheet({ placement, may, site, itself, onEdit, onClose }: Props) {
  const pieces = useQuery({
    queryKey: ['pieces'],
    queryFn: () => answer(api.GET('/api/pieces')),
  });
  const [chosen, setChosen] = useState('');
  const [problem, setProblem] = useState('');
  const purpose = pieces.data?.find((piece) => piece.id === placement.pieceId)?.purpose;
  const neighbour = (piece: { purpose: string }) => (piece.purpose === purpose ? 0 : 1);
  const fit = (pieces.data ?? [])
    .filter(
      (piece) =>
        piece.id !== placement.pieceId &&
        piece.id !== itself &&
        isOffered(piece, site) &&
        may.includes(piece.root),
    )
    .sort((a, b) => neighbour(a) - neighbour(b));
  const current = fit.find((piece) => piece.id === chosen) ?? fit[0];
  const exchange = async () => {
    if (!current) return;
    const failed = await onEdit({ type: 'EXCHANGE', node: placement.id, piece: current.id });
    if (failed) setProblem(failed.message);
    else onClose();
  };
  return (
    <Sheet
      open
      wide
      onClose={onClose}
      title={`Another piece in the place of ${placement.pieceName}`}
    >
      {pieces.error && <Failed error={pieces.error} retry={() => void pieces.refetch()} />}
      {pieces.isPending && <Loading what="the library" />}
      {pieces.data && fit.length === 0 && <p>No other piece of the library can stand here.</p>}
      {current && (
        <PieceChoice
          pieces={fit}
          chosen={current}
          site={site}
          scale={0.392}
          onChoose={(piece) => {
            setChosen(piece.id);
          }}
        >
          <p className="text-soft mt-2">
            {current.notes && `${current.notes}. `}Words, pictures and links go along where the
            other piece has a place for them; what has none is kept with this placement and comes
            back with {placement.pieceName}.
          </p>
        </PieceChoice>
      )}
      {problem && (
        <p role="alert" className="text-brick mt-2">
          {problem}
        </p>
      )}
      <div className="flex justify-end gap-3 mt-4">
        <Button onClick={onClose}>Leave it as it is</Button>
        <Button look="main" disabled={!current} onClick={() => void exchange()}>
          {current ? `Put ${current.name} here` : 'Put it here'}
        </Button>
      </div>
    </Sheet>
  );
}
