import { RadioGroup } from 'radix-ui';
import type { Choice } from './Select.tsx';

type Props<Value extends string> = {
  label: string;
  value: Value;
  choices: readonly Choice<Value>[];
  onChoose: (value: Value) => void;
};

/** One of a few that are all in sight; marked by a thick line under it, walked with arrows. */
export function Tabs<Value extends string>({ label, value, choices, onChoose }: Props<Value>) {
  return (
    <RadioGroup.Root
      className="flex flex-wrap gap-1"
      aria-label={label}
      orientation="horizontal"
      value={value}
      onValueChange={(chosen) => onChoose(chosen as Value)}
    >
      {choices.map((choice) => (
        <RadioGroup.Item
          key={choice.value}
          value={choice.value}
          className="min-h-7 border-b-[3px] border-transparent px-2 text-second hover:text-ink data-[state=checked]:border-moss data-[state=checked]:font-medium data-[state=checked]:text-ink max-[900px]:min-h-12"
        >
          {choice.label}
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
