import { useId } from 'react';
import { type Choice, Select } from './Select.tsx';

type Props<Value extends string> = {
  label: string;
  value: Value;
  choices: readonly Choice<Value>[];
  onChoose: (value: Value) => void;
  /** the label above it rather than beside it */
  wide?: boolean;
  /** for a cold hand at the vehicle */
  large?: boolean;
};

/** One of several with its label. */
export function ChoiceField<Value extends string>(props: Props<Value>) {
  const { label, value, choices, onChoose, wide = false, large = false } = props;
  const id = useId();
  return (
    <div className={wide ? '' : 'grid grid-cols-[1fr_128px] items-center gap-2'}>
      <label htmlFor={id} className={wide ? 'text-[13px] text-second' : ''}>
        {label}
      </label>
      <Select
        id={id}
        value={value}
        choices={choices}
        onChoose={onChoose}
        className={large ? 'h-12! text-[17px]' : ''}
      />
    </div>
  );
}
