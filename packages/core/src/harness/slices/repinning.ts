import { type Of, idOf, object, orderField, record, text, yesNo } from '../../model/spec.ts';

/** A cavity of a plug that is kept: what was in it, what is in it then. */
export const repinnedCavitySpec = object({
  order: orderField,
  cavity: text({ label: 'Cavity', min: 1, max: 20 }),
  before: text({ label: 'Before', help: 'empty: nothing was in it', min: 0, max: 80, initial: '' }),
  after: text({ label: 'After', help: 'empty: nothing is in it', min: 0, max: 80, initial: '' }),
  cut: yesNo({
    label: 'Cut',
    help: 'the wire that was there is cut, not drawn out with its contact',
    initial: false,
  }),
});
export type StoredRepinnedCavity = Of<typeof repinnedCavitySpec>;

/** A plug that is kept on the vehicle side and gets other wires. */
export const repinnedPlugSpec = object({
  order: orderField,
  name: text({ label: 'Name', min: 1, max: 80 }),
  placementId: idOf('placements', 'place', { label: 'Sits at' }),
  cavities: record(repinnedCavitySpec, { max: 140, initial: {} }),
});
export type StoredRepinnedPlug = Of<typeof repinnedPlugSpec>;

export const repinnedSpec = record(repinnedPlugSpec, { max: 40, since: 16, initial: {} });
