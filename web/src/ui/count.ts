/** A number with its word: 1 page, 2 pages. */
export function count(n: number, one: string, many = `${one}s`): string {
  return `${n.toLocaleString('en-GB')} ${n === 1 ? one : many}`;
}

/** How far a piece reaches, in words. */
export function reachWords(reach: { placements: number; pages: number; sites: number }): string {
  if (reach.placements === 0) return 'not placed yet';
  return `${count(reach.placements, 'placement')} on ${count(reach.pages, 'page')} of ${count(reach.sites, 'site')}`;
}

/** A list of names as a sentence has it. */
export function names(list: readonly string[]): string {
  if (list.length < 2) return list.join('');
  return `${list.slice(0, -1).join(', ')} and ${list[list.length - 1]}`;
}

export function when(instant: string): string {
  return new Date(instant).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });
}

/** A contrast ratio, cut and not rounded, so that 4.496 does not read as if it passed. */
export function ratio(n: number): string {
  return n > 0 ? (Math.floor(n * 100) / 100).toFixed(2) : '–';
}
