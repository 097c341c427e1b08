import { choice, figure } from '../../model/spec.ts';
import { catalogueKind } from './catalogueKind.ts';
import { pressureRating } from './sharedFields.ts';

export const fittingForms = [
  'hose end',
  'adapter',
  'bulkhead',
  'Y-block',
  'T',
  'barb',
  'flare',
  'ferrule',
  'check valve',
  'tank outlet',
  'in-tank hanger',
] as const;
/** What a fitting does. */
export type FittingForm = (typeof fittingForms)[number];

/** A fitting: bore m and loss coefficient on that bore. */
export const fitting = catalogueKind({
  category: 'fitting',
  title: 'Ends and fittings',
  fields: {
    form: choice(fittingForms, { label: 'Form' }),
    bore: figure('length', 'mm', [1e-3, 0.1], 'Bore'),
    lossCoefficient: figure('count', '', [0, 100], 'Loss coefficient'),
    pressureRating,
  },
});
