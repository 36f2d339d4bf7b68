import type { Problem } from '../../api/client';
import type { Table } from './table';
import type { FinishesEdit } from './useFinishes';

/** What every part of the finishes area is given. */
export type Parts = {
  table: Table;
  /** The site in whose look specimens are drawn; empty for the house’s. */
  look: string;
  edit: (edit: FinishesEdit) => Promise<Problem | undefined>;
  /** Puts names and values into the address; an empty value takes the name out. */
  set: (entries: Record<string, string>) => void;
};

export function lookName(table: Table, look: string): string {
  return table.sites.find((site) => site.id === look)?.name ?? 'The house';
}
