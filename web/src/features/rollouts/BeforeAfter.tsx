import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../../api/client';
import { Failed, Loading } from '../../ui/States';
import { MarkedFrame } from '../../workbench/canvas/MarkedFrame';
import type { DeviceKey } from '../../workbench/engine/devices';

type Props = {
  plan: Schemas['Plan'];
  placement: Schemas['RolloutPlacement'];
  device: DeviceKey;
  decisions: readonly Schemas['Decision'][];
  accepted: readonly Schemas['SitePiece'][];
};

/** The page now and as it would be, side by side at a width of choice, with what changes marked. */
export function BeforeAfter({ plan, placement, device, decisions, accepted }: Props) {
  const preview = useQuery({
    queryKey: [
      'preview',
      plan.pieceId,
      plan.revision,
      placement.pageId,
      placement.pageVersion,
      decisions,
      accepted,
    ],
    queryFn: () =>
      answer(
        api.POST('/api/rollouts/preview', {
          body: {
            pieceId: plan.pieceId,
            revision: plan.revision,
            pageId: placement.pageId,
            decisions: [...decisions],
            accepted: [...accepted],
          },
        }),
      ),
    placeholderData: (before, last) =>
      last?.queryKey[3] === placement.pageId ? before : undefined,
  });
  if (preview.error) return <Failed error={preview.error} retry={() => void preview.refetch()} />;
  if (!preview.data) return <Loading what="before and after" />;
  const marks = placement.status === 'held' ? [] : preview.data.changes;
  const asked = placement.questions.map((q) => q.node);
  return (
    <div className="grid grid-cols-2 gap-4 min-h-0 flex-1 overflow-y-auto [scrollbar-width:thin] pb-4 content-start">
      <MarkedFrame
        key={`before ${placement.pageId} ${device}`}
        title={`Now, revision ${placement.from}`}
        html={preview.data.before}
        device={device}
      />
      <MarkedFrame
        key={`after ${placement.pageId} ${device}`}
        title={`After, revision ${placement.to}`}
        html={preview.data.after}
        device={device}
        marks={marks.filter((m) => m.devices.includes(device))}
        asked={asked}
      />
    </div>
  );
}
