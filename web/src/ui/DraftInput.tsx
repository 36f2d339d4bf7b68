import type { ComponentProps } from 'react';
import type { useDraft } from './useDraft';

type Props = Omit<ComponentProps<'input'>, 'value' | 'onChange' | 'onBlur' | 'onKeyDown'> & {
  draft: ReturnType<typeof useDraft>;
  /** Told what is being typed; nothing once it is left. */
  onTry?: (value: string | undefined) => void;
};

/**
 * A line to type into: Enter and leaving it save, Esc brings back what stood, and
 * once more goes back to the canvas.
 */
export function DraftInput({ draft, onTry, ...rest }: Props) {
  return (
    <input
      {...rest}
      value={draft.text}
      aria-invalid={draft.problem !== undefined}
      onChange={(e) => {
        draft.typed(e.target.value);
        onTry?.(e.target.value);
      }}
      onBlur={() => void draft.leave()}
      onKeyDown={(e) => {
        if (e.key === 'Enter') void draft.commit();
        else if (e.key === 'Escape' && !draft.dirty) e.currentTarget.blur();
        else if (e.key === 'Escape') {
          draft.drop();
          onTry?.(undefined);
        }
      }}
    />
  );
}
