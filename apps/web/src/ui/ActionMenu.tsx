import { ChevronDown } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';

type Props<Value extends string> = {
  /** what stands on the button */
  text: string;
  /** its full name for those who do not see where it stands */
  name?: string;
  actions: readonly { readonly value: Value; readonly label: string }[];
  onPick: (value: Value) => void;
};

/** A button that opens a list of things to do. */
export function ActionMenu<Value extends string>({ text, name, actions, onPick }: Props<Value>) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        aria-label={name}
        className="field flex items-center justify-between gap-1 text-left"
      >
        {text}
        <ChevronDown size={14} aria-hidden="true" className="shrink-0 text-second" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={2}
          collisionPadding={8}
          className="z-50 max-h-[min(420px,var(--radix-dropdown-menu-content-available-height))] min-w-[var(--radix-dropdown-menu-trigger-width)] overflow-y-auto border border-ink bg-paper"
        >
          {actions.map((action) => (
            <DropdownMenu.Item
              key={action.value}
              onSelect={() => onPick(action.value)}
              className="flex min-h-7 cursor-pointer items-center border-l-[3px] border-transparent px-2 outline-none data-[highlighted]:border-moss data-[highlighted]:bg-panel max-[900px]:min-h-12"
            >
              {action.label}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
