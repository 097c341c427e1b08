import { Check } from 'lucide-react';
import { Checkbox } from 'radix-ui';
import { type ReactNode, useId } from 'react';

type Props = {
  children: ReactNode;
  checked: boolean;
  onChange: (checked: boolean) => void;
  /** the words are only read out */
  wordless?: boolean;
};

/** Something that is so or not, with its words beside it. */
export function Tick({ children, checked, onChange, wordless = false }: Props) {
  const id = useId();
  return (
    <span className="relative inline-flex min-h-7 items-center gap-1.5">
      <Checkbox.Root
        id={id}
        checked={checked}
        onCheckedChange={(state) => onChange(state === true)}
        className="flex h-4 w-4 shrink-0 items-center justify-center border-[0.75px] border-edge bg-paper data-[state=checked]:border-moss data-[state=checked]:bg-moss data-[state=checked]:text-paper"
      >
        <Checkbox.Indicator>
          <Check size={13} strokeWidth={3} aria-hidden="true" />
        </Checkbox.Indicator>
      </Checkbox.Root>
      <label htmlFor={id} className={wordless ? 'sr-only' : 'cursor-pointer'}>
        {children}
      </label>
    </span>
  );
}
