import type { BuildCommand, FuelCircuit, PumpElement } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { FuelChecked, FuelRule } from '../checked.ts';
import { pumpsOf } from '../circuits/circuitRun.ts';
import { feedPump } from '../layouts/feedPump.ts';

/** A feed after the pattern of the build's first one, where there is one. */
function feedCures(
  { wired }: FuelChecked,
  circuit: FuelCircuit,
  pump: PumpElement,
): Cure<BuildCommand>[] {
  const command = feedPump(wired, circuit, pump);
  return [
    command ? { text: 'Add a feed like the first one', command } : { text: 'Add a pump feed' },
  ];
}

/** A pump that nothing feeds. */
export const unpoweredPump: FuelRule = {
  id: 'pump.unpowered',
  source: 'every pump has a feed of its own',
  check: (checked) =>
    checked.document.fuelCircuits.flatMap((circuit) =>
      pumpsOf(circuit)
        .filter(
          ({ id }) =>
            !checked.feeds.some(
              ({ feed }) => feed.circuitId === circuit.id && feed.elementId === id,
            ),
        )
        .map((pump) => ({
          id: `pump.unpowered:${pump.id}`,
          rule: 'pump.unpowered',
          severity: 'stop' as const,
          where: { stage: 'wiring', pump: pump.id },
          title: 'Pump has no feed',
          because: `${pump.name} is not wired`,
          numbers: {},
          cures: () => feedCures(checked, circuit, pump),
        })),
    ),
};
