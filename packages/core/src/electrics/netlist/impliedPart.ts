import type { EcuItem } from '../../catalogue/index.ts';
import type { Build } from '../../model/index.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import { CHASSIS, type InnerContact, type NetPart, nodeOf } from './netlist.ts';
import { sharedPartIds } from './sharedPartIds.ts';

/** Ω from a ground into what it is bolted to, where nobody measured it. */
const GROUND_RESISTANCE = 0.5e-3;
/** What joins grounds to the chassis, and what nobody planned but must be there. */
export function impliedPart(
  document: Pick<Build, 'power' | 'grounds'>,
  parts: readonly NetPart[],
  item: EcuItem,
): NetPart {
  const { power, grounds } = document;
  const inside: InnerContact[] = [];
  const join = (id: string, from: string, resistance: number): void => {
    inside.push({ kind: 'contact', leads: 'back', id, from, to: CHASSIS, resistance });
  };
  for (const ground of grounds) {
    if (ground.on === 'stud') continue;
    const base = ground.on === 'engine' ? 'engine' : CHASSIS;
    inside.push({
      kind: 'contact',
      leads: 'back',
      id: `${ground.id} base`,
      from: nodeOf(ground.id, 'ground'),
      to: base,
      resistance: ground.resistance?.value ?? GROUND_RESISTANCE,
    });
  }
  // Case-grounded devices sit on the engine, where the build has a ground there, else on the chassis.
  const engine = grounds.some(({ on }) => on === 'engine');
  for (const part of parts) {
    for (const pin of part.pins.filter(({ use }) => use === 'case')) {
      inside.push({
        kind: 'contact',
        leads: 'back',
        id: `${part.id} case`,
        from: pin.node,
        to: engine ? 'engine' : CHASSIS,
        resistance: GROUND_RESISTANCE,
      });
    }
  }
  if (power.negativeGroundId === null)
    join('battery negative', nodeOf(sharedPartIds.battery, '−'), 0);
  inside.push(...impliedAtEcu(power, item));
  return {
    id: CHASSIS,
    name: 'Chassis',
    sort: 'ground',
    role: undefined,
    placementId: power.batteryPlacementId,
    pins: [],
    inside,
    outputs: [],
    inrush: { factor: 1, time: 1e-3 },
    fuse: undefined,
    fuseStyle: undefined,
    loadedTogether: 1,
    bundledAt: [],
  };
}

/** An ECU of which nobody said how it is supplied and grounded is taken to be. */
function impliedAtEcu(power: Build['power'], item: EcuItem): InnerContact[] {
  if (Object.keys(power.ecuConnections).length > 0) return [];
  const node = (pin: string): string => nodeOf(ENGINE_CONTROLLER, pin);
  const join = (
    leads: InnerContact['leads'],
    id: string,
    from: string,
    to: string,
    resistance = 0,
  ): InnerContact => ({
    kind: 'contact',
    leads,
    id: `${ENGINE_CONTROLLER} ${id}`,
    from,
    to,
    resistance,
  });
  const keyed = nodeOf(sharedPartIds.keyedFeed, 'wire');
  const ground = item.pins.find((pin) => pin.capabilities.includes('power-ground'));
  const supply = item.pins.find((pin) => pin.capabilities.includes('supply-switched'));
  const listed = item.pins.some(({ id }) => id === item.pumpPin);
  const pump = node(item.pumpPin);
  return [
    ...(ground ? [join('back', 'taken to be grounded', node(ground.id), CHASSIS)] : []),
    ...(supply ? [join('on', 'taken to be supplied', keyed, node(supply.id))] : []),
    ...(listed
      ? []
      : [
          item.pumpPinSide === 'low-side'
            ? { ...join('back', 'sinks', pump, CHASSIS, 0.05), output: item.pumpPin }
            : { ...join('on', 'feeds', keyed, pump, 0.02), output: item.pumpPin },
        ]),
  ];
}
