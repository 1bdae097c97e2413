/** The web application: where each address leads. */
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Link, RouterProvider } from 'react-router';
import { OpenedProject } from './OpenedProject.tsx';
import { places } from './places.tsx';
import { ProjectList } from './projects/ProjectList.tsx';
import './styles.css';

function NotHere() {
  return (
    <main className="mx-auto mt-24 flex max-w-md flex-col items-start gap-3 p-4">
      <h1 className="text-xl font-semibold">There is nothing at this address.</h1>
      <Link className="btn" to="/">
        To the projects
      </Link>
    </main>
  );
}

const router = createBrowserRouter([
  { path: '/', element: <ProjectList /> },
  {
    path: '/projects/:id',
    element: <OpenedProject />,
    children: places.map(({ path, Shows }) =>
      path === '' ? { index: true, element: <Shows /> } : { path, element: <Shows /> },
    ),
  },
  { path: '*', element: <NotHere /> },
]);

const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: true } } });

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
    </QueryClientProvider>
  </StrictMode>,
);
