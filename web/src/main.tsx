import 'reflect-metadata';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import './features/writes';
import { ApiError } from './lib/api';
import { registerWrites } from './lib/writes';
import { router } from './routes';
import './theme.css';
import { ToastArea } from './ui/toast';

const client = new QueryClient({
  defaultOptions: {
    queries: { staleTime: 15_000, retry: (count, error) => !(error instanceof ApiError) && count < 2 },
    mutations: { retry: (count, error) => !(error instanceof ApiError) && count < 3 },
  },
});
registerWrites(client);

const root = document.getElementById('root');
if (!root) throw new Error('the page has no root element');
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <ToastArea>
        <RouterProvider router={router} />
      </ToastArea>
    </QueryClientProvider>
  </StrictMode>,
);
