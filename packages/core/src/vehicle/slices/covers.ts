import { type Of, choice, object, quantityField, quantityOrNone } from '../../model/spec.ts';

export const coverKinds = ['heat-sleeve', 'heat-shield', 'sealed-tube'] as const;
/** What is put over a line. */
export type CoverKind = (typeof coverKinds)[number];

const along = { min: 0, max: 60, message: 'a place along a line is from 0 to 60 m' };

/** Something over a stretch of a line, from one distance along it to another. */
export const coverSpec = object({
  kind: choice(coverKinds, { label: 'Cover', initial: 'heat-sleeve' }),
  from: quantityOrNone('length', 'mm', {
    label: 'From, along the line',
    help: 'empty: from its beginning',
    ...along,
  }),
  to: quantityOrNone('length', 'mm', { label: 'To', help: 'empty: to its end', ...along }),
  bears: quantityField('temperature', '°C', {
    label: 'Bears beside it',
    help: 'temperature of a surface that it may run beside, by its data sheet',
    min: 273.15,
    max: 1500,
    message: 'a cover bears from 0 to 1 227 °C',
  }),
});
export type StoredCover = Of<typeof coverSpec>;

/** A clamp at a distance along a line. */
export const clampSpec = object({
  at: quantityField('length', 'mm', { label: 'Clamp at', ...along }),
});
