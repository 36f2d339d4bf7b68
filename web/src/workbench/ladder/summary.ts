import type { Schemas } from '../../api/client';

type Contribution = Schemas['Contribution'];

export type Summary = { label: string; value: string; swatch?: string; local: boolean };

const sides = ['Padding top', 'Padding right', 'Padding bottom', 'Padding left'];
const isColour = (css: string) => /^(#|rgb)/.test(css);
const short = (css: string) => css.replace(/px$/, '').split(',')[0] ?? css;

const words: Record<string, string> = {
  Typeface: 'type',
  'Text size': 'size',
  'Text colour': 'text',
  Background: 'ground',
  'Content width': 'width',
  'Minimum height': 'at least',
  'Row gap': 'row gap',
  'Column gap': 'column gap',
  'Column widths': 'columns',
  'Corner radius': 'radius',
};

/** What a box contributes, in as few words as will do: padding in one, colours as swatches. */
export function summary(contributes: readonly Contribution[]): Summary[] {
  const list: Summary[] = [];
  const padding = sides.map((side) => contributes.find((c) => c.label === side));
  if (padding.some(Boolean)) {
    list.push({
      label: 'padding',
      value: padding.map((side) => (side ? short(side.css) : '0')).join(' '),
      local: padding.some((side) => side?.local),
    });
  }
  for (const item of contributes) {
    if (sides.includes(item.label)) continue;
    const label = words[item.label] ?? item.label.toLowerCase();
    list.push(
      isColour(item.css)
        ? { label, value: '', swatch: item.css, local: item.local }
        : { label, value: short(item.css), local: item.local },
    );
  }
  return list;
}
