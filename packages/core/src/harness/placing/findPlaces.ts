import type { Netlist } from '../../electrics/index.ts';
import type { Harness, MountingLine, Placement, Solid, Vehicle, Zone } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import {
  type BodyFacts,
  type PlacedComponent,
  type Vector,
  type VehicleAround,
  bodyAt,
  checkComponent,
  componentFaults,
  distanceBetween,
  vectorOf,
  vehicleBox,
} from '../../vehicle/index.ts';
import { LIES_LONGER } from '../lengths/formulas.ts';
import type { LedSegment } from '../lengths/ledSegment.ts';
import { placeNode } from '../topology/harnessNode.ts';
import { copperAt, leavingOf, legAt } from './attachments.ts';
import { Carriers } from './carriers.ts';
import { sheetBetween } from './sheetBetween.ts';

/** What a place is looked for, and the vehicle around it. */
export interface PlaceWish {
  readonly placementId: string;
  /** how much room it takes; a part of the catalogue, or a box that is taken for it */
  readonly body: BodyFacts & Pick<PlacedComponent, 'servicedFrom'>;
  readonly netlist: Pick<Netlist, 'wires'>;
  readonly segments: readonly LedSegment[];
  readonly harness: Pick<Harness, 'bought'>;
  readonly placements: readonly Placement[];
  readonly mountingLines: readonly MountingLine[];
  readonly solids: readonly Solid[];
  readonly around: VehicleAround;
  readonly vehicle: Vehicle;
}

/** A place at which it could sit. */
export interface PlaceSite {
  readonly at: Vector;
  /** wire m that it takes there */
  readonly copper: number;
  /** what carries it, and how far that is, m */
  readonly carrier: string;
  readonly bracket: number;
  readonly zone: Zone;
  /** the nearest hot thing and the room to it, m */
  readonly heat: { readonly name: string; readonly clearance: number } | undefined;
  /** legs of bought looms that reach from there, of so many */
  readonly reaching: number;
  readonly legs: number;
}

/** Places that hang together, and the best of them. */
export interface PlaceRegion {
  readonly sites: readonly PlaceSite[];
  readonly best: PlaceSite;
}

/** How far a search has come, and what it found. */
export interface PlacesProgress {
  readonly done: number;
  readonly of: number;
  readonly regions: readonly PlaceRegion[];
  /** where it sits now, judged alike; wire m */
  readonly copperNow: number;
}

/** Places are looked at so far apart, m. */
export const SITE_STEP = 0.08;
/** So many regions are told, the best first. */
const TOLD = 6;
/** Room to places of other parts of which no body is known, m. */
const BESIDE = 0.06;

/**
 * Looks for places at which a part could sit: carried by something, clear of heat, movement and
 * splash, with room to reach it, ranked by legs that reach and by wire.
 */
