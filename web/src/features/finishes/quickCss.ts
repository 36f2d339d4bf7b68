import type { Table, TokenRow } from './useFinishes';

const tested: Record<string, string> = { color: 'color', dimension: 'width' };

type Values = Readonly<Record<string, string>>;

/**
 * A style sheet that shows a token’s new value at once, until the server has drawn it: the token and
 * the plain aliases of it, in every scheme that means no other by them. Empty for anything that
 * takes more than that.
 */
export function quickCss(table: Table, look: string, token: TokenRow, value: string): string {
  const property = tested[token.type];
  if (!property || !CSS.supports(property, value)) return '';
  const stored = (row: TokenRow) => row.sites[look]?.value || row.house.value;
  /** Whether a token leads to the one in hand by plain aliases, inside a scheme with these values. */
  const follows = (row: TokenRow, values: Values, seen: readonly string[] = []): boolean => {
    const inScheme = values[row.id];
    if (inScheme === undefined && row.id === token.id) return true;
    const to = /^\{([^{}#]+)\}$/.exec(inScheme ?? stored(row))?.[1];
    const next = table.tokens.find((t) => t.name === to);
    if (!next || seen.includes(next.id)) return false;
    // What a scheme's value names is looked up outside the scheme.
    return follows(next, inScheme === undefined ? values : {}, [...seen, row.id]);
  };
  const rules = [{ selector: ':root', values: {} as Values }].concat(
    table.schemes.map((scheme) => ({
      selector: `.scheme-${scheme.id.replace(/[^A-Za-z0-9_-]/g, '-')}`,
      values: scheme.values,
    })),
  );
  return rules
    .map(({ selector, values }) => {
      const set = table.tokens.filter((row) => follows(row, values));
      return `${selector}{${set.map((row) => `${row.property}:${value}`).join(';')}}`;
    })
    .join('');
}
