import type { Build } from '../../model/index.ts';
import type { Connection } from '../slices/connections.ts';

/** A pin of a controller that nothing is locked to; an empty pin is one still to be found. */
export const toPin = (controllerId: string, pin: string): Connection => ({
  to: 'controller',
  controllerId,
  pin,
  locked: false,
});

/** An id that is free among devices and controllers: the first of its kind has no number. */
export function freeId(wired: Pick<Build, 'devices' | 'controllers'>, base: string): string {
  const taken = new Set([...wired.devices, ...wired.controllers].map(({ id }) => id));
  let id = base;
  for (let n = 2; taken.has(id); n++) id = `${base}-${n}`;
  return id;
}
