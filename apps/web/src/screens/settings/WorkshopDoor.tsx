import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ApiError, api } from '../../api/client.ts';
import { shownTime } from '../../ui/shownTime.ts';

/** Whether phones in the workshop may use the program, and which: only on the computer it runs on. */
export function WorkshopDoor() {
  const queries = useQueryClient();
  const workshop = useQuery({ queryKey: ['workshop'], queryFn: api.workshop, retry: false });
  const keep = { onSuccess: (state: unknown) => queries.setQueryData(['workshop'], state) };
  const open = useMutation({ mutationFn: api.openWorkshop, ...keep });
  const drop = useMutation({ mutationFn: api.dropDevice, ...keep });
  const code = useMutation({ mutationFn: api.pairingCode });
  const { data } = workshop;
  const failed = open.error ?? drop.error ?? code.error;
  if (workshop.error instanceof ApiError && workshop.error.status === 403) {
    return (
      <section aria-label="Workshop">
        <h2>Workshop</h2>
        <p className="text-[13px] text-second">
          This device is paired. Who else is, is decided on the computer that Brookrain runs on.
        </p>
      </section>
    );
  }
  const isOpen = (data?.urls.length ?? 0) > 0;
  return (
    <section aria-label="Workshop">
      <h2>Workshop</h2>
      <p className="text-[13px] text-second">
        {isOpen
          ? 'Other devices in this network find it; only those that are paired are let in.'
          : 'Only this computer reaches it. Opened to the workshop, a phone at the vehicle can use it, once it is paired.'}
      </p>
      {failed && (
        <p role="alert" className="mt-1 text-signal">
          {failed.message}
        </p>
      )}
      {data && (
        <div className="mt-2 flex flex-wrap gap-2">
          {data.canBeClosed && (
            <button
              type="button"
              className="act"
              disabled={open.isPending}
              onClick={() => {
                code.reset();
                open.mutate(!isOpen);
              }}
            >
              {isOpen ? 'Close it to the workshop' : 'Open it to the workshop'}
            </button>
          )}
          {isOpen && (
            <button
              type="button"
              className="act"
              disabled={code.isPending}
              onClick={() => code.mutate()}
            >
              Pair a device
            </button>
          )}
        </div>
      )}
      {isOpen && code.data && (
        <div className="mt-3 flex flex-wrap items-start gap-4">
          <img
            width="168"
            height="168"
            className="border border-hair bg-white"
            src={`data:image/svg+xml;utf8,${encodeURIComponent(code.data.picture)}`}
            alt="Address and code, to be read by a camera"
          />
          <div>
            <p className="text-[13px] text-second">Point the camera at it, or open</p>
            <p className="font-code">{code.data.address}</p>
            <p className="mt-2 text-[13px] text-second">and type</p>
            <p className="font-code text-[24px] tracking-[0.12em]" aria-label="Code">
              {code.data.code}
            </p>
            <p className="mt-2 text-[13px] text-second">
              Once, until {shownTime(code.data.until)}.
            </p>
            <button
              type="button"
              className="act mt-2"
              onClick={() => {
                code.reset();
                void queries.invalidateQueries({ queryKey: ['workshop'] });
              }}
            >
              It is paired
            </button>
          </div>
        </div>
      )}
      {data && data.devices.length > 0 && (
        <table className="table-lined mt-3 w-full" aria-label="Paired devices">
          <thead>
            <tr>
              <th>Device</th>
              <th>Seen</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {data.devices.map((device) => (
              <tr key={device.id}>
                <td>{device.name}</td>
                <td>{shownTime(device.seenAt)}</td>
                <td className="text-right">
                  <button
                    type="button"
                    className="act"
                    disabled={drop.isPending}
                    onClick={() => drop.mutate(device.id)}
                    aria-label={`Drop ${device.name}`}
                  >
                    Drop
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {isOpen && (
        <p className="mt-2 text-[13px] text-second">
          {data?.urls.join(' · ')}. What is sent there is not encrypted: open it in a network of
          your own only.
        </p>
      )}
    </section>
  );
}
