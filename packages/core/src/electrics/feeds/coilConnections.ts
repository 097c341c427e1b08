import { sharedPartIds } from '../netlist/sharedPartIds.ts';
import type { Connection } from '../slices/connections.ts';

/** Which end of a coil a controller switches. */
export type TriggerSide = 'low-side' | 'high-side';

interface Coil {
  readonly side: TriggerSide;
  /** where its ground is, and what feeds or draws it */
  readonly groundId: string;
  readonly controller: Extract<Connection, { to: 'controller' }>;
  /** the switch that opens it in a crash; null for none */
  readonly cutOffId: string | null;
}

const at = (partId: string, pin: string): Connection => ({ to: 'part', partId, pin });
const keyed = at(sharedPartIds.keyedFeed, 'wire');
const ground = (groundId: string): Connection => ({ to: 'ground', groundId });

/**
 * Where the two ends of a pump relay's coil are wired to. The switch lies on the side that the
 * controller does not switch, so that the coils of several pumps can share it.
 */
export const coilConnections = ({ side, groundId, controller, cutOffId }: Coil) =>
  side === 'low-side'
    ? { '86': cutOffId === null ? keyed : at(cutOffId, 'out'), '85': controller }
    : { '86': controller, '85': cutOffId === null ? ground(groundId) : at(cutOffId, 'in') };

/** Where the switch that opens the coils in a crash is wired to by itself. */
export const cutOffConnections = (
  side: TriggerSide,
  groundId: string,
): Readonly<Record<string, Connection>> =>
  side === 'low-side' ? { in: keyed } : { out: ground(groundId) };
