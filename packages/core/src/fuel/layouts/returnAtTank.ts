import type { Quantity } from '../../quantities/index.ts';
import type { FuelCircuit, ItemRef } from '../../model/index.ts';
import { type LineChoice, lineOf } from './circuitParts.ts';
import type { TankParts } from './tankParts.ts';

/** Parts of a circuit that is regulated at the tank. */
export interface ReturnAtTankParts {
  readonly id: string;
  readonly name: string;
  readonly fuelId: string;
  readonly rowId: string;
  readonly tank: TankParts;
  readonly strainer: ItemRef;
  readonly pump: ItemRef;
  readonly wear: Quantity;
  readonly hanger: ItemRef;
  readonly filterRegulator: ItemRef;
  readonly pumpHose: LineChoice;
  /** from the hanger to the filter-regulator, and from its return back into the tank */
  readonly regulatorHose: LineChoice;
  readonly back: LineChoice;
  readonly feed: LineChoice;
  readonly rail: LineChoice;
}

/**
 * In-tank pump, filter-regulator at the tank, one line forward: fixed pressure, no boost
 * reference. Placements it stands on: tank-pump, tank-top, filter-regulator, tank-return, rail.
 */
export function returnAtTank(parts: ReturnAtTankParts): FuelCircuit {
  const node = (id: string, placementId: string) => ({ id, placementId });
  return {
    id: parts.id,
    name: parts.name,
    fuelId: parts.fuelId,
    architecture: 'return-at-tank',
    nodes: [
      node('tank-out', 'tank-pump'),
      node('pump-in', 'tank-pump'),
      node('pump-out', 'tank-pump'),
      node('hose-out', 'tank-top'),
      node('hanger-out', 'tank-top'),
      node('regulator-in', 'filter-regulator'),
      node('regulated', 'filter-regulator'),
      node('rail-in', 'rail'),
      node('rail-end', 'rail'),
      node('regulator-return', 'filter-regulator'),
      node('tank-return', 'tank-return'),
    ],
    elements: [
      { kind: 'tank', id: 'tank', ...parts.tank, outlet: 'tank-out', returnNode: 'tank-return' },
      {
        kind: 'filter',
        id: 'strainer',
        name: 'Strainer',
        from: 'tank-out',
        to: 'pump-in',
        item: parts.strainer,
        state: 'clean',
      },
      {
        kind: 'pump',
        id: 'pump',
        name: 'Fuel pump',
        from: 'pump-in',
        to: 'pump-out',
        item: parts.pump,
        mounting: 'in-tank',
        wear: parts.wear,
        control: null,
      },
      lineOf(
        {
          id: 'pump-hose',
          name: 'Hose in the tank',
          role: 'feed',
          from: 'pump-out',
          to: 'hose-out',
        },
        parts.pumpHose,
      ),
      {
        kind: 'fitting',
        id: 'hanger',
        name: 'Hanger outlet',
        from: 'hose-out',
        to: 'hanger-out',
        item: parts.hanger,
      },
      lineOf(
        {
          id: 'regulator-hose',
          name: 'Hose to the filter-regulator',
          role: 'feed',
          from: 'hanger-out',
          to: 'regulator-in',
        },
        parts.regulatorHose,
      ),
      {
        kind: 'filter-regulator',
        id: 'regulator',
        name: 'Filter-regulator',
        from: 'regulator-in',
        to: 'regulated',
        returnNode: 'regulator-return',
        item: parts.filterRegulator,
        state: 'clean',
      },
      lineOf(
        {
          id: 'return',
          name: 'Return into the tank',
          role: 'return',
          from: 'regulator-return',
          to: 'tank-return',
        },
        parts.back,
      ),
      lineOf(
        { id: 'feed', name: 'Forward line', role: 'feed', from: 'regulated', to: 'rail-in' },
        parts.feed,
      ),
      lineOf(
        { id: 'rail', name: 'Fuel rail', role: 'other', from: 'rail-in', to: 'rail-end' },
        parts.rail,
      ),
      {
        kind: 'injectors',
        id: 'injectors',
        name: 'Injectors',
        node: 'rail-end',
        rowId: parts.rowId,
      },
    ],
  };
}
