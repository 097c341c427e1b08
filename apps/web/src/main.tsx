import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { Toaster } from 'sonner';
import './app/styles.css';
import { router } from './app/router.tsx';
import { fetchAhead } from './build/buildQueries.ts';

const queries = new QueryClient({
  defaultOptions: { queries: { staleTime: Infinity, retry: 1, refetchOnWindowFocus: false } },
});

fetchAhead(queries, location.pathname);

// Screens and the builds that were open stay on the device; while developing they would be stale.
if (import.meta.env.PROD && 'serviceWorker' in navigator) {
  addEventListener('load', () => void navigator.serviceWorker.register('/offline.js'));
}

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
      <Toaster
        position="bottom-center"
        toastOptions={{
          style: {
            background: 'var(--panel)',
            color: 'var(--ink)',
            border: '1.5px solid var(--ink)',
            borderRadius: 2,
            boxShadow: 'none',
            font: '14px/20px var(--font-sans)',
          },
        }}
      />
    </QueryClientProvider>
  </StrictMode>,
);
