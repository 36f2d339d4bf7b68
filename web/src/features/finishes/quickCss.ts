import type { Tried } from './useFinishes';

const tested: Record<string, string> = { color: 'color', dimension: 'width' };

/**
 * A style sheet that shows a token’s new value at once, until the server has drawn it. Empty for a
 * value or a type that takes more than setting custom properties.
 */
export function quickCss(type: string, follows: Tried['follows'], value: string): string {
  const property = tested[type];
  if (!property || !CSS.supports(property, value)) return '';
  return follows
    .map(({ selector, properties }) => {
      return `${selector}{${properties.map((name) => `${name}:${value}`).join(';')}}`;
    })
    .join('');
}
