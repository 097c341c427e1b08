import { type Catalogue, type DeviceItem, lookUp } from '../../catalogue/index.ts';
import type { Device } from '../../model/index.ts';
import { type Result, defineFormula, derive, fromItem, together } from '../../results/index.ts';
import { electricsFigure } from '../figureNames.ts';
import type { BusChain } from './busChains.ts';

export const busResistance = defineFormula({
  name: 'resistance across a bus',
  notation: 'R = 1 / Σ (1 / R_terminator)',
  kind: 'resistance',
  inputKinds: { terminators: 'resistance' },
  source: 'as a meter reads it between high and low with the power off',
  compute: (i: { terminators: readonly number[] }) =>
    1 / i.terminators.reduce((sum, ohm) => sum + 1 / ohm, 0),
});

export const busFormulas = [busResistance];

/** The devices that are resistances across a bus, with their items. */
export function terminatorsOf(
  devices: readonly Device[],
  catalogue: Catalogue,
): ReadonlyMap<string, DeviceItem> {
  return new Map(
    devices.flatMap(({ id, state, part }) => {
      if (state === 'removed' || part.kind !== 'item') return [];
      const item = lookUp(catalogue, 'device', part.item, id);
      return item.role === 'resistor' && item.resistanceAt25 > 0 ? [[id, item] as const] : [];
    }),
  );
}

/** What a meter reads across each bus that is terminated at all. */
export const busFigures = (
  buses: readonly BusChain[],
  items: ReadonlyMap<string, DeviceItem>,
): Result[] =>
  buses.flatMap(({ id, terminators }) => {
    if (terminators.length === 0) return [];
    const across = terminators.flatMap(({ partId }) => items.get(partId) ?? []);
    return [
      derive({
        figure: electricsFigure('can.termination', { bus: id }),
        label: 'Across the bus, power off',
        formula: busResistance,
        inputs: {
          terminators: together(across.map((item) => fromItem(item.resistanceAt25, item))),
        },
      }),
    ];
  });
