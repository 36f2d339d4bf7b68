import { X } from 'lucide-react';
import { Button } from '../../ui/Button';
import { count } from '../../ui/count';
import type { AskedEdit, FitView } from '../engine/source';

type Props = {
  findings: readonly FitView[];
  onPick: (node: string) => void;
  onEdit: (edit: AskedEdit) => Promise<unknown>;
  onMended: (findings: readonly FitView[]) => void;
  onClose: () => void;
};

function mendOf(findings: readonly FitView[]): AskedEdit | undefined {
  const settings = findings.flatMap((finding) => finding.settings);
  const [first] = settings;
  return first && { type: 'SETTINGS', settings };
}

/** What does not fit where it was put down, each with a mend. */
export function FitPanel({ findings, onPick, onEdit, onMended, onClose }: Props) {
  const mendable = findings.filter((finding) => finding.settings.length > 0);
  const mend = async (some: readonly FitView[]) => {
    const edit = mendOf(some);
    if (!edit) return;
    const failed = await onEdit(edit);
    if (!(failed instanceof Error)) onMended(some);
  };
  return (
    <section
      aria-label="Fit report"
      className="absolute left-4 bottom-3 z-30 w-[440px] max-h-72 flex flex-col bg-paper border border-ink text-[13px]"
    >
      <header className="flex items-center gap-3 px-3 py-2 border-b border-line">
        <h2 className="text-[15px]">{count(findings.length, 'thing')} to fit here</h2>
        {mendable.length > 1 && (
          <Button look="main" className="!py-0.5 ml-auto" onClick={() => void mend(mendable)}>
            Mend all {mendable.length}
          </Button>
        )}
        <button
          type="button"
          aria-label="Leave it as it is"
          title="Leave it as it is"
          className={mendable.length > 1 ? '' : 'ml-auto'}
          onClick={onClose}
        >
          <X size={15} />
        </button>
      </header>
      <ul className="overflow-y-auto">
        {findings.map((finding) => (
          <li
            key={`${finding.node} ${finding.check} ${finding.device}`}
            className="px-3 py-2 border-b border-hair flex gap-3 items-start"
          >
            <span className="flex-1">
              <button
                type="button"
                className="font-medium hover:underline"
                onClick={() => {
                  onPick(finding.node);
                }}
              >
                {finding.title}
              </button>
              <span className="text-soft"> · {finding.device}</span>
              <br />
              {finding.says}.
            </span>
            {finding.mend !== '' && (
              <button
                type="button"
                className="text-verdigris font-medium text-right hover:underline max-w-36"
                onClick={() => void mend([finding])}
              >
                {finding.mend}
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
