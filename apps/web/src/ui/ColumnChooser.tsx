import { Columns3 } from 'lucide-react';
import { Popover } from 'radix-ui';
import { Tick } from './Tick.tsx';

/** A column that may be shown or not. */
export interface ChosenColumn {
  readonly key: string;
  readonly label: string;
  readonly shown: boolean;
  readonly show: (visible: boolean) => void;
}

/** Which columns of a table are shown. */
export function ColumnChooser({ columns }: { columns: readonly ChosenColumn[] }) {
  return (
    <div className="mb-1 flex justify-end print:hidden">
      <Popover.Root>
        <Popover.Trigger className="act flex items-center gap-1.5 text-[13px]">
          <Columns3 size={14} aria-hidden="true" /> Columns
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="end"
            sideOffset={2}
            aria-label="Columns shown"
            className="z-30 flex max-h-[60vh] flex-col overflow-y-auto border border-ink bg-paper px-3 py-2"
          >
            {columns.map((column) => (
              <Tick key={column.key} checked={column.shown} onChange={column.show}>
                {column.label}
              </Tick>
            ))}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
  );
}
