import { beforeAll, describe, expect, it } from 'vitest';
import { quickCss } from './quickCss';
import type { Table, TokenRow } from './useFinishes';

function token(name: string, house: string, own: Record<string, string> = {}): TokenRow {
  const cell = (value: string) => ({ value, css: value, own: false, differs: false, chain: [] });
  return {
    id: name,
    name,
    type: 'color',
    form: '',
    property: `--${name.replace('.', '-')}`,
    description: '',
    retired: false,
    house: cell(house),
    sites: Object.fromEntries(Object.entries(own).map(([site, value]) => [site, cell(value)])),
    nodes: 0,
  };
}

const accent = token('color.accent', '#1f6f63');
const table: Table = {
  stamp: 1,
  revision: 1,
  draft: false,
  undo: '',
  redo: '',
  sites: [],
  tokens: [
    accent,
    token('color.label', '{color.accent}', { quay: '#111111' }),
    token('color.small', '{color.label}'),
    token('color.circle', '{color.circle}'),
    token('color.text', '#222222'),
  ],
  schemes: [{ id: 'dark', name: 'Dark', values: { 'color.label': '{color.text}' } }],
  styles: [],
  revisions: [],
};

describe('the quick drawing of a token', () => {
  beforeAll(() => {
    Object.assign(globalThis, { CSS: { supports: (_: string, value: string) => value !== 'x' } });
  });

  it('reaches plain aliases, and inside a scheme all that the scheme does not mean otherwise', () => {
    expect(quickCss(table, '', accent, '#abcdef')).toBe(
      ':root{--color-accent:#abcdef;--color-label:#abcdef;--color-small:#abcdef}' +
        '.scheme-dark{--color-accent:#abcdef}',
    );
  });

  it('stops where a site has a value of its own', () => {
    expect(quickCss(table, 'quay', accent, '#abcdef')).toContain(':root{--color-accent:#abcdef}');
  });

  it('leaves to the server what takes more', () => {
    expect(quickCss(table, '', accent, 'x')).toBe('');
    expect(quickCss(table, '', { ...accent, type: 'shadow' }, '0 0 1px red')).toBe('');
  });
});
