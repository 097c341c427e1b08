import { bodyFields, portFields } from './bodyFields.ts';
import { whole } from '../../model/spec.ts';
import { catalogueKind } from './catalogueKind.ts';
import { threadFields } from './ports.ts';
import { bypass, pressureRating, regulating, settable } from './sharedFields.ts';

/** A return regulator: range, slope and opening. */
export const regulator = catalogueKind({
  category: 'regulator',
  title: 'Return regulators',
  fields: {
    ...settable,
    ...regulating,
    ...bypass,
    pressureRating,
    ...bodyFields,
    ...portFields,
    ...threadFields,
    inlets: { ...whole({ label: 'Inlets', min: 1, max: 4 }), whenEmpty: 1 },
  },
});

/** Forward regulator: holds its outlet at or below the set pressure, nothing returns. */
export const deadHeadRegulator = catalogueKind({
  category: 'dead-head-regulator',
  title: 'Dead-head regulators',
  fields: {
    ...settable,
    ...regulating,
    pressureRating,
    ...bodyFields,
    ...portFields,
    ...threadFields,
  },
});
