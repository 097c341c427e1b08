import type { DerivedWire, NetPart, WireEnd } from '../../electrics/index.ts';
import { LAY_PITCH } from '../bundles/concentricLayers.ts';
import type { HarnessSchool } from '../model.ts';

/** What a wire is longer at an end, to strip, crimp and serve, m. */
export function endAllowance(end: WireEnd, part: NetPart | undefined): number {
  switch (end.joint) {
    case 'lug':
    case 'splice':
      return 0.03;
    case 'holder':
      return 0.06;
    case 'plug':
      return part?.sort === 'controller' ? 0.15 : 0.06;
  }
}

/** Whether a wire is a cable bolted at both ends: led by itself, never in a loom. */
export const isCable = ({ from, to }: DerivedWire): boolean =>
  from.joint === 'lug' && to.joint === 'lug';

/** Turns a metre of a twisted pair, and the outside diameter m of a signal wire in it. */
const TURNS = 40;
const PAIR_WIRE = 0.0019;
/** How much longer a wire is for being twisted with its pair: √(1 + (π·d·n)²). */
export const TWIST = Math.sqrt(1 + (Math.PI * PAIR_WIRE * TURNS) ** 2);

/** The most that a wire gains in a layer: its pitch circle is never wider than the layer. */
export const LAY = Math.sqrt(1 + (Math.PI / LAY_PITCH) ** 2);

/** How much longer wires are for lying in twisted layers. */
export const layFactor = (school: HarnessSchool): number => (school === 'sealed' ? LAY : 1);

/** Parts whose signals are shielded: their wires are a twisted pair under the shield. */
export const shieldedParts = (wires: readonly DerivedWire[]): ReadonlySet<string> =>
  new Set(wires.filter(({ role }) => role === 'shield').map(({ partId }) => partId));

/** Whether a wire is twisted with another: of a bus, or under a shield. */
export const isTwisted = (wire: DerivedWire, shielded: ReadonlySet<string>): boolean =>
  wire.role === 'bus' || (wire.role === 'signal' && shielded.has(wire.partId));
