import type { Quantity } from '../../quantities/index.ts';
import type { FuelCircuit, ItemRef, PumpElement } from '../../model/index.ts';
import { type LineChoice, lineOf } from './circuitParts.ts';
import type { TankParts } from './tankParts.ts';

/** Parts of a circuit that returns after the rail. */
export interface ReturnAfterRailParts {
  readonly id: string;
  readonly name: string;
  readonly fuelId: string;
  readonly rowId: string;
  readonly tank: TankParts;
  readonly outlet: ItemRef;
  readonly coarseFilter: ItemRef;
  readonly pump: ItemRef;
  readonly mounting: PumpElement['mounting'];
  readonly wear: Quantity;
  readonly fineFilter: ItemRef;
  readonly regulator: ItemRef;
  readonly setPressure: Quantity;
  readonly manifoldRatio: Quantity;
  readonly suction: LineChoice;
  readonly pumpInlet: LineChoice;
  readonly pumpOutlet: LineChoice;
  readonly feed: LineChoice;
  readonly rail: LineChoice;
  readonly back: LineChoice;
}

/**
 * Tank, coarse filter, pump, fine filter, rail, regulator, return: the usual circuit of a boosted
 * engine. Placements it stands on: tank-outlet, tank-return, coarse-filter, pump, fine-filter,
 * rail, regulator.
 */
export function returnAfterRail(parts: ReturnAfterRailParts): FuelCircuit {
  const node = (id: string, placementId: string) => ({ id, placementId });
  return {
    id: parts.id,
    name: parts.name,
    fuelId: parts.fuelId,
    architecture: 'return-after-rail',
    nodes: [
      node('tank-out', 'tank-outlet'),
      node('outlet', 'tank-outlet'),
      node('coarse-in', 'coarse-filter'),
      node('coarse-out', 'coarse-filter'),
      node('pump-in', 'pump'),
      node('pump-out', 'pump'),
      node('fine-in', 'fine-filter'),
      node('fine-out', 'fine-filter'),
      node('rail-in', 'rail'),
      node('rail-out', 'rail'),
      node('regulator-out', 'regulator'),
      node('tank-return', 'tank-return'),
    ],
    elements: [
      { kind: 'tank', id: 'tank', ...parts.tank, outlet: 'tank-out', returnNode: 'tank-return' },
      {
        kind: 'fitting',
        id: 'tank-bung',
        name: 'Tank outlet',
        from: 'tank-out',
        to: 'outlet',
        item: parts.outlet,
      },
      lineOf(
        { id: 'suction', name: 'Suction hose', role: 'suction', from: 'outlet', to: 'coarse-in' },
        parts.suction,
      ),
      {
        kind: 'filter',
        id: 'coarse',
        name: 'Coarse filter',
        from: 'coarse-in',
        to: 'coarse-out',
        item: parts.coarseFilter,
        state: 'clean',
      },
      lineOf(
        {
          id: 'pump-inlet',
          name: 'Pump inlet hose',
          role: 'suction',
          from: 'coarse-out',
          to: 'pump-in',
        },
        parts.pumpInlet,
      ),
      {
        kind: 'pump',
        id: 'pump',
        name: 'Fuel pump',
        from: 'pump-in',
        to: 'pump-out',
        item: parts.pump,
        mounting: parts.mounting,
        wear: parts.wear,
        control: null,
      },
      lineOf(
        {
          id: 'pump-outlet',
          name: 'Pump outlet hose',
          role: 'feed',
          from: 'pump-out',
          to: 'fine-in',
        },
        parts.pumpOutlet,
      ),
      {
        kind: 'filter',
        id: 'fine',
        name: 'Fine filter',
        from: 'fine-in',
        to: 'fine-out',
        item: parts.fineFilter,
        state: 'clean',
      },
      lineOf(
        { id: 'feed', name: 'Feed line', role: 'feed', from: 'fine-out', to: 'rail-in' },
        parts.feed,
      ),
      lineOf(
        { id: 'rail', name: 'Fuel rail', role: 'other', from: 'rail-in', to: 'rail-out' },
        parts.rail,
      ),
      {
        kind: 'injectors',
        id: 'injectors',
        name: 'Injectors',
        node: 'rail-out',
        rowId: parts.rowId,
      },
      {
        kind: 'regulator',
        id: 'regulator',
        name: 'Pressure regulator',
        from: 'rail-out',
        to: 'regulator-out',
        item: parts.regulator,
        setPressure: parts.setPressure,
        manifoldRatio: parts.manifoldRatio,
      },
      lineOf(
        {
          id: 'return',
          name: 'Return line',
          role: 'return',
          from: 'regulator-out',
          to: 'tank-return',
        },
        parts.back,
      ),
    ],
  };
}
