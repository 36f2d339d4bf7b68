/**
 * The places in a list whose numbers grow, as many as there can be (the longest increasing
 * subsequence, Fredman 1975): what stands there may stay when a list is put in order, and only the
 * rest is moved.
 */
export function staying(numbers: readonly number[]): ReadonlySet<number> {
  /** For each length, the place where a growing run of that length ends with the least number. */
  const ends: number[] = [];
  const before: (number | undefined)[] = [];
  numbers.forEach((number, place) => {
    let low = 0;
    let high = ends.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((numbers[ends[middle] ?? 0] ?? 0) < number) low = middle + 1;
      else high = middle;
    }
    before[place] = ends[low - 1];
    ends[low] = place;
  });
  const stay = new Set<number>();
  for (let at = ends[ends.length - 1]; at !== undefined; at = before[at]) stay.add(at);
  return stay;
}

/** Puts an element's children in an order; what is not among them is removed, the fewest are moved. */
export function putInOrder(parent: Element, children: readonly Element[]) {
  const wanted = new Set(children);
  for (const child of [...parent.children]) if (!wanted.has(child)) child.remove();
  const standing = new Map([...parent.children].map((child, place) => [child, place]));
  const known = children.filter((child) => standing.has(child));
  const stay = staying(known.map((child) => standing.get(child) ?? 0));
  const stays = new Set(known.filter((_, place) => stay.has(place)));
  let next: Element | null = null;
  for (const child of [...children].reverse()) {
    if (!stays.has(child)) parent.insertBefore(child, next);
    next = child;
  }
}
