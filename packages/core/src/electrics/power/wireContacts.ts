import { crimpResistance, jointResistance } from './contacts.ts';
import type { SizedWire } from './sizeWires.ts';

/** Ω of the crimps and joints at both ends of a wire, and of a splice in it. */
export const contactsOf = ({ wire, size }: Pick<SizedWire, 'wire' | 'size'>): number =>
  [
    wire.from.joint,
    wire.to.joint,
    ...(wire.isSpliced ? (['splice', 'splice'] as const) : []),
  ].reduce((sum, joint) => sum + crimpResistance(size.area) + jointResistance[joint], 0);
