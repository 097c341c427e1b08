import { crimpResistance, jointResistance } from './contacts.ts';
import type { SizedWire } from './sizeWires.ts';

/** Ω of the crimps and joints at both ends of a wire. */
export const contactsOf = ({ wire, size }: SizedWire): number =>
  [wire.from, wire.to].reduce(
    (sum, end) => sum + crimpResistance(size.area) + jointResistance[end.joint],
    0,
  );
