import { quantity } from '../../quantities/index.ts';
import { type Of, object, quantityField, record } from '../../model/spec.ts';

/** A wire that is cut: it keeps its length. */
export const cutWireSpec = object({
  length: quantityField('length', 'mm', {
    label: 'Cut to',
    min: 0.01,
    max: 50,
    message: 'a wire is cut to a length from 10 mm to 50 m',
  }),
  spliced: quantityField('length', 'mm', {
    label: 'Of it spliced in',
    help: 'a piece that was put in since it was cut too short; 0: it is of one piece',
    min: 0,
    max: 50,
    message: 'a piece is from 0 to 50 m long',
    since: 17,
    initial: quantity(0, 'length', 'mm'),
  }),
});
export type StoredCutWire = Of<typeof cutWireSpec>;

/** Wires that are cut, by their id. */
export const cutSpec = record(cutWireSpec, { max: 2000, key: 120, since: 16, initial: {} });
