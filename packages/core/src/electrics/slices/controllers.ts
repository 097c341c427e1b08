import {
  type Of,
  choice,
  idOf,
  itemRef,
  object,
  orderField,
  record,
  text,
  whole,
} from '../../model/spec.ts';
import { connectionSpec } from './connections.ts';

/** A controller beside the engine's: gearbox unit, power module, input unit, logger. */
export const controllerSpec = object({
  order: orderField,
  name: text({ label: 'Name', min: 1, max: 80 }),
  item: itemRef('ecu'),
  placementId: idOf('placements', 'place', { label: 'Sits at' }),
  state: choice(['new', 'kept'], { label: 'In this conversion', initial: 'new' }),
  loadedTogether: whole({ label: 'Wires loaded in its bundle', min: 1, max: 40, initial: 4 }),
  /** its own supplies and grounds; what its other pins serve stands with the devices */
  connections: record(connectionSpec, { max: 200, key: 20, initial: {} }),
});
export type StoredController = Of<typeof controllerSpec>;

export const controllersSpec = record(controllerSpec, { max: 12, initial: {} });

/** The id under which devices name the engine's controller. */
export const ENGINE_CONTROLLER = 'ecu';
