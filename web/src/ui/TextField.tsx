import type { ComponentProps } from 'react';

type Props = ComponentProps<'input'> & { label: string; hint?: string };

/** One line of text with its name above it. */
export function TextField({ label, hint, className = '', ...rest }: Props) {
  return (
    <label className="block">
      <span className="font-medium">{label}</span>
      {hint && <span className="text-soft"> {hint}</span>}
      <input
        {...rest}
        className={`mt-1 w-full border border-line bg-sheet px-3 py-2 rounded-[2px] ${className}`}
      />
    </label>
  );
}
