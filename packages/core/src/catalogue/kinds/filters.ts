import { choice, figure } from '../../model/spec.ts';
import { bodyFields, portFields, returnPort } from './bodyFields.ts';
import { catalogueKind } from './catalogueKind.ts';
import { returnThread, threadFields } from './ports.ts';
import { bypass, dropTable, filtering, pressureRating, regulating } from './sharedFields.ts';

export const filterForms = ['in-line', 'strainer'] as const;

/** A filter: data-sheet points with their test fluid. */
export const filter = catalogueKind({
  category: 'filter',
  title: 'Filters',
  fields: {
    form: choice(filterForms, {
      label: 'Form',
      help: 'a strainer is fitted to a pump in the tank',
    }),
    ...filtering,
    pressureRating,
    ...bodyFields,
    ...portFields,
    ...threadFields,
  },
  table: dropTable,
});

/** Filter and fixed regulator in one body, for use near the tank. */
export const filterRegulator = catalogueKind({
  category: 'filter-regulator',
  title: 'Filter-regulators',
  fields: {
    setPressure: figure('pressure', 'kPa', [1e3, 5e6], 'Holds'),
    ...filtering,
    pressureRating,
    ...regulating,
    ...bypass,
    ...bodyFields,
    ...portFields,
    ...returnPort,
    ...threadFields,
    ...returnThread,
  },
  table: dropTable,
});
