import type { QueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../../api/client';

type TableAnswer = Schemas['Table'];
export type TokenRow = Schemas['TokenRow'];
/** The finishes as rows and columns, whole. */
export type Table = Omit<TableAnswer, 'order'>;

const tableKey = ['finishes'];

/** An answer put together with the table that was there before; rows that did not change stay the same objects. */
export function mergedTable(before: Table | undefined, now: TableAnswer): Table {
  const { order, ...rest } = now;
  const rows = new Map([...(before?.tokens ?? []), ...now.tokens].map((row) => [row.id, row]));
  const ids = order ?? before?.tokens.map((row) => row.id) ?? [];
  return { ...rest, tokens: ids.flatMap((id) => rows.get(id) ?? []) };
}

export function tableNow(queries: QueryClient): Table | undefined {
  return queries.getQueryData<Table>(tableKey);
}

/** Asks for a table, by an edit or by looking, and takes in what is new in it. */
export async function taken(
  queries: QueryClient,
  ask: (had: string, version: number) => Promise<TableAnswer>,
): Promise<Table> {
  const before = tableNow(queries);
  return mergedTable(before, await ask(before?.telling ?? '', before?.stamp ?? 0));
}

export function putTable(queries: QueryClient, table: Table): void {
  queries.setQueryData(tableKey, table);
}

export function tableQuery(queries: QueryClient) {
  return {
    queryKey: tableKey,
    queryFn: () => taken(queries, lookedAt),
    structuralSharing: false,
  };
}

export function lookedAt(had: string): Promise<TableAnswer> {
  return answer(api.GET('/api/finishes', { params: { query: { had } } }));
}
