import { ArrowLeft } from 'lucide-react';
import { Suspense } from 'react';
import { Link, Outlet, useLocation, useParams } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { BuildProvider } from '../../build/BuildProvider.tsx';
import { ConflictDialog } from '../../frame/ConflictDialog.tsx';
import { useConnected } from '../../live/liveConnection.ts';
import { RecordContext } from '../../record/RecordContext.tsx';
import { useRecord } from '../../record/useRecord.ts';

/** The frame of the pages at the vehicle: one thing a screen, whatever the connection does. */
export function AtFrame() {
  const { buildId = '' } = useParams();
  return (
    <BuildProvider key={buildId} id={buildId}>
      <Opened />
    </BuildProvider>
  );
}

function Opened() {
  const { id, revision, document: build, waiting: edits, unreachable } = useBuild();
  const record = useRecord(id, revision);
  const connected = useConnected();
  const waiting = record.waiting + edits;
  const { pathname, search } = useLocation();
  const isHome = /^\/at\/[^/]+\/?$/.test(pathname);
  return (
    <RecordContext value={record}>
      <div className="flex h-full flex-col">
        <header className="flex min-h-14 shrink-0 items-center gap-3 border-b-[1.5px] border-ink px-3">
          <Link
            // Of one plug or one wire it leads back to their list.
            to={isHome ? `/builds/${id}` : search === '' ? `/at/${id}` : pathname}
            aria-label={isHome ? 'To the build' : 'To what is done at the vehicle'}
            className="grid h-12 w-12 place-items-center"
          >
            <ArrowLeft size={24} aria-hidden />
          </Link>
          <span className="min-w-0 flex-1 truncate text-[20px] font-medium">{build.name}</span>
          <span role="status" className="text-right text-[14px] leading-[18px]">
            {waiting > 0 ? (
              <span className="text-signal">
                {waiting} {waiting === 1 ? 'entry waits' : 'entries wait'}
              </span>
            ) : connected && !record.unreachable && !unreachable ? (
              <span className="text-second">all is kept</span>
            ) : (
              <span className="text-signal">no connection</span>
            )}
          </span>
        </header>
        <div className="min-h-0 flex-1 overflow-y-auto">
          <Suspense fallback={<p className="p-4 text-second">Opening</p>}>
            <Outlet />
          </Suspense>
        </div>
        <ConflictDialog />
      </div>
    </RecordContext>
  );
}
