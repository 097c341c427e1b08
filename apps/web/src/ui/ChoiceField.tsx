import { useId } from 'react';

type Props<Value extends string> = {
  label: string;
  value: Value;
  choices: readonly { readonly value: Value; readonly label: string }[];
  onChoose: (value: Value) => void;
  wide?: boolean;
  /** for a cold hand at the vehicle */
  large?: boolean;
};

/** One of a few, by the platform's own list. */
export function ChoiceField<Value extends string>(props: Props<Value>) {
  const { label, value, choices, onChoose, wide = false, large = false } = props;
  const id = useId();
  return (
    <div className={wide ? '' : 'grid grid-cols-[1fr_128px] items-center gap-2'}>
      <label htmlFor={id} className={wide ? 'text-[13px] text-second' : ''}>
        {label}
      </label>
      <select
        id={id}
        className={`field ${large ? 'h-12! text-[17px]' : ''}`}
        value={value}
        onChange={(event) => onChoose(event.target.value as Value)}
      >
        {choices.map((choice) => (
          <option key={choice.value} value={choice.value}>
            {choice.label}
          </option>
        ))}
      </select>
    </div>
  );
}
