import { type Catalogue, highestPumpCurrent, lookUp } from '../../catalogue/index.ts';
import type { Device, FuelCircuit, PumpElement } from '../../model/index.ts';
import { NotFound } from '../../quantities/index.ts';
import type { DevicePart } from '../slices/devices.ts';
import { type NetPart, nodeOf } from './netlist.ts';
import { RATED, partOf, pinOf, rangeOf } from './partOf.ts';

/** What of a fuel circuit holds its pumps. */
export type PumpCircuit = Pick<FuelCircuit, 'id' | 'elements'>;

/** Whether a pump stands until the engine wants more than the others give. */
const isOnDemand = ({ control }: PumpElement): boolean =>
  control?.kind === 'stepped' && control.lowShare.value === 0;

/** The pump of a fuel circuit as what it takes between its two poles. Throws NotFound without it. */
export function pumpPart(
  { id, name, placementId, loadedTogether }: Device,
  { circuitId, elementId }: Extract<DevicePart, { kind: 'pump' }>,
  circuits: readonly PumpCircuit[],
  catalogue: Catalogue,
): NetPart {
  const where = `devices.${id}`;
  const element = circuits
    .find((circuit) => circuit.id === circuitId)
    ?.elements.find((e): e is PumpElement => e.kind === 'pump' && e.id === elementId);
  if (!element) throw new NotFound(`there is no pump "${elementId}"`, where);
  const item = lookUp(catalogue, 'pump', element.item, where);
  const contact = { ...rangeOf(item), joint: 'plug' as const };
  return partOf({
    id,
    name,
    sort: 'pump',
    placementId,
    pins: [
      pinOf(id, name, { pin: '+', name: 'supply', use: 'supply', ...contact }),
      pinOf(id, name, { pin: '−', name: 'ground', use: 'ground', ...contact }),
    ],
    inside: [
      {
        kind: 'load',
        id: `${id} motor`,
        from: nodeOf(id, '+'),
        to: nodeOf(id, '−'),
        current: highestPumpCurrent(item),
        voltage: RATED,
        duty: 1,
        behaviour: 'motor',
        when: isOnDemand(element) ? 'at times' : 'engine turning',
      },
    ],
    inrush: { factor: item.inrushFactor, time: item.inrushTime },
    loadedTogether,
    bundledAt: ['devices', id, 'loadedTogether'],
  });
}

/** Ω of the contact of a switch of which nobody said which one it is, and what its plug takes. */
const CUT_OFF_CONTACT = 0.01;
const cutOffPlug = { areaMin: 0.3e-6, areaMax: 2.5e-6, joint: 'plug' as const };

/** A switch that opens in a crash. */
export const cutOffPart = ({ id, name, placementId, loadedTogether }: Device): NetPart =>
  partOf({
    id,
    name,
    sort: 'switch',
    role: 'inertia switch',
    placementId,
    pins: [
      pinOf(id, name, { pin: 'in', use: 'supply', ...cutOffPlug }),
      pinOf(id, name, { pin: 'out', use: 'supply-out', ...cutOffPlug }),
    ],
    inside: [
      {
        kind: 'contact',
        leads: 'on',
        id: `${id} contact`,
        from: nodeOf(id, 'in'),
        to: nodeOf(id, 'out'),
        resistance: CUT_OFF_CONTACT,
      },
    ],
    loadedTogether,
    bundledAt: ['devices', id, 'loadedTogether'],
  });
