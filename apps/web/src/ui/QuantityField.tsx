import {
  type Path,
  type Quantity,
  type QuantitySpec,
  documentSpec,
  echoQuantity,
  parseQuantity,
  pathText,
  specAt,
  usualUnit,
  valueAt,
} from '@brookrain/core';
import { useEffect, useId, useState } from 'react';
import { useBuild } from '../build/BuildContext.ts';
import { useUnits } from './preferences.ts';

type Props = {
  /** where it stands in the build; what it is called and measured in is declared there */
  path: Path;
  /** another name than the declared one */
  label?: string | undefined;
  /** what applies while the field is empty */
  whenEmpty?: string | undefined;
};

/** The declaration and the value of a quantity of the open build. */
function useQuantity(path: Path): { spec: QuantitySpec; value: Quantity | null } {
  const { stored } = useBuild();
  const spec = specAt(documentSpec, path, stored);
  if (spec?.type !== 'quantity') throw new RangeError(`${pathText(path)} is no quantity`);
  return { spec, value: (valueAt(stored, path) ?? null) as Quantity | null };
}

/** A quantity typed freely with its unit, echoed as typed; refused input stays with its reason. */
export function QuantityField({ path, label, whenEmpty }: Props) {
  const { edit } = useBuild();
  const { spec, value } = useQuantity(path);
  const { kind } = spec;
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
    if (text.trim() === '' && spec.optional) {
      edit({ name: 'set', path, value: null });
      return;
    }
    const parsed = parseQuantity({
      text,
      kind,
      defaultUnit: value?.unit ?? usualUnit(reading, kind, spec.unit),
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
      <label
        htmlFor={id}
        title={spec.help}
        className="grid grid-cols-[1fr_128px] items-center gap-2"
      >
        <span className="leading-[18px]">{label ?? spec.label}</span>
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
