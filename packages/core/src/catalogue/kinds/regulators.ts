import { bodyFields, portFields } from './bodyFields.ts';
import { catalogueKind } from './catalogueKind.ts';
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
  },
});

/** Forward regulator: holds its outlet at or below the set pressure, nothing returns. */
export const deadHeadRegulator = catalogueKind({
  category: 'dead-head-regulator',
  title: 'Dead-head regulators',
  fields: { ...settable, ...regulating, pressureRating, ...bodyFields, ...portFields },
});
