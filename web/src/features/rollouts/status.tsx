import type { Schemas } from '../../api/client';

type Placement = Schemas['RolloutPlacement'];

/** The keys of what a placement waits for, also of what is asked once for its site. */
export function openKeys(placement: Placement, decided: Record<string, string>): string[] {
  return [...placement.questions.map((q) => q.key), ...placement.siteQuestions].filter(
    (key) => !decided[key],
  );
}

/** A placement's state as a small drawn sign: told by shape and word, not by colour alone. */
export function StatusGlyph({ status, decided }: { status: string; decided: boolean }) {
  const shown = status === 'to_decide' && decided ? 'decided' : status;
  return (
    <svg viewBox="0 0 14 14" className="size-3.5" aria-hidden>
      {shown === 'clean' && <rect x="1" y="1" width="12" height="12" fill="#1f6f63" />}
      {shown === 'stand' && (
        <>
          <rect x="1" y="1" width="12" height="12" fill="#1f6f63" />
          <path d="M1 13 L13 1 V13Z" fill="#c98a1b" />
        </>
      )}
      {shown === 'to_decide' && <path d="M7 0 L14 7 L7 14 L0 7Z" fill="#a5321d" />}
      {shown === 'decided' && (
        <path d="M7 1 L13 7 L7 13 L1 7Z" fill="none" stroke="#1f6f63" strokeWidth="2" />
      )}
      {shown === 'held' && (
        <>
          <rect x="1.5" y="1.5" width="11" height="11" fill="none" stroke="#3f5b82" />
          <path d="M2 8 L8 2 M2 12 L12 2 M6 12 L12 6" stroke="#3f5b82" strokeWidth="1.5" />
        </>
      )}
      {shown === 'nothing_to_see' && (
        <rect x="1.5" y="1.5" width="11" height="11" fill="none" stroke="#9a9488" />
      )}
    </svg>
  );
}

/** The same state in words. */
export function statusWords(placement: Placement, decided: Record<string, string>): string {
  switch (placement.status) {
    case 'to_decide': {
      const open = openKeys(placement, decided);
      const [only] = open;
      if (only === undefined) return 'decided';
      const here = placement.questions.find((q) => q.key === only);
      if (open.length > 1) return `${open.length} to decide`;
      return here ? here.label.toLowerCase() : 'for the site';
    }
    case 'stand': {
      const standing = placement.verdicts.filter((v) => v.verdict === 'stands').length;
      return standing === 0 ? 'clean' : `${standing} local ${standing === 1 ? 'stands' : 'stand'}`;
    }
    case 'held':
      return 'held';
    case 'nothing_to_see':
      return 'nothing to see';
    default:
      return 'clean';
  }
}
