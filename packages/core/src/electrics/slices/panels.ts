import {
  type Of,
  idOf,
  object,
  orderField,
  quantityField,
  quantityOrNone,
  record,
} from '../../model/spec.ts';

const onPlate = {
  min: 0,
  max: 1.5,
  message: 'a place on a panel is from 0 to 1500 mm from its edge',
} as const;
const side = {
  help: 'empty: as large as it has to be',
  min: 0.05,
  max: 1.5,
  message: 'a panel is from 50 to 1500 mm',
} as const;

/** Where the middle of a holder stands, from the lower left of the plate. */
export const panelPositionSpec = object({
  x: quantityField('length', 'mm', { label: 'From the left', ...onPlate }),
  y: quantityField('length', 'mm', { label: 'From the bottom', ...onPlate }),
});

/** What is decided about the plate of relays and fuses at a place; the rest is laid out by the rules. */
export const panelSpec = object({
  order: orderField,
  placementId: idOf('placements', 'place'),
  width: quantityOrNone('length', 'mm', { label: 'Width of the plate', ...side }),
  height: quantityOrNone('length', 'mm', { label: 'Height of the plate', ...side }),
  /** holders moved by hand, by their device */
  positions: record(panelPositionSpec, { max: 200, initial: {} }),
});
export type StoredPanel = Of<typeof panelSpec>;

export const panelsSpec = record(panelSpec, { max: 12, initial: {} });
