import type { ElectricsChecked } from '../checked.ts';
import type { KeptAlive } from '../sneak/leftAlive.ts';

/** The way of a current in words. */
export const wayInWords = (way: readonly { readonly name: string }[]): string =>
  way.map(({ name }) => name).join(' → ');

/** The relay in the way of what is kept alive, if one is. */
export const relayIn = ({ electrics }: ElectricsChecked, { way }: KeptAlive): string | undefined =>
  way.find(({ partId }) =>
    electrics.netlist.parts.some(({ id, sort }) => id === partId && sort === 'relay'),
  )?.partId;
