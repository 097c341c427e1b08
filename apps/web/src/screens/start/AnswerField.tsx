import { useId } from 'react';
import type { UseFormRegisterReturn } from 'react-hook-form';
import { Select } from '../../ui/Select.tsx';

/** One answer typed freely, with its mistake under it. */
export function AnswerField({
  label,
  hint,
  message,
  field,
  focus = false,
}: {
  label: string;
  hint: string;
  message: string | undefined;
  /** what binds it to its form */
  field: UseFormRegisterReturn;
  focus?: boolean;
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="grid grid-cols-[1fr_170px] items-center gap-2">
        {label}
        <input
          id={id}
          className="field"
          {...field}
          placeholder={hint}
          autoComplete="off"
          spellCheck={false}
          autoFocus={focus}
          aria-invalid={message !== undefined}
          aria-describedby={message ? `${id}-message` : undefined}
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

/** One answer of a few. */
export function AnswerChoice<Value extends string>({
  label,
  value,
  choices,
  choose,
}: {
  label: string;
  value: Value;
  choices: readonly { readonly value: Value; readonly label: string }[];
  choose: (value: Value) => void;
}) {
  const id = useId();
  return (
    <div className="grid grid-cols-[1fr_170px] items-center gap-2">
      <label htmlFor={id}>{label}</label>
      <Select id={id} value={value} choices={choices} onChoose={choose} />
    </div>
  );
}
