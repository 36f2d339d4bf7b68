/** A page as it can be chosen. */
export type Choosable = { id: string; title: string; kind: string; parent: string };

/** Several pages that belong together; the link says what makes them do so. */
export type Lot = { link: string; title: string; pages: readonly string[] };

/** What can be chosen in one go: all pages of a kind, and all that are filed under one. */
export function lots(
  pages: readonly Choosable[],
  kinds: readonly { word: string; title: string }[],
): Lot[] {
  const ofKinds = kinds
    .filter(({ word }) => word !== 'page' && word !== 'home' && word !== 'error')
    .map(({ word, title }) => ({
      link: `role:${word}`,
      title: `of the kind ${title.toLowerCase()}`,
      pages: pages.filter(({ kind }) => kind === word).map(({ id }) => id),
    }));
  const below = pages.map(({ id, title }) => ({
    link: `page:${id}`,
    title: `under ${title}`,
    pages: pages.filter(({ parent }) => parent === id).map((page) => page.id),
  }));
  return [...ofKinds, ...below].filter((lot) => lot.pages.length > 1);
}

/** With a page in it at the end, or without it. */
export function toggled(chosen: readonly string[], page: string): readonly string[] {
  return chosen.includes(page) ? chosen.filter((id) => id !== page) : [...chosen, page];
}

/** With all of several pages in it; those that are there already stay where they are. */
export function withLot(
  chosen: readonly string[],
  { pages }: Pick<Lot, 'pages'>,
): readonly string[] {
  return [...chosen, ...pages.filter((id) => !chosen.includes(id))];
}

/** In the order of their titles, as they are sorted where the reader is. */
export function byTitle(chosen: readonly string[], pages: readonly Choosable[]): readonly string[] {
  const title = (id: string) => pages.find((page) => page.id === id)?.title ?? '';
  return [...chosen].sort((a, b) => title(a).localeCompare(title(b)));
}

/** With a page one place further up or down. */
export function stepped(chosen: readonly string[], page: string, by: -1 | 1): readonly string[] {
  const at = chosen.indexOf(page);
  const to = at + by;
  if (at < 0 || to < 0 || to >= chosen.length) return chosen;
  const next = chosen.filter((id) => id !== page);
  next.splice(to, 0, page);
  return next;
}
