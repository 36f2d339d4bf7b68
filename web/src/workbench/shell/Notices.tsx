import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/Button';
import type { Again, Saving } from '../engine/useWorkbench';

type Props = {
  saving: Saving;
  /** What others changed while an edit was made; both hold. */
  meanwhile: readonly string[];
  /** What came of an edit and is not seen at once; empty if nothing. */
  note: string;
  onDismiss: () => void;
  onReload: () => void;
  onKeep: (again: Again) => void;
  onLetGo: (again: Again) => void;
};

/** What has to be said about an edit, over the foot of the frames. */
export function Notices(props: Props) {
  const { saving, meanwhile, note, onDismiss, onReload, onKeep, onLetGo } = props;
  const [readNote, setReadNote] = useState('');
  const [closed, setClosed] = useState<Saving>();
  const problem = saving.state === 'failed' && saving !== closed ? saving.problem : undefined;
  const again = saving.state === 'failed' ? saving.again : undefined;
  const last = meanwhile[meanwhile.length - 1];
  return (
    <div
      data-notices
      className="absolute inset-x-4 bottom-4 z-40 flex flex-col items-center gap-2 text-[13px] pointer-events-none"
    >
      {last !== undefined && (
        <Notice role="status" look="bg-slate-tint border-slate" onClose={onDismiss}>
          Both kept. {last}
        </Notice>
      )}
      {note !== '' && note !== readNote && (
        <Notice
          role="status"
          look="bg-verdigris-tint border-verdigris"
          onClose={() => {
            setReadNote(note);
          }}
        >
          {note}
        </Notice>
      )}
      {problem && (
        <Notice
          role="alert"
          look="bg-brick-tint border-brick"
          onClose={
            problem.stale
              ? undefined
              : () => {
                  setClosed(saving);
                }
          }
        >
          {problem.message}{' '}
          {(problem.sameNode || problem.asksFirst) && again && (
            <Button
              className="!py-1"
              onClick={() => {
                onKeep(again);
              }}
            >
              {problem.sameNode ? 'Keep mine' : 'Bring mine back'}
            </Button>
          )}{' '}
          {problem.asksFirst && again && (
            <Button
              className="!py-1"
              onClick={() => {
                onLetGo(again);
              }}
            >
              Leave the library’s
            </Button>
          )}
          {problem.stale && (
            <Button className="!py-1" onClick={onReload}>
              {problem.sameNode ? 'Take theirs' : 'Load the newest state'}
            </Button>
          )}
        </Notice>
      )}
    </div>
  );
}

type NoticeProps = {
  role: 'status' | 'alert';
  look: string;
  onClose: (() => void) | undefined;
  children: ReactNode;
};

function Notice({ role, look, onClose, children }: NoticeProps) {
  return (
    <p role={role} className={`border px-3 py-2 max-w-lg pointer-events-auto ${look}`}>
      {children}
      {onClose && (
        <button type="button" className="underline underline-offset-2 ml-2" onClick={onClose}>
          Close
        </button>
      )}
    </p>
  );
}
