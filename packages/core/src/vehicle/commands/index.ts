import { type CommandOf, command, entryOf } from '../../model/command.ts';
import type { DocumentDraft } from '../../model/edit.ts';
import { choice, text } from '../../model/spec.ts';
import { type Vector, add, scale, subtract } from '../geometry/vector.ts';
import { type Carrier, vehicleSpec } from '../model.ts';
import { firstVehicle } from '../proposals/firstVehicle.ts';
import { usualVehicle } from '../body/usualVehicle.ts';
import { pulled } from '../pulling/pulled.ts';
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

/** Whether a carrier is a thing of a collection. */
const standsOn = (onto: Carrier, slice: MapThingSlice, id: string): boolean => {
  switch (onto.kind) {
    case 'mounting-line':
      return slice === 'mountingLines' && onto.mountingLineId === id;
    case 'solid':
      return slice === 'solids' && onto.solidId === id;
    case 'sheet':
      return slice === 'sheets' && onto.sheetId === id;
  }
};

/** Takes a thing off the map, with the way and the tape readings that are its own, and lets go what it carried. */
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
      for (const [key, { of }] of Object.entries(draft.assemblies)) {
        if (of.kind === 'other' && of.otherLineId === id) delete draft.assemblies[key];
      }
    }
    if (slice === 'solids') {
      for (const [key, tank] of Object.entries(draft.tanks)) {
        if (tank.solidId === id) delete draft.tanks[key];
      }
    }
    for (const place of Object.values(draft.placements)) {
      if (place.fixing && standsOn(place.fixing.onto, slice, id)) place.fixing = null;
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

type Draft = DocumentDraft;
type At = { x: Draft['placements'][string]['x']; y: At['x']; z: At['x'] };

/**
 * Every place of the map that goes along when measured places are pulled, but those themselves;
 * what keeps its shape goes together.
 */
function placesOf(draft: Draft, measured: ReadonlySet<string>): At[][] {
  const all = <Entry>(entries: Record<string, Entry>): Entry[] => Object.values(entries);
  return [
    ...Object.entries(draft.placements).flatMap(([id, place]) =>
      measured.has(id) ? [] : [[place]],
    ),
    ...all(draft.routes).flatMap((route) => all(route.points).map((point) => [point])),
    ...all(draft.harness.breakouts).map((breakout) => [breakout]),
    ...all(draft.harness.segments).flatMap(({ points }) => all(points).map((point) => [point])),
    ...all(draft.hotRuns).flatMap((run) => all(run.points).map((point) => [point])),
    ...[...all(draft.edges), ...all(draft.mountingLines)].flatMap(({ from, to }) => [[from], [to]]),
    ...all(draft.sheets).flatMap(({ corner, next, other, passThroughs }) =>
      [corner, next, other, ...all(passThroughs)].map((at) => [at]),
    ),
    ...[...all(draft.solids), ...all(draft.spaces)].map(({ low, high }) => [low, high]),
    ...all(draft.movingZones).map(({ room }) =>
      room.shape === 'box' ? [room.low, room.high] : [room.from, room.to],
    ),
  ];
}

const middleOf = (places: readonly Vector[]): Vector =>
  scale(
    places.reduce((sum, at) => add(sum, at)),
    1 / places.length,
  );

/** Puts measured places where the tape found them, and takes along what stands around them. */
const pullMapTrue = command({
  name: 'pull-map-true',
  fields: {},
  words: () => 'Pull the map true to the tape',
  recipe(draft) {
    const points = Object.values(draft.hardPoints).flatMap((point) => {
      const place = draft.placements[point.placementId];
      return place ? [{ id: point.placementId, place, point }] : [];
    });
    const pulls = points.map(({ place, point }) => ({
      drawn: vectorOf(place),
      found: vectorOf(point),
    }));
    const measured = new Set(points.map(({ id }) => id));
    for (const group of placesOf(draft, measured)) {
      const middle = middleOf(group.map(vectorOf));
      const by = subtract(pulled(middle, pulls), middle);
      for (const at of group) {
        (['x', 'y', 'z'] as const).forEach((axis, k) => {
          // To a tenth of a millimetre; what hardly moves stays as it was typed.
          const step = Math.round((by[k] ?? 0) * 1e4) / 1e4;
          if (Math.abs(step) >= 5e-4) at[axis] = { ...at[axis], value: at[axis].value + step };
        });
      }
    }
    for (const { place, point } of points) {
      place.x = point.x;
      place.y = point.y;
      place.z = point.z;
    }
  },
});

/** Edits of the vehicle. */
export const vehicleCommands = [takeOffMap, layOutVehicle, pullMapTrue] as const;
export type VehicleCommand = CommandOf<(typeof vehicleCommands)[number]>;
