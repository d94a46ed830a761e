import { QueryClientProvider } from '@tanstack/react-query';
import { RouterProvider } from 'react-router';
import { LengthsProvider } from '../ground/lengths-context';
import { queryClient } from '../ground/query-client';
import { router } from './router';

/** The app with its one cache, the person's unit, and its addresses. */
export function App() {
  return (
    <QueryClientProvider client={queryClient}>
      <LengthsProvider>
        <RouterProvider router={router} />
      </LengthsProvider>
    </QueryClientProvider>
  );
}
