import { MutationCache, QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { Problem } from './api/client';
import { App } from './App';
import './index.css';

function onSignedOut(error: Error) {
  if (error instanceof Problem && error.status === 401) {
    void client.invalidateQueries({ queryKey: ['session'] });
  }
}

const client = new QueryClient({
  queryCache: new QueryCache({ onError: onSignedOut }),
  mutationCache: new MutationCache({ onError: onSignedOut }),
  defaultOptions: { queries: { retry: false, refetchOnWindowFocus: false } },
});

const root = document.getElementById('root');
if (!root) throw new Error('index.html has no element with the id root');
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      {/* Drawn before the next key or click is taken: what they act on is what was asked for last. */}
      <BrowserRouter useTransitions={false}>
        <App />
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);
