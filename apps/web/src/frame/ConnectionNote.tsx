import { useBuild } from '../build/BuildContext.ts';
import { useConnected } from '../live/liveConnection.ts';

/** Shown while the server is out of reach: what waits, and that nothing is lost. */
export function ConnectionNote() {
  const { waiting, unreachable, sendNow } = useBuild();
  const connected = useConnected();
  if (connected && !unreachable) return null;
  return (
    <div
      role="status"
      className="flex min-h-8 shrink-0 items-center gap-3 border-b-[1.5px] border-signal bg-panel px-4 text-[13px]"
    >
      <span className="font-medium text-signal">No connection</span>
      <span className="flex-1">
        {waiting === 0
          ? 'What others change is not seen here until it is back. You can go on working.'
          : `${waiting} ${waiting === 1 ? 'edit waits' : 'edits wait'} on this device and ${waiting === 1 ? 'is' : 'are'} sent, in order, when it is back.`}
      </span>
      {waiting > 0 && (
        <button type="button" className="act" onClick={sendNow}>
          Send now
        </button>
      )}
    </div>
  );
}
