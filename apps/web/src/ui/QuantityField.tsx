import {
  type Quantity,
  type UnitKind,
  echoQuantity,
  parseQuantity,
  usualUnit,
} from '@brookrain/core';
import { useEffect, useId, useState } from 'react';
import { useBuild } from '../build/BuildContext.ts';
import { useUnits } from './preferences.ts';

type Props = {
  label: string;
  path: string;
  kind: UnitKind;
  value: Quantity | null;
  /** unit taken for a bare number when nothing was typed before */
  unit: string;
  /** what applies while the field is empty; makes the field optional */
  whenEmpty?: string | undefined;
};

/** A quantity typed freely with its unit, echoed as typed; refused input stays with its reason. */
export function QuantityField({ label, path, kind, value, unit, whenEmpty }: Props) {
  const { edit } = useBuild();
  const id = useId();
  const [reading] = useUnits();
  const kept = value ? echoQuantity(value, kind, reading.numbers) : '';
  const [text, setText] = useState(kept);
  const [message, setMessage] = useState<string>();
  useEffect(() => {
    setText(kept);
    setMessage(undefined);
  }, [kept]);

  const commit = (): void => {
    if (text.trim() === kept) {
      setText(kept);
      setMessage(undefined);
      return;
    }
    if (text.trim() === '' && whenEmpty !== undefined) {
      edit({ name: 'set', path, value: null });
      return;
    }
    const parsed = parseQuantity({
      text,
      kind,
      defaultUnit: value?.unit ?? usualUnit(reading, kind, unit),
    });
    if (!parsed.ok) {
      setMessage(parsed.message);
      return;
    }
    const outcome = edit({ name: 'set', path, value: parsed.quantity });
    if (outcome.ok) {
      setText(echoQuantity(parsed.quantity, kind, reading.numbers));
      setMessage(undefined);
    } else setMessage(outcome.issues[0]?.message);
  };

  return (
    <div>
      <label htmlFor={id} className="grid grid-cols-[1fr_128px] items-center gap-2">
        <span className="leading-[18px]">{label}</span>
        <input
          id={id}
          className="field text-right"
          value={text}
          placeholder={whenEmpty}
          spellCheck={false}
          autoComplete="off"
          aria-invalid={message !== undefined}
          aria-describedby={message ? `${id}-message` : undefined}
          onChange={(event) => setText(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === 'Enter') commit();
            if (event.key === 'Escape') {
              setText(kept);
              setMessage(undefined);
            }
          }}
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
