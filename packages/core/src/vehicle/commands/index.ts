import { type CommandOf, command, entryOf } from '../../model/command.ts';
import type { DocumentDraft } from '../../model/edit.ts';
import { choice, text } from '../../model/spec.ts';
import type { Vector } from '../geometry/vector.ts';
import { vehicleSpec } from '../model.ts';
import { firstVehicle } from '../proposals/firstVehicle.ts';
import { usualVehicle } from '../body/usualVehicle.ts';
import { vectorOf } from '../places/vectorOf.ts';

/** Collections of things on the map that may be taken off it. */
export const mapSlices = [
  'placements',
  'sheets',
  'solids',
  'hotRuns',
  'movingZones',
  'edges',
  'mountingLines',
  'spaces',
  'hardPoints',
  'otherLines',
] as const;
export type MapThingSlice = (typeof mapSlices)[number];

/** Takes a thing off the map, with the way and the tape readings that are its own. */
const takeOffMap = command({
  name: 'take-off-map',
  fields: { slice: choice(mapSlices), id: text({ min: 1, max: 40 }) },
  words: () => 'Take a thing off the map',
  recipe(draft, { slice, id }) {
    const collection: Record<string, unknown> = draft[slice];
    entryOf(collection, id, 'such thing');
    delete collection[id];
    if (slice === 'otherLines') {
      for (const [key, { of }] of Object.entries(draft.routes)) {
        if (of.kind === 'other' && of.otherLineId === id) delete draft.routes[key];
      }
    }
    if (slice === 'solids') {
      for (const [key, tank] of Object.entries(draft.tanks)) {
        if (tank.solidId === id) delete draft.tanks[key];
      }
    }
    if (slice === 'placements') {
      for (const [key, point] of Object.entries(draft.hardPoints)) {
        if (point.placementId === id) delete draft.hardPoints[key];
      }
    }
  },
});

/** Where the first tank of a build gives its fuel. */
function tankPlace(draft: DocumentDraft): Vector | undefined {
  for (const { elements, nodes } of Object.values(draft.fuelCircuits)) {
    for (const element of Object.values(elements)) {
      if (element.kind !== 'tank') continue;
      const place = draft.placements[nodes[element.outlet]?.placementId ?? ''];
      if (place) return vectorOf(place);
    }
  }
  return undefined;
}

const { kind, wheelbase, frontOverhang, rearOverhang, width, height } = vehicleSpec.fields;

/**
 * Lays out a first vehicle from its body and five dimensions: what is on the map already stays,
 * collections that are empty are filled.
 */
const layOutVehicle = command({
  name: 'lay-out-vehicle',
  fields: { kind, wheelbase, frontOverhang, rearOverhang, width, height },
  words: () => 'Lay out a first vehicle',
  recipe(draft, { name: _, ...sizes }: { name?: string } & LayOut) {
    const { track, tyre, clearance } = usualVehicle(sizes.kind);
    const narrow = Math.min(track.value, 0.85 * sizes.width.value);
    const small = Math.min(tyre.value, 0.6 * sizes.height.value);
    draft.vehicle = {
      ...sizes,
      track: { ...track, value: narrow },
      tyre: { ...tyre, value: small },
      clearance,
      outline: {},
    };
    const onEngine = Object.values(draft.placements).find((place) => place.movesWithEngine);
    const first = firstVehicle({
      vehicle: draft.vehicle,
      engineAt: onEngine && vectorOf(onEngine),
      tankAt: tankPlace(draft),
    });
    for (const [slice, things] of Object.entries(first)) {
      const present = draft[slice as keyof typeof first] as Record<string, unknown>;
      if (Object.keys(present).length === 0) Object.assign(present, things);
    }
  },
});
type LayOut = {
  readonly kind: DocumentDraft['vehicle']['kind'];
} & Readonly<
  Record<
    'wheelbase' | 'frontOverhang' | 'rearOverhang' | 'width' | 'height',
    DocumentDraft['vehicle']['width']
  >
>;

/** Edits of the vehicle. */
export const vehicleCommands = [takeOffMap, layOutVehicle] as const;
export type VehicleCommand = CommandOf<(typeof vehicleCommands)[number]>;
