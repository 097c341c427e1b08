import {
  type SizedWire,
  echoQuantity,
  formatMeasure,
  parseQuantity,
  electricsFigure,
} from '@brookrain/core';
import { useEffect, useId, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { useUnits } from '../../ui/preferences.ts';

/** Length of a wire as measured or planned; empty means estimated from the map. */
export function WireLengthField({ sized }: { sized: SizedWire }) {
  const { edit, results } = useBuild();
  const [units] = useUnits();
  const id = useId();
  const typed = sized.wire.decision?.length.typed ?? null;
  const kept = typed ? echoQuantity(typed, 'length') : '';
  const [text, setText] = useState(kept);
  const [message, setMessage] = useState<string>();
  useEffect(() => setText(kept), [kept]);
  const estimate =
    results.find(electricsFigure('wire.mapLength', { wire: sized.wire.id }))?.value ?? 0;
  const commit = (): void => {
    if (text.trim() === kept) return setMessage(undefined);
    const parsed =
      text.trim() === ''
        ? { ok: true as const, quantity: null }
        : parseQuantity({ text, kind: 'length', defaultUnit: typed?.unit ?? 'm' });
    if (!parsed.ok) return setMessage(parsed.message);
    const outcome = edit({
      name: 'set-wire-length',
      wireId: sized.wire.id,
      length: { typed: parsed.quantity, measured: null },
    });
    setMessage(outcome.ok ? undefined : outcome.issues[0]?.message);
  };
  return (
    <div>
      <label htmlFor={id} className="grid grid-cols-[1fr_128px] items-center gap-2">
        <span>Length</span>
        <input
          id={id}
          className="field text-right"
          value={text}
          placeholder={`${formatMeasure({ value: estimate, kind: 'length' }, units)}, map`}
          aria-invalid={message !== undefined}
          aria-describedby={message ? `${id}-message` : undefined}
          onChange={(event) => setText(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => event.key === 'Enter' && commit()}
        />
      </label>
      {message && (
        <p id={`${id}-message`} role="alert" className="mt-1 text-[13px] text-signal">
          {message}
        </p>
      )}
    </div>
  );
}
