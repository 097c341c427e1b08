import {
  type Of,
  choice,
  idOf,
  nullable,
  object,
  orderField,
  quantityOrNone,
  record,
  text,
} from '../../model/spec.ts';

/** What a ground is bolted to. */
export const groundBases = ['chassis', 'engine', 'stud'] as const;

/** A point where grounds come together; a stud on nothing that conducts is led on by its strap. */
export const groundSpec = object({
  order: orderField,
  name: text({ label: 'Name', min: 1, max: 80 }),
  on: choice(groundBases, { label: 'Bolted to', initial: 'chassis' }),
  placementId: idOf('placements', 'place', { label: 'Sits at' }),
  strapTo: nullable(idOf('grounds', 'ground'), { label: 'Strap to' }),
  resistance: quantityOrNone('resistance', 'mΩ', {
    label: 'Into what it is bolted to',
    help: 'measured by a drop test; empty: 0.5 mΩ',
    min: 0,
    max: 1,
    message: 'a ground has up to 1 Ω',
  }),
});
export type StoredGround = Of<typeof groundSpec>;

export const groundsSpec = record(groundSpec, { max: 60, initial: {} });
