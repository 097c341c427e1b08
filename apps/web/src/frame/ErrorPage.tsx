import { Link, isRouteErrorResponse, useRouteError } from 'react-router';
import { Brand } from './Brand.tsx';

/** What went wrong, in one line. */
function reasonOf(error: unknown): string {
  if (isRouteErrorResponse(error)) return `${error.status} ${error.statusText}`;
  return error instanceof Error ? error.message : String(error);
}

/** Where the code of a screen could not be fetched: there is no connection to the workshop. */
const isUnreached = (error: unknown): boolean =>
  !navigator.onLine ||
  (error instanceof TypeError && /fetch|import|module|load/i.test(error.message));

/** Shown in the place of a page that failed: what happened, what is kept, what to do. */
export function ErrorPage() {
  const error = useRouteError();
  const unreached = isUnreached(error);
  return (
    <div className="flex h-full flex-col">
      <header className="flex h-10 shrink-0 items-center border-b-[1.5px] border-ink px-3">
        <Brand />
      </header>
      <main className="max-w-[620px] p-5" tabIndex={-1}>
        <h1>{unreached ? 'This screen cannot be fetched' : 'This screen failed'}</h1>
        <p className="mt-2">
          {unreached
            ? 'There is no connection to the workshop’s computer, and this screen was not on this device yet.'
            : 'Something in the program went wrong.'}{' '}
          Nothing that was entered is lost: what the workshop’s computer has not received yet waits
          on this device.
        </p>
        <p className="mt-1 text-[13px] text-second">{reasonOf(error)}</p>
        <p className="mt-4 flex gap-3">
          <button type="button" className="act act-main" onClick={() => location.reload()}>
            Try again
          </button>
          <Link className="act" to="/" reloadDocument>
            All builds
          </Link>
        </p>
      </main>
    </div>
  );
}
