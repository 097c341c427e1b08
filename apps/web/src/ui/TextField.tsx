import { type Path, documentSpec, pathText, specAt, valueAt } from '@brookrain/core';
import { useEffect, useId, useState } from 'react';
import { useBuild } from '../build/BuildContext.ts';

/** A short text or whole number of the build, as it is declared; committed on leaving the field. */
export function TextField({ path }: { path: Path }) {
  const { edit, stored } = useBuild();
  const spec = specAt(documentSpec, path, stored);
  if (spec?.type !== 'text' && spec?.type !== 'whole') {
    throw new RangeError(`${pathText(path)} is neither text nor a whole number`);
  }
  const number = spec.type === 'whole';
  const id = useId();
  const kept = String(valueAt(stored, path));
  const [text, setText] = useState(kept);
  const [message, setMessage] = useState<string>();
  useEffect(() => {
    setText(kept);
    setMessage(undefined);
  }, [kept]);
  const commit = (): void => {
    if (text === kept) return setMessage(undefined);
    const next = number ? Number(text) : text;
    const outcome = edit({ name: 'set', path, value: next });
    setMessage(outcome.ok ? undefined : outcome.issues[0]?.message);
  };
  return (
    <div>
      <label
        htmlFor={id}
        title={spec.help}
        className={number ? 'grid grid-cols-[1fr_128px] items-center gap-2' : 'block'}
      >
        <span className={number ? '' : 'text-[13px] text-second'}>{spec.label}</span>
        <input
          id={id}
          className={`field ${number ? 'text-right' : ''}`}
          inputMode={number ? 'numeric' : undefined}
          value={text}
          aria-invalid={message !== undefined}
          aria-describedby={message ? `${id}-message` : undefined}
          onChange={(event) => setText(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === 'Enter') commit();
            if (event.key === 'Escape') setText(kept);
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
