import { Check, ChevronDown } from 'lucide-react';
import { Select as Primitive } from 'radix-ui';
import { useState } from 'react';

export interface Choice<Value extends string = string> {
  readonly value: Value;
  readonly label: string;
}
/** Choices under a heading of their own. */
export interface ChoiceGroup<Value extends string = string> {
  readonly heading: string;
  readonly choices: readonly Choice<Value>[];
}

type Props<Value extends string> = {
  id?: string;
  /** its name where no label stands beside it */
  name?: string | undefined;
  /** undefined: nothing is chosen yet */
  value: Value | undefined;
  choices: readonly (Choice<Value> | ChoiceGroup<Value>)[];
  onChoose: (value: Value) => void;
  /** what stands there while nothing is chosen */
  placeholder?: string;
  className?: string;
  invalid?: boolean;
  describedBy?: string | undefined;
};

// The primitive keeps the empty string for "nothing chosen"; ours may stand for something.
const inner = (value: string): string => `=${value}`;

function Item({ value, label }: Choice) {
  return (
    <Primitive.Item
      value={inner(value)}
      className="flex min-h-7 cursor-pointer items-center gap-2 border-l-[3px] border-transparent py-0.5 pr-3 pl-1.5 outline-none data-[highlighted]:border-moss data-[highlighted]:bg-panel max-[900px]:min-h-12"
    >
      <span className="w-3.5 shrink-0">
        <Primitive.ItemIndicator>
          <Check size={14} aria-hidden="true" />
        </Primitive.ItemIndicator>
      </span>
      <Primitive.ItemText>{label}</Primitive.ItemText>
    </Primitive.Item>
  );
}

/**
 * One of several, opened as a list; walked with arrows, found by its first letters. The list is made
 * when somebody comes to it: a page may have many, and one may hold hundreds.
 */
export function Select<Value extends string>(props: Props<Value>) {
  const { id, name, value, choices, onChoose, placeholder, className, invalid, describedBy } =
    props;
  const [open, setOpen] = useState(false);
  const [isFocused, setFocused] = useState(false);
  const known = choices
    .flatMap((choice) => ('heading' in choice ? choice.choices : [choice]))
    .find((choice) => choice.value === value);
  return (
    <Primitive.Root
      open={open}
      onOpenChange={setOpen}
      value={value === undefined || !known ? '' : inner(value)}
      onValueChange={(chosen) => chosen !== '' && onChoose(chosen.slice(1) as Value)}
    >
      <Primitive.Trigger
        id={id}
        aria-label={name}
        aria-invalid={invalid}
        aria-describedby={describedBy}
        onFocus={() => setFocused(true)}
        onBlur={() => setFocused(false)}
        className={`field flex items-center justify-between gap-1 text-left ${className ?? ''}`}
      >
        <span className="min-w-0 truncate">
          {/* What is kept but no longer offered stays in sight. */}
          <Primitive.Value placeholder={known ? placeholder : (value ?? placeholder)}>
            {known?.label}
          </Primitive.Value>
        </span>
        <Primitive.Icon>
          <ChevronDown size={14} aria-hidden="true" className="shrink-0 text-second" />
        </Primitive.Icon>
      </Primitive.Trigger>
      {(open || isFocused) && (
        <Primitive.Portal>
          <Primitive.Content
            position="popper"
            sideOffset={2}
            collisionPadding={8}
            className="z-50 max-h-[min(420px,var(--radix-select-content-available-height))] min-w-[var(--radix-select-trigger-width)] max-w-[94vw] border border-ink bg-paper"
          >
            <Primitive.Viewport>
              {choices.map((choice) =>
                'heading' in choice ? (
                  <Primitive.Group key={choice.heading}>
                    <Primitive.Label className="px-2 pt-1.5 text-[12px] text-second">
                      {choice.heading}
                    </Primitive.Label>
                    {choice.choices.map((each) => (
                      <Item key={each.value} {...each} />
                    ))}
                  </Primitive.Group>
                ) : (
                  <Item key={choice.value} {...choice} />
                ),
              )}
            </Primitive.Viewport>
          </Primitive.Content>
        </Primitive.Portal>
      )}
    </Primitive.Root>
  );
}
