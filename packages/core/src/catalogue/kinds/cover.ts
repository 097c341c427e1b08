import { choice, figure } from '../../model/spec.ts';
import { catalogueKind } from './catalogueKind.ts';

export const coverForms = ['tape', 'conduit', 'braid', 'heat-shrink', 'heat-sleeve'] as const;
/** How a cover of wires is made. */
export type CoverForm = (typeof coverForms)[number];

/** What lies round a bundle of wires, by the metre. */
export const cover = catalogueKind({
  category: 'cover',
  title: 'Sleeves and conduit',
  fields: {
    form: choice(coverForms, { label: 'Form' }),
    nominal: figure('length', 'mm', [0, 0.3], 'Nominal size'),
    bundleMin: figure('length', 'mm', [0, 0.3], 'Grips from a bundle of'),
    bundleMax: figure('length', 'mm', [1e-4, 0.3], 'Takes a bundle up to'),
    wall: figure('length', 'mm', [1e-5, 0.02], 'Wall on the bundle'),
    temperatureLimit: figure('temperature', '°C', [300, 1500], 'Stands'),
  },
});
