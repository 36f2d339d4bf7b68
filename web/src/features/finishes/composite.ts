/** Values of several parts, taken apart and put together again as CSS text. */

/** The pieces of a text at top level; what stands in brackets or braces stays together. */
export function split(text: string, at: ',' | ' '): string[] {
  const pieces: string[] = [];
  let depth = 0;
  let piece = '';
  for (const c of text) {
    if (c === '(' || c === '{') depth++;
    if (c === ')' || c === '}') depth--;
    if (c === at && depth === 0) {
      if (piece.trim()) pieces.push(piece.trim());
      piece = '';
    } else piece += c;
  }
  if (piece.trim()) pieces.push(piece.trim());
  return pieces;
}

export type Shadow = {
  inset: boolean;
  x: string;
  y: string;
  blur: string;
  spread: string;
  colour: string;
};

const isLength = (word: string) => /^-?[\d.]+(px|rem|em|vw|vh)?$/.test(word);

/** The layers of a shadow; none for a text that is no shadow. */
export function readShadow(text: string): Shadow[] {
  if (text.trim() === 'none' || text.trim() === '') return [];
  const layers: Shadow[] = [];
  for (const layer of split(text, ',')) {
    const words = split(layer, ' ');
    const lengths = words.filter(isLength);
    const rest = words.filter((word) => !isLength(word) && word !== 'inset');
    const [x, y, blur = '0px', spread = '0px'] = lengths;
    if (x === undefined || y === undefined) return [];
    layers.push({
      inset: words.includes('inset'),
      x,
      y,
      blur,
      spread,
      colour: rest[0] ?? '#000000',
    });
  }
  return layers;
}

export function writeShadow(layers: readonly Shadow[]): string {
  if (layers.length === 0) return 'none';
  return layers
    .map((l) => `${l.inset ? 'inset ' : ''}${l.x} ${l.y} ${l.blur} ${l.spread} ${l.colour}`)
    .join(', ');
}

export type Stop = { colour: string; position: number };
export type Gradient = { angle: number; stops: Stop[] };

/** A straight gradient; undefined for anything else. */
export function readGradient(text: string): Gradient | undefined {
  const inner = /^linear-gradient\((.*)\)$/s.exec(text.trim())?.[1];
  if (inner === undefined) return undefined;
  const pieces = split(inner, ',');
  const angle = /^(-?[\d.]+)deg$/.exec(pieces[0] ?? '')?.[1];
  const stops = (angle === undefined ? pieces : pieces.slice(1)).map((piece, i, all) => {
    const words = split(piece, ' ');
    const position = /^(-?[\d.]+)%$/.exec(words[words.length - 1] ?? '')?.[1];
    return {
      colour: position === undefined ? piece : words.slice(0, -1).join(' '),
      position:
        position === undefined ? Math.round((100 * i) / Math.max(1, all.length - 1)) : +position,
    };
  });
  return stops.length < 2 ? undefined : { angle: angle === undefined ? 180 : +angle, stops };
}

export function writeGradient({ angle, stops }: Gradient): string {
  return `linear-gradient(${angle}deg, ${stops.map((s) => `${s.colour} ${s.position}%`).join(', ')})`;
}

export type Fluid = { least: number; greatest: number; from: number; to: number };

const rem = 16;
const round = (n: number) => String(Math.round(n * 10_000) / 10_000);

/** A size that grows evenly between two viewport widths; undefined for any other length. */
export function readFluid(text: string): Fluid | undefined {
  const found =
    /^clamp\(([\d.]+)px, (-?[\d.]+)rem \+ ([\d.]+)vw, ([\d.]+)px\)$/.exec(text.trim()) ?? undefined;
  if (!found) return undefined;
  const [least, start, slope, greatest] = found.slice(1).map(Number) as [
    number,
    number,
    number,
    number,
  ];
  const width = (size: number) => Math.round((size - start * rem) / (slope / 100));
  return { least, greatest, from: width(least), to: width(greatest) };
}

/** CSS clamp() between two widths; the constant part in rem, so that it follows the reader’s size. */
export function writeFluid({ least, greatest, from, to }: Fluid): string {
  const slope = (greatest - least) / (to - from);
  return `clamp(${least}px, ${round((least - slope * from) / rem)}rem + ${round(slope * 100)}vw, ${greatest}px)`;
}
