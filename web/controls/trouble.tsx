import { Link, useRouteError } from 'react-router';
import { Button } from './button';
import { ApiError, Unreachable } from '../ground/api';

/** A page of a few words, with the way on. */
export function Page({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <main className="mx-auto max-w-2xl p-8">
      <h1 className="mb-3 text-3xl">{title}</h1>
      {children}
    </main>
  );
}

/** When a screen breaks: what is stored is safe, and the way on. */
export function Trouble() {
  const error = useRouteError();
  return (
    <Page title="This screen broke">
      <p className="mb-2">
        What you had stored is safe. Load the page again, or go back to the projects.
      </p>
      <p className="mb-5 text-sm text-soft">
        {error instanceof Error ? error.message : String(error)}
      </p>
      <Button look="solid" onClick={() => window.location.reload()}>
        Load again
      </Button>{' '}
      <Link to="/" reloadDocument className="ml-3 underline">
        Projects
      </Link>
    </Page>
  );
}

/** An address that leads nowhere. */
export function NotThere({ what = 'page' }: { what?: string }) {
  return (
    <Page title={`There is no such ${what}`}>
      <p className="mb-4">It may have been removed. Undo brings removed things back.</p>
      <Link to="/" className="underline">
        Projects
      </Link>
    </Page>
  );
}

/** While something is loaded, and when it can't be. */
export function LoadState({ error, what }: { error: Error | null; what: string }) {
  if (error instanceof ApiError && error.status === 404) return <NotThere what={what} />;
  if (error) {
    return (
      <Page title={`The ${what} could not be loaded`}>
        <p>
          {error instanceof Unreachable
            ? 'The server does not answer. Is it still running?'
            : error.message}
        </p>
      </Page>
    );
  }
  return (
    <main className="p-8 text-soft" aria-busy="true">
      Loading the {what}…
    </main>
  );
}
