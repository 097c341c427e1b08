import type { TankElement } from '../../model/index.ts';

/** What of a tank is its own, wherever it stands in a circuit. */
export type TankParts = Omit<TankElement, 'kind' | 'id' | 'outlet' | 'returnNode'>;
