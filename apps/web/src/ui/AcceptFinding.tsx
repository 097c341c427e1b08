import type { BareFinding } from '@brookrain/core';
import { useId, useState } from 'react';
import { useBuild } from '../build/BuildContext.ts';
import { authorName } from './preferences.ts';

/** Records why a warning is accepted as it is; worse numbers open it again. */
export function AcceptFinding({ finding, close }: { finding: BareFinding; close: () => void }) {
  const { edit } = useBuild();
  const id = useId();
  const [reason, setReason] = useState('');
  const [message, setMessage] = useState<string>();
  return (
    <form
      className="mt-1.5"
      onSubmit={(event) => {
        event.preventDefault();
        const outcome = edit({
          name: 'accept-finding',
          findingId: finding.id,
          acceptance: {
            title: finding.title,
            reason: reason.trim(),
            author: authorName(),
            time: new Date().toISOString(),
            measured: finding.measured?.value ?? null,
          },
        });
        if (outcome.ok) close();
        else setMessage(outcome.issues[0]?.message);
      }}
    >
      <label htmlFor={id} className="text-[13px] text-second">
        Why it is accepted; kept in the record
      </label>
      <input
        id={id}
        className="field"
        value={reason}
        autoFocus
        maxLength={500}
        aria-invalid={message !== undefined}
        onChange={(event) => setReason(event.target.value)}
      />
      {message && (
        <p role="alert" className="mt-1 text-[13px] text-signal">
          {message}
        </p>
      )}
      <div className="mt-1 flex gap-1.5">
        <button type="submit" className="act act-main text-[13px]">
          Accept it
        </button>
        <button type="button" className="act text-[13px]" onClick={close}>
          Leave it open
        </button>
      </div>
    </form>
  );
}
