import { RadioGroup } from 'radix-ui';
import { useId } from 'react';
import type { Choice } from './Select.tsx';

type Props<Value extends string> = {
  label: string;
  value: Value;
  choices: readonly Choice<Value>[];
  onChoose: (value: Value) => void;
};

/** One of a few, each on a line of its own; arrows move the choice. */
export function RadioList<Value extends string>({ label, value, choices, onChoose }: Props<Value>) {
  const id = useId();
  return (
    <RadioGroup.Root
      aria-label={label}
      value={value}
      onValueChange={(chosen) => onChoose(chosen as Value)}
    >
      {choices.map((choice) => (
        <div key={choice.value} className="flex min-h-7 items-center gap-2">
          <RadioGroup.Item
            id={`${id}-${choice.value}`}
            value={choice.value}
            className="flex h-4 w-4 shrink-0 items-center justify-center rounded-full border-[0.75px] border-edge bg-paper data-[state=checked]:border-moss"
          >
            <RadioGroup.Indicator className="h-2 w-2 rounded-full bg-moss" />
          </RadioGroup.Item>
          <label htmlFor={`${id}-${choice.value}`} className="cursor-pointer">
            {choice.label}
          </label>
        </div>
      ))}
    </RadioGroup.Root>
  );
}
