import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { answer, api, type Schemas } from '../../api/client';
import { Empty, Failed, Loading } from '../../ui/States';
import { MarkedFrame } from '../../workbench/canvas/MarkedFrame';
import { deviceOf, devices } from '../../workbench/engine/devices';
import { useAddress } from '../../ui/useAddress';
import { usePieceList } from './useLibrary';

/** Two revisions of a piece side by side, what differs marked and said in words. */
export function CompareScreen() {
  const { pieceId = '' } = useParams();
  const { params, set } = useAddress();
  const site = params.get('site') ?? '';
  const from = Number(params.get('from'));
  const to = Number(params.get('to'));
  const device = deviceOf(params.get('device'));
  const path = { id: pieceId };
  const compared = useQuery({
    queryKey: ['compared', pieceId, from, to, site],
    queryFn: () =>
      answer(api.GET('/api/pieces/{id}/compared', { params: { path, query: { from, to, site } } })),
  });
  const revisions = useQuery({
    queryKey: ['revisions', pieceId],
    queryFn: () => answer(api.GET('/api/pieces/{id}/revisions', { params: { path } })),
  });
  const pieces = usePieceList();
  const failed = compared.error ?? revisions.error ?? pieces.error;
  if (failed) return <Failed error={failed} />;
  if (!compared.data || !revisions.data || !pieces.data) return <Loading what="both revisions" />;
  const name = pieces.data.find((piece) => piece.id === pieceId)?.name ?? '';
  const changes = compared.data.changes;
  return (
    <main className="h-full grid grid-rows-[auto_minmax(0,1fr)] px-8 pt-6">
      <header className="flex items-end gap-4 border-b border-ink pb-3">
        <h1 className="text-2xl mr-auto">
          <Link to={`/library/${pieceId}?site=${site}`} className="hover:underline">
            {name}
          </Link>
          , two revisions
        </h1>
        <Choice
          label="Earlier"
          value={String(from)}
          revisions={revisions.data}
          onChange={(value) => {
            set({ from: value });
          }}
        />
        <Choice
          label="Later"
          value={String(to)}
          revisions={revisions.data}
          onChange={(value) => {
            set({ to: value });
          }}
        />
        <label className="flex items-center gap-2">
          Width
          <select
            value={device}
            onChange={(e) => {
              set({ device: e.target.value });
            }}
            className="border border-line bg-sheet px-2 py-1.5 rounded-[2px]"
          >
            {devices.map((one) => (
              <option key={one.key} value={one.key}>
                {one.width}
              </option>
            ))}
          </select>
        </label>
      </header>
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_270px] gap-5 overflow-y-auto py-4">
        <MarkedFrame
          key={`before ${from} ${device}`}
          title={`Revision ${from}`}
          html={compared.data.before}
          device={device}
          marks={changes.filter((change) => change.type === 'removed')}
        />
        <MarkedFrame
          key={`after ${to} ${device}`}
          title={`Revision ${to}`}
          html={compared.data.after}
          device={device}
          marks={changes.filter((change) => change.devices.includes(device))}
        />
        <section aria-label="What differs">
          <h2 className="text-[16px] mb-1">What differs</h2>
          {changes.length === 0 && <Empty>Nothing. They look the same at every width.</Empty>}
          <ol className="border-t border-line text-[13px]">
            {changes.map((change) => (
              <Line key={change.node} change={change} />
            ))}
          </ol>
        </section>
      </div>
    </main>
  );
}

const types: Record<string, string> = { added: 'came', removed: 'went' };

function Line({ change }: { change: Schemas['ChangeView'] }) {
  const everywhere = change.devices.length === devices.length;
  return (
    <li className="border-b border-hair py-1.5">
      <span className="font-medium [overflow-wrap:anywhere]">{change.title}</span>{' '}
      {types[change.type] ?? change.what.join(', ').toLowerCase()}
      {!everywhere && <span className="text-soft"> on {change.devices.join(' and ')} only</span>}
    </li>
  );
}

type ChoiceProps = {
  label: string;
  value: string;
  revisions: readonly Schemas['RevisionInfo'][];
  onChange: (value: string) => void;
};

function Choice({ label, value, revisions, onChange }: ChoiceProps) {
  return (
    <label className="flex items-center gap-2">
      {label}
      <select
        value={value}
        onChange={(e) => {
          onChange(e.target.value);
        }}
        className="border border-line bg-sheet px-2 py-1.5 rounded-[2px] max-w-44"
      >
        {revisions.map(({ number, note }) => (
          <option key={number} value={number}>
            {note ? `${number}: ${note}` : number}
          </option>
        ))}
      </select>
    </label>
  );
}
