import { useId, useState } from 'react';

/** What became of typed text: refused with a reason, or taken and shown as this. */
export type Taken = { readonly message: string | undefined } | { readonly shown: string };

type Props = {
  label: string;
  help?: string | undefined;
  /** what is stored, as text */
  kept: string;
  /** what applies while the field is empty */
  whenEmpty?: string | undefined;
  /** above its field rather than beside it */
  above?: boolean;
  numeric?: boolean;
  take: (text: string) => Taken;
};

/**
 * A field typed freely and taken on leaving it or by Enter; Escape gives it up. What is refused
 * stays with its reason, and so does what is half typed when the stored value changes elsewhere.
 */
export function TypedInput(props: Props) {
  const { label, help, kept, whenEmpty, above = false, numeric = false, take } = props;
  const id = useId();
  const [text, setText] = useState(kept);
  const [refused, setRefused] = useState<string>();
  const [meanwhile, setMeanwhile] = useState<string>();
  const [known, setKnown] = useState(kept);
  if (known !== kept) {
    setKnown(kept);
    if (text.trim() === known || text.trim() === kept) {
      setText(kept);
      setRefused(undefined);
      setMeanwhile(undefined);
    } else {
      setMeanwhile(
        `Changed meanwhile to ${kept === '' ? 'nothing' : `"${kept}"`}. What you typed is not stored yet: Enter stores it, Escape drops it.`,
      );
    }
  }
  const giveUp = (): void => {
    setText(kept);
    setRefused(undefined);
    setMeanwhile(undefined);
  };
  const commit = (): void => {
    if (text.trim() === kept) return giveUp();
    const taken = take(text);
    if ('shown' in taken) setText(taken.shown);
    setRefused('shown' in taken ? undefined : taken.message);
    setMeanwhile(undefined);
  };
  const message = refused ?? meanwhile;
  return (
    <div>
      <label
        htmlFor={id}
        title={help}
        className={above ? 'block' : 'grid grid-cols-[1fr_128px] items-center gap-2'}
      >
        <span className={above ? 'text-[13px] text-second' : 'leading-[18px]'}>{label}</span>
        <input
          id={id}
          className={`field ${above ? '' : 'text-right'}`}
          inputMode={numeric ? 'numeric' : undefined}
          value={text}
          placeholder={whenEmpty}
          spellCheck={false}
          autoComplete="off"
          aria-invalid={message !== undefined}
          aria-describedby={message ? `${id}-message` : undefined}
          onChange={(event) => {
            setText(event.target.value);
            // What stood under the field goes before the next press, not under it.
            setRefused(undefined);
          }}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === 'Enter') commit();
            if (event.key === 'Escape') giveUp();
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
