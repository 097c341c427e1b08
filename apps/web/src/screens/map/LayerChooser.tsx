import { ChevronDown } from 'lucide-react';
import { Popover } from 'radix-ui';
import { Tick } from '../../ui/Tick.tsx';
import { layerNames, mapLayers, type useLayers } from './layers.ts';

/** What of the map is drawn, ticked in words. */
export function LayerChooser({ layers }: { layers: ReturnType<typeof useLayers> }) {
  const hidden = layerNames.filter((layer) => !layers.shows(layer)).length;
  return (
    <Popover.Root>
      <Popover.Trigger className="field flex w-[150px] items-center justify-between gap-1 text-left">
        {hidden === 0 ? 'All is shown' : `${hidden} hidden`}
        <ChevronDown size={14} aria-hidden="true" className="shrink-0 text-second" />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={2}
          aria-label="What is shown"
          className="z-50 flex flex-col border border-ink bg-paper px-3 py-1"
        >
          {layerNames.map((layer) => (
            <Tick
              key={layer}
              checked={layers.shows(layer)}
              onChange={(shown) => layers.turn(layer, shown)}
            >
              {mapLayers[layer]}
            </Tick>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
