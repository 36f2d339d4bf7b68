import { beforeAll, describe, expect, it } from 'vitest';
import { quickCss } from './quickCss';

const follows = [
  { selector: ':root', properties: ['--color-accent', '--color-label'] },
  { selector: '.scheme-dark', properties: ['--color-accent'] },
];

describe('the quick drawing of a token', () => {
  beforeAll(() => {
    Object.assign(globalThis, { CSS: { supports: (_: string, value: string) => value !== 'x' } });
  });

  it('sets all that follows, outside and inside schemes', () => {
    expect(quickCss('color', follows, '#abcdef')).toBe(
      ':root{--color-accent:#abcdef;--color-label:#abcdef}.scheme-dark{--color-accent:#abcdef}',
    );
  });

  it('leaves to the server what takes more', () => {
    expect(quickCss('color', follows, 'x')).toBe('');
    expect(quickCss('shadow', follows, '0 0 1px red')).toBe('');
    expect(quickCss('color', [], '#abcdef')).toBe('');
  });
});