export function* findPlaces(wish: PlaceWish): Generator<PlacesProgress, PlacesProgress> {
  const { placementId, body, placements, around, vehicle } = wish;
  const place = placements.find(({ id }) => id === placementId);
  if (!place) return { done: 1, of: 1, regions: [], copperNow: 0 };
  const carriers = new Carriers(wish.mountingLines, around, wish.solids);
  const free: VehicleAround = {
    ...around,
    obstacles: around.obstacles.filter(
      ({ kind, path }) => !(kind === 'component' && path[1] === placementId),
    ),
  };
  const leaving = leavingOf(wish);
  const legs = wish.harness.bought.flatMap((loom) =>
    loom.placementId === placementId ? loom.legs : [],
  );
  const others = placements.filter(({ id }) => id !== placementId).map(vectorOf);
  const standing = { x: place.x, y: place.y, z: place.z };
  const sitting = (at: Vector): PlacedComponent<BodyFacts> => {
    const [x, y, z] = at.map((value) => quantity(value * 1e3, 'length', 'mm'));
    const placement = {
      ...place,
      x: x ?? standing.x,
      y: y ?? standing.y,
      z: z ?? standing.z,
      movesWithEngine: false,
    };
    return {
      id: placementId,
      name: place.name,
      placement,
      item: body,
      body: bodyAt(placement, body),
      carriesFuel: false,
      servicedFrom: body.servicedFrom,
    };
  };
  const judge = (at: Vector): PlaceSite | undefined => {
    const component = sitting(at);
    const carrier = carriers.for(component.body);
    if (!carrier) return undefined;
    if (others.some((other) => distanceBetween(other, at) < BESIDE)) return undefined;
    const check = checkComponent(component, free);
    if (componentFaults(check, free).length > 0) return undefined;
    const led = copperAt(at, leaving, around.sheets);
    if (!led) return undefined;
    const { copper, joined } = led;
    const reaching = legs.filter((leg) => {
      const needed = joined && legAt(at, joined, placeNode(leg.placementId), leaving.tree);
      return needed !== undefined && LIES_LONGER * needed <= leg.length.value + leg.changed.value;
    }).length;
    const { hot } = check.near;
    return {
      at,
      copper,
      carrier: carrier.name,
      bracket: carrier.bracket,
      zone: zoneAt(at, placements, placementId, around),
      heat: hot && { name: hot.name, clearance: hot.clearance },
      reaching,
      legs: legs.length,
    };
  };
  const { low, high } = vehicleBox(vehicle);
  const counts = low.map((from, k) => Math.max(1, Math.floor(((high[k] ?? 0) - from) / SITE_STEP)));
  const [nx = 1, ny = 1, nz = 1] = counts;
  const sites = new Map<number, PlaceSite>();
  const copperNow = copperAt(vectorOf(place), leaving, [])?.copper ?? 0;
  for (let i = 0; i <= nx; i++) {
    for (let j = 0; j <= ny; j++) {
      for (let k = 0; k <= nz; k++) {
        const site = judge([
          low[0] + i * SITE_STEP,
          low[1] + j * SITE_STEP,
          low[2] + k * SITE_STEP,
        ]);
        if (site) sites.set((i * (ny + 1) + j) * (nz + 1) + k, site);
      }
    }
    if (i % 8 === 7) yield { done: i, of: nx + 1, regions: [], copperNow };
  }
  const regions = regionsOf(sites, [ny + 1, nz + 1]);
  return { done: nx + 1, of: nx + 1, regions: regions.slice(0, TOLD), copperNow };
}

/** The zone of the nearest place of the build on the same side of all sheets. */
function zoneAt(
  at: Vector,
  placements: readonly Placement[],
  but: string,
  { sheets }: Pick<VehicleAround, 'sheets'>,
): Zone {
  const byDistance = placements
    .filter(({ id }) => id !== but)
    .map((place) => ({ place, far: distanceBetween(vectorOf(place), at) }))
    .sort((a, b) => a.far - b.far);
  const near = byDistance.find(({ place }) => !sheetBetween(at, vectorOf(place), sheets));
  return (near ?? byDistance[0])?.place.zone ?? 'body';
}

/** Whether one site is better than another: more legs reach, else it takes less wire. */
const isBetter = (a: PlaceSite, b: PlaceSite): boolean =>
  a.reaching === b.reaching ? a.copper < b.copper : a.reaching > b.reaching;

/** Sites that are neighbours in one of the six directions, together; the best region first. */
function regionsOf(
  sites: ReadonlyMap<number, PlaceSite>,
  [ny, nz]: readonly [number, number],
): readonly PlaceRegion[] {
  const left = new Set(sites.keys());
  const regions: PlaceRegion[] = [];
  const steps = [1, -1, nz, -nz, ny * nz, -ny * nz];
  for (const start of sites.keys()) {
    if (!left.delete(start)) continue;
    const found: PlaceSite[] = [];
    const open = [start];
    for (let cell = open.pop(); cell !== undefined; cell = open.pop()) {
      const site = sites.get(cell);
      if (site) found.push(site);
      for (const step of steps) {
        if (left.delete(cell + step)) open.push(cell + step);
      }
    }
    const best = found.reduce((a, b) => (isBetter(b, a) ? b : a));
    regions.push({ sites: found, best });
  }
  return regions.sort((a, b) => (isBetter(a.best, b.best) ? -1 : 1));
}
