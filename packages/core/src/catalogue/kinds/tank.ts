import { choice, figure } from '../../model/spec.ts';
import { catalogueKind } from './catalogueKind.ts';
import { ethanolLimit } from './sharedFields.ts';

/** What a tank is: volume for range, outlets by the fittings on it. */
export const tank = catalogueKind({
  category: 'tank',
  title: 'Tanks',
  fields: {
    volume: figure('volume', 'L', [1e-4, 2], 'Usable volume'),
    material: choice(['steel', 'stainless', 'aluminium', 'plastic'], { label: 'Material' }),
    ethanolLimit,
  },
});

export const smallPartForms = [
  'other',
  'ear clamp',
  'injection clamp',
  'worm clamp',
  'P-clamp',
  'grommet',
  'heat sleeve',
  'sealant',
  'oil',
  'cap',
  'seal',
  'boss',
  'sealing washer',
] as const;
/** What a small part is. */
export type SmallPartForm = (typeof smallPartForms)[number];

/** A small part that is ordered but loses no pressure. */
export const smallPart = catalogueKind({
  category: 'small-part',
  title: 'Clamps and small parts',
  fields: {
    form: { ...choice(smallPartForms, { label: 'Form' }), whenEmpty: 'other' as const },
    diameterMin: figure('length', 'mm', [0, 1], 'Smallest diameter'),
    diameterMax: figure('length', 'mm', [0, 1], 'Largest diameter'),
  },
});
