/** What the widths of a row's columns are said in. */
export type Unit = 'TWELFTHS' | 'PER_CENT';

/** The least that a column may have when any width will do. */
const least: Record<Unit, number> = { TWELFTHS: 0.25, PER_CENT: 1 };

export function hundredths(value: number): number {
  return Math.round(value * 100) / 100;
}

/**
 * What the left one of two neighbouring columns gets of what both have, as the core will settle it
 * (`RowEdits.Unit`, against which this is held).
 *
 * @param both the width of the two together, in the unit
 * @param wanted the width that the left one is to have
 * @param free whether in hundredths; otherwise in whole ones
 */
export function divided(unit: Unit, both: number, wanted: number, free: boolean): number {
  const smallest = Math.min(free ? least[unit] : 1, both / 2);
  const rounded = free ? hundredths(wanted) : Math.round(wanted);
  return Math.max(smallest, Math.min(rounded, both - smallest));
}
