import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';

/** What stands around everything that asks the server, for tests: nothing is asked twice. */
export function withQueries(
  client = new QueryClient({ defaultOptions: { queries: { retry: false } } }),
) {
  return function Queries({ children }: { children: ReactNode }) {
    return <QueryClientProvider client={client}>{children}</QueryClientProvider>;
  };
}
