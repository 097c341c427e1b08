import { useEffect, useId, useState } from 'react';
import { useBuild } from '../build/BuildContext.ts';

type Props = { label: string; path: string; value: string | number; number?: boolean };

/** A short text or whole number of the document, committed on leaving the field. */
export function TextField({ label, path, value, number = false }: Props) {
  const { edit } = useBuild();
  const id = useId();
  const kept = String(value);
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
        className={number ? 'grid grid-cols-[1fr_128px] items-center gap-2' : 'block'}
      >
        <span className={number ? '' : 'text-[13px] text-second'}>{label}</span>
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
