import { type BuildCommand, type FuelCircuit, ORDER_STEP } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { FuelChecked, FuelRule } from '../checked.ts';
import { feedsFor } from '../layouts/feedsFor.ts';

/** A feed after the pattern of the build's first one, where there is one. */
function feedCures(
  { document }: FuelChecked,
  circuit: FuelCircuit,
  elementId: string,
): Cure<BuildCommand>[] {
  const feed = feedsFor(document, circuit).find((f) => f.elementId === elementId);
  if (!feed) return [{ text: 'Add a pump feed' }];
  const { id, ...stored } = feed;
  return [
    {
      text: 'Add a feed like the first one',
      command: {
        name: 'set',
        path: ['power', 'pumpFeeds', id],
        value: { ...stored, order: ORDER_STEP * (document.power.pumpFeeds.length + 1) },
      },
    },
  ];
}

/** A pump that nothing feeds. */
export const unpoweredPump: FuelRule = {
  id: 'pump.unpowered',
  source: 'every pump has a feed of its own',
  check: (checked) =>
    checked.document.fuelCircuits.flatMap((circuit) =>
      circuit.elements
        .filter(
          (e) =>
            e.kind === 'pump' &&
            !checked.document.power.pumpFeeds.some(
              (f) => f.circuitId === circuit.id && f.elementId === e.id,
            ),
        )
        .map((e) => ({
          id: `pump.unpowered:${e.id}`,
          rule: 'pump.unpowered',
          severity: 'stop' as const,
          where: { stage: 'wiring', pump: e.id },
          title: 'Pump has no feed',
          because: `${e.name} is not wired`,
          numbers: {},
          cures: () => feedCures(checked, circuit, e.id),
        })),
    ),
};
