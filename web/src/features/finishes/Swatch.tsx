const chequer = 'repeating-conic-gradient(#cfc8ba 0 25%, #ffffff 0 50%) 0 0 / 8px 8px';

type Props = { css: string; className?: string };

/** A colour or gradient, over a chequer where it lets light through. */
export function Swatch({ css, className = 'size-4' }: Props) {
  return (
    <span
      aria-hidden
      className={`inline-block shrink-0 border border-line ${className}`}
      style={{ background: `linear-gradient(${css}, ${css}), ${chequer}` }}
    />
  );
}

export function GradientSwatch({ css, className = 'size-4' }: Props) {
  return (
    <span
      aria-hidden
      className={`inline-block shrink-0 border border-line ${className}`}
      style={{ background: `${css === 'none' ? 'transparent' : css}, ${chequer}` }}
    />
  );
}
