import { type Of, object, quantityOrNone } from '../../model/spec.ts';

const length = {
  min: 0,
  above: true,
  max: 50,
  message: 'length must be above zero, up to 50 m',
};

/**
 * What is known of a length. Estimates from the map are computed, the typed and the measured
 * length are stored; the best known one is used.
 */
export const lengthSpec = object({
  typed: quantityOrNone('length', 'm', { label: 'Length, typed', ...length }),
  measured: quantityOrNone('length', 'm', { label: 'Length, measured', ...length }),
});
export type LengthKnowledge = Of<typeof lengthSpec>;
