import type { Table, TokenRow } from './useFinishes';

const tested: Record<string, string> = { color: 'color', dimension: 'width' };

/**
 * A style sheet that shows a token’s new value at once, until the server has drawn it: the token and
 * the plain aliases of it, outside schemes that mean something else by them. Empty for anything that
 * takes more than that.
 */
export function quickCss(table: Table, look: string, token: TokenRow, value: string): string {
  const property = tested[token.type];
  if (!property || !CSS.supports(property, value)) return '';
  const stored = (row: TokenRow) => row.sites[look]?.value || row.house.value;
  const follows = (row: TokenRow, seen: readonly string[] = []): boolean => {
    if (row.id === token.id) return true;
    const to = /^\{([^{}#]+)\}$/.exec(stored(row))?.[1];
    const next = table.tokens.find((t) => t.name === to);
    return next !== undefined && !seen.includes(next.id) && follows(next, [...seen, row.id]);
  };
  const rows = table.tokens.filter((row) => follows(row));
  const rules = [{ selector: ':root', values: {} as Record<string, string> }].concat(
    table.schemes.map((scheme) => ({
      selector: `.scheme-${scheme.id.replace(/[^A-Za-z0-9_-]/g, '-')}`,
      values: scheme.values,
    })),
  );
  return rules
    .map(({ selector, values }) => {
      const set = rows.filter((row) => !(row.id in values));
      return `${selector}{${set.map((row) => `${row.property}:${value}`).join(';')}}`;
    })
    .join('');
}
