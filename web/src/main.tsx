import 'reflect-metadata';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { ApiError } from './data/api';
import { ToastArea } from './parts/toast';
import { router } from './routes';
import './theme.css';

const client = new QueryClient({
  defaultOptions: {
    queries: { staleTime: 15_000, retry: (count, error) => !(error instanceof ApiError) && count < 2 },
    mutations: { retry: (count, error) => !(error instanceof ApiError) && count < 3 },
  },
});

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <ToastArea>
        <RouterProvider router={router} />
      </ToastArea>
    </QueryClientProvider>
  </StrictMode>,
);
