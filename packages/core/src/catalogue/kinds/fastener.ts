import { choice, figure } from '../../model/spec.ts';
import { catalogueKind } from './catalogueKind.ts';

export const fastenerForms = [
  'bolt',
  'washer',
  'locking nut',
  'rubber mount',
  'spacer',
  'lined clamp',
  'strap',
] as const;
/** What a fastener is. */
export type FastenerForm = (typeof fastenerForms)[number];

/**
 * A fastener by its thread, m, and its length: of a bolt under its head, of a clamp the diameter it
 * holds, of a strap all of it, of others their height.
 */
export const fastener = catalogueKind({
  category: 'fastener',
  title: 'Bolts, nuts and mounts',
  fields: {
    form: choice(fastenerForms, { label: 'Form' }),
    thread: figure('length', 'mm', [1e-3, 0.05], 'Thread'),
    length: figure('length', 'mm', [0, 5], 'Length'),
  },
});
