import { type Catalogue, capabilityOf, lookUp, pinCapabilities } from '../../catalogue/index.ts';
import type { Build } from '../../model/index.ts';
import {
  type Result,
  byDefault,
  defineFormula,
  derive,
  following,
  fromItem,
} from '../../results/index.ts';
import { electricsFigure } from '../figureNames.ts';
import type { Netlist } from '../netlist/netlist.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import { controllerSignals, problemOf } from './problemOf.ts';
import { sparePins } from './sparePins.ts';

export const pinPlace = defineFormula({
  name: 'pin of a signal',
  notation: 'place of the pin in the list of the controller, from 1',
  kind: 'count',
  inputKinds: { place: 'count' },
  source: 'as assigned',
  compute: (i) => i.place,
});

export const spareCount = defineFormula({
  name: 'spare pins',
  notation: 'n = pins that can − those of them that are taken',
  kind: 'count',
  inputKinds: { able: 'count', taken: 'count' },
  source: 'a pin of several capabilities counts for each',
  compute: (i) => i.able - i.taken,
});

export const pinFormulas = [pinPlace, spareCount];

/** Where each signal of the engine's controller is, and what is left of its pins. */
export function pinFigures(input: {
  readonly document: Pick<Build, 'devices' | 'power'>;
  readonly netlist: Netlist;
  readonly catalogue: Catalogue;
}): Result[] {
  const { document, netlist, catalogue } = input;
  const item = lookUp(catalogue, 'ecu', document.power.ecu, 'power.ecu');
  if (item.pins.length === 0) return [];
  const signals = controllerSignals(document, netlist, ENGINE_CONTROLLER, item);
  const { problem, assigned } = problemOf(item, signals);
  const placeOf = new Map(item.pins.map((pin, i) => [pin.id, i + 1]));
  const spare = sparePins(problem, assigned);
  return [
    ...signals.flatMap(({ id, need, partId }) => {
      const pin = assigned.get(id);
      const place = pin === undefined ? undefined : placeOf.get(pin);
      if (place === undefined) return [];
      const path = document.devices.some((d) => d.id === partId) ? ['devices', partId] : ['power'];
      return [
        derive({
          figure: electricsFigure('pin', { signal: id }),
          label: `${need.name}: pin ${pin ?? ''}`,
          formula: pinPlace,
          inputs: { place: following(place, path) },
        }),
      ];
    }),
    ...pinCapabilities.flatMap((capability) => {
      const able = item.pins.filter(({ capabilities }) => capabilities.includes(capability)).length;
      if (able === 0) return [];
      const left = spare.get(capability)?.length ?? 0;
      return [
        derive({
          figure: electricsFigure('spare', { capability }),
          label: `Spare pins: ${capabilityOf(capability).words}`,
          formula: spareCount,
          inputs: { able: fromItem(able, item), taken: byDefault(able - left, 'assigned') },
        }),
      ];
    }),
  ];
}
