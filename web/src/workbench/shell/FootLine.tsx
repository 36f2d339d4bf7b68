import type { ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import { count, names, reachWords } from '../../ui/count';
import { Button } from '../../ui/Button';
import { ButtonLink } from '../../ui/ButtonLink';
import { Mark } from '../../ui/States';
import type { DeviceKey } from '../engine/devices';
import type {
  AskedEdit,
  FindingHere,
  NodeView,
  PlacementView,
  WorkbenchView,
} from '../engine/source';

type Props = {
  view: WorkbenchView;
  findings: readonly FindingHere[];
  node: NodeView;
  placement: PlacementView | undefined;
  lead: DeviceKey;
  onEdit: (edit: AskedEdit) => void;
  onExchange: () => void;
  onTie: () => void;
  onPick: (node: string) => void;
  actions?: ReactNode;
};

/** Where the thing in hand comes from, and how far a change to it goes. */
export function FootLine({
  view,
  findings,
  node,
  placement,
  lead,
  onEdit,
  onExchange,
  onTie,
  onPick,
  actions,
}: Props) {
  const location = useLocation();
  const hidden = node.hiddenOn.includes(lead);
  return (
    <footer
      aria-label="Reach"
      className="col-span-full border-t border-ink bg-paper flex items-center gap-4 px-4 h-12 text-[13px]"
    >
      {placement ? (
        <PlacementReach
          placement={placement}
          around={view.placements.find((p) => p.id === placement.in)?.pieceName ?? view.title}
        />
      ) : view.piece ? (
        <PieceReach view={view} />
      ) : (
        <span>
          <strong className="font-semibold">
            {node.kind === 'page' ? 'This page' : 'Own section of this page'}
          </strong>
          <span className="text-soft"> · a change stays here</span>
        </span>
      )}
      {!view.piece && view.standIns.length > 0 && (
        <StandInsLeft standIns={view.standIns} inHand={node.id} onPick={onPick} />
      )}
      {findings.length > 0 && (
        <FindingsLeft findings={findings} view={view} inHand={node.id} onPick={onPick} />
      )}
      <span className="ml-auto flex items-center gap-3">
        {node.kind !== 'page' && (
          <Button
            look="quiet"
            onClick={() => {
              onEdit({ type: 'HIDE', nodes: [node.id], device: lead, on: !hidden });
            }}
          >
            {hidden ? `Show on ${lead}` : `Hide on ${lead}`}
          </Button>
        )}
        {!placement && node.parent !== '' && !(view.piece && node.parent === view.page.id) && (
          <Button
            look="quiet"
            title="Make it a placement of a piece that is built like it; nothing seen changes"
            onClick={onTie}
          >
            Tie to a piece
          </Button>
        )}
        {placement && !placement.bound && (
          <Button
            look="quiet"
            title="Put another piece in its place; words and pictures go along"
            onClick={onExchange}
          >
            Exchange
          </Button>
        )}
        {placement && (
          <Button
            look="quiet"
            title="Make it an independent copy; the pieces inside stay pieces"
            onClick={() => {
              onEdit({ type: 'UNLINK', node: placement.id });
            }}
          >
            Unlink
          </Button>
        )}
        {placement && !placement.bound && !view.piece && placement.pin !== 'waiting' && (
          <Button
            look="quiet"
            onClick={() => {
              onEdit({ type: 'HOLD', node: node.id, on: placement.pin !== 'held' });
            }}
          >
            {placement.pin === 'held' ? 'Let it follow' : 'Hold here'}
          </Button>
        )}
        {placement && (
          <ButtonLink
            to={`/library/${placement.pieceId}?site=${view.siteId}&from=${encodeURIComponent(`${location.pathname}${location.search}`)}`}
          >
            Edit the piece
          </ButtonLink>
        )}
        {actions}
      </span>
    </footer>
  );
}

type LeftProps = {
  standIns: readonly string[];
  inHand: string;
  onPick: (node: string) => void;
};

/** How many words and pictures only stand in, and the way to the next of them. */
function StandInsLeft({ standIns, inHand, onPick }: LeftProps) {
  const next = standIns[(standIns.indexOf(inHand) + 1) % standIns.length];
  return (
    <button
      type="button"
      title="Take the next of them in hand"
      className="text-ochre underline underline-offset-2 whitespace-nowrap"
      onClick={() => {
        if (next !== undefined) onPick(next);
      }}
    >
      {count(standIns.length, 'stand-in')} left
    </button>
  );
}

type FoundProps = {
  findings: readonly FindingHere[];
  view: WorkbenchView;
  inHand: string;
  onPick: (node: string) => void;
};

/** How much the survey finds on this page, and the way to the next of it. */
function FindingsLeft({ findings, view, inHand, onPick }: FoundProps) {
  const nodes = [...new Set(findings.map((finding) => finding.node))].filter((id) => id !== '');
  const next = nodes[(nodes.indexOf(inHand) + 1) % nodes.length];
  const look = 'text-brick underline underline-offset-2 whitespace-nowrap';
  const words = count(findings.length, 'finding');
  return next === undefined ? (
    <Link
      to={`/sites/${view.siteId}?tab=survey`}
      className={look}
      title={findings.map((finding) => finding.message).join('; ')}
    >
      {words}
    </Link>
  ) : (
    <button
      type="button"
      title="Take the next of them in hand; the ladder says what is found"
      className={look}
      onClick={() => {
        onPick(next);
      }}
    >
      {words}
    </button>
  );
}

type PlacedProps = { placement: PlacementView; around: string };

function PlacementReach({ placement, around }: PlacedProps) {
  return (
    <>
      <strong className="font-semibold">{placement.pieceName}</strong>
      <span>
        revision {placement.revision}
        {placement.bound && `, as “${around}” has it`}
      </span>
      <span>{reachWords(placement.reach)}</span>
      {placement.changes.length > 0 && (
        <Mark tone="local">{count(placement.changes.length, 'local change')} here</Mark>
      )}
      {placement.pin === 'held' && <Mark tone="held">held</Mark>}
      {placement.pin === 'waiting' && <Mark tone="conflict">waits for a decision</Mark>}
      {placement.revision < placement.current && !placement.bound && (
        <Link
          to={`/rollouts/${placement.pieceId}`}
          className="text-ochre underline underline-offset-2"
        >
          behind: revision {placement.current} is released
        </Link>
      )}
    </>
  );
}

function PieceReach({ view }: { view: WorkbenchView }) {
  const piece = view.piece;
  if (!piece) return null;
  return (
    <>
      <strong className="font-semibold">{view.title}</strong>
      <span>
        {piece.current === 0
          ? 'a draft only: it can be placed once it is released'
          : piece.draft
            ? `draft on revision ${piece.current}`
            : `revision ${piece.current}`}
      </span>
      <span>{reachWords(piece.reach)}</span>
      {piece.variants
        .filter((variant) => variant.id === piece.variant)
        .map((variant) => (
          <span key={variant.id}>
            variant “{variant.name}”<span className="text-soft"> · a change is the variant’s</span>
          </span>
        ))}
      {piece.draft && <Mark tone="local">not released</Mark>}
      {piece.behind.length > 0 && (
        <Link to={`/rollouts/${view.id}`} className="text-ochre underline underline-offset-2">
          {names(piece.behind)} {piece.behind.length === 1 ? 'shows' : 'show'} an older revision
        </Link>
      )}
    </>
  );
}
