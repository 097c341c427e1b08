import { choice, figure } from '../../model/spec.ts';
import { catalogueKind } from './catalogueKind.ts';
import { plugFamilies } from './deviceWords.ts';

export const plugPartForms = [
  'housing',
  'contact',
  'seal',
  'cavity plug',
  'boot',
  'backshell',
  'lug',
  'splice',
] as const;
/** What a part is to the end of a wire. */
export type PlugPartForm = (typeof plugPartForms)[number];

/** What wires end in: housings with their locks, contacts, seals, plugs of cavities, boots, lugs, splices. */
export const plugPart = catalogueKind({
  category: 'plug-part',
  title: 'Plugs, contacts, seals',
  fields: {
    form: choice(plugPartForms, { label: 'Form' }),
    plugFamily: choice(plugFamilies, { label: 'Of plugs' }),
    ways: figure('count', '', [0, 300], 'Ways of a housing'),
    areaMin: figure('area', 'mm²', [0, 1e-3], 'Smallest wire'),
    areaMax: figure('area', 'mm²', [0, 1e-3], 'Largest wire'),
    holdsMin: figure('length', 'mm', [0, 0.2], 'Closes round from'),
    holdsMax: figure('length', 'mm', [0, 0.2], 'Closes round up to'),
    pullOff: figure('force', 'N', [0, 5000], 'Stands a pull of'),
  },
});
