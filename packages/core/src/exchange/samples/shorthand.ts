import type {
  Assembly,
  AssemblyEnd,
  CurvePoint,
  Edge,
  FuelCircuit,
  HardPoint,
  HotRun,
  LengthKnowledge,
  LineRoute,
  MountingLine,
  MovingZone,
  OtherLine,
  Placement,
  Sheet,
  Solid,
  Space,
  TankOnMap,
  Vehicle,
  Zone,
} from '../../model/index.ts';
import { TANK_AS_FOUND } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';

export const ref = (id: string) => ({ id, revision: 1 });
export const q = quantity;
export const typed = (metres: number): LengthKnowledge => ({
  typed: q(metres, 'length', 'm'),
  measured: null,
});
export const measured = (metres: number): LengthKnowledge => ({
  typed: null,
  measured: q(metres, 'length', 'm'),
});
export const byMap: LengthKnowledge = { typed: null, measured: null };

type Fixing = NonNullable<Placement['fixing']>;

/** Forward of the rear axle, left of the middle, above the ground, mm. */
export type Millimetres = readonly [x: number, y: number, z: number];

export const xyz = ([x, y, z]: Millimetres) => ({
  x: q(x, 'length', 'mm'),
  y: q(y, 'length', 'mm'),
  z: q(z, 'length', 'mm'),
});

/** How a part sits at its place: where its front looks, °, and what holds it. */
interface Sits {
  readonly heading?: number;
  readonly pitch?: number;
  readonly fixing?: Placement['fixing'];
}

const degrees = (value: number | undefined) =>
  value === undefined ? null : q(value, 'angle', '°');

/** A place from millimetres: x forward of the rear axle, y left, z up. */
export const place = (
  id: string,
  name: string,
  at: Millimetres,
  zone: Zone,
  { heading, pitch, fixing = null }: Sits = {},
): Placement => ({
  id,
  name,
  ...xyz(at),
  zone,
  movesWithEngine: false,
  heading: degrees(heading),
  pitch: degrees(pitch),
  fixing,
});

/** A place on the engine. */
export const onEngine = (
  id: string,
  name: string,
  at: Millimetres,
  sits: Sits = {},
): Placement => ({
  ...place(id, name, at, 'engine-bay', sits),
  movesWithEngine: true,
});

/** What holds a part: to what, by what, plate thickness and air behind it in mm, its bolts. */
export const held = (
  onto: Fixing['onto'],
  means: Fixing['means'],
  [thickness, standoff]: readonly [thickness: number, standoff: number],
  [bolts, bolt]: readonly [bolts: number, bolt: Fixing['bolt']],
  more: Partial<Pick<Fixing, 'metal' | 'rubber'>> = {},
): Fixing => ({
  onto,
  means,
  metal: 'steel',
  thickness: q(thickness, 'length', 'mm'),
  standoff: q(standoff, 'length', 'mm'),
  rubber: false,
  bolt,
  bolts,
  drilled: null,
  ...more,
});
export const ontoLine = (mountingLineId: string): Fixing['onto'] => ({
  kind: 'mounting-line',
  mountingLineId,
});
export const ontoSolid = (solidId: string): Fixing['onto'] => ({ kind: 'solid', solidId });
export const ontoSheet = (sheetId: string): Fixing['onto'] => ({ kind: 'sheet', sheetId });

/** A curve from engine speed and per cent. */
export const points = (rows: [rpm: number, percent: number][]): CurvePoint[] =>
  rows.map(([rpm, percent]) => ({
    speed: q(rpm, 'rotation', 'rpm'),
    value: q(percent, 'ratio', '%'),
  }));

/** The same circuit with some of its joints at other places, by joint. */
export const placedAt = (
  circuit: FuelCircuit,
  places: Readonly<Record<string, string>>,
): FuelCircuit => ({
  ...circuit,
  nodes: circuit.nodes.map((node) => ({
    ...node,
    placementId: places[node.id] ?? node.placementId,
  })),
});

/** Corners of a pipe over the vehicle. */
export const corners = (places: readonly Millimetres[]) =>
  places.map((at, i) => ({ id: `p${i + 1}`, ...xyz(at) }));

/** Corners of a way, each with its bend radius. */
export const bent = (radius: number, places: readonly Millimetres[]) =>
  corners(places).map((corner) => ({ ...corner, radius: q(radius, 'length', 'mm') }));

/** The way of a fuel line. */
export const way = (
  circuitId: string,
  elementId: string,
  points: LineRoute['points'] = [],
): LineRoute => ({
  id: elementId,
  of: { kind: 'line', circuitId, elementId },
  covers: [],
  clamps: [],
  flexible: false,
  points,
});

/** The way of another line. */
export const otherWay = (otherLineId: string, points: LineRoute['points'] = []): LineRoute => ({
  id: otherLineId,
  of: { kind: 'other', otherLineId },
  covers: [],
  clamps: [],
  flexible: false,
  points,
});

/** One end of a line as it is made: its part, adapters from the port on, the port where no part says it. */
export const end = (
  item: string | null,
  adapters: readonly string[] = [],
  onto: AssemblyEnd['onto'] = null,
): AssemblyEnd => ({
  item: item === null ? null : ref(item),
  onto,
  adapters: adapters.map((id, i) => ({ id: `a${i + 1}`, item: ref(id) })),
});

const undecided = { slack: null, asMade: null };

/** A line of a circuit as it is made. */
export const assembly = (
  circuitId: string,
  elementId: string,
  from: AssemblyEnd,
  to: AssemblyEnd,
): Assembly => ({
  id: elementId,
  of: { kind: 'line', circuitId, elementId },
  from,
  to,
  ...undecided,
});

/** Another line as it is made. */
export const otherAssembly = (
  otherLineId: string,
  from: AssemblyEnd,
  to: AssemblyEnd,
): Assembly => ({
  id: `other-${otherLineId}`,
  of: { kind: 'other', otherLineId },
  from,
  to,
  ...undecided,
});

/** A range along an axis, mm. */
type Range = readonly [from: number, to: number];
type Ranges = readonly [x: Range, y: Range, z: Range];

const box = ([x, y, z]: Ranges) => ({
  low: xyz([x[0], y[0], z[0]]),
  high: xyz([x[1], y[1], z[1]]),
});

export const solid = (id: string, name: string, part: Solid['part'], at: Ranges): Solid => ({
  id,
  name,
  part,
  ...box(at),
  carriesMounts: false,
  movesWithEngine: part === 'engine' || part === 'gearbox',
});

export const space = (id: string, name: string, use: Space['use'], at: Ranges): Space => ({
  id,
  name,
  use,
  ...box(at),
});

export const movingBox = (
  id: string,
  name: string,
  part: MovingZone['part'],
  at: Ranges,
  travel = 0,
): MovingZone => ({
  id,
  name,
  part,
  travel: q(travel, 'length', 'mm'),
  room: { shape: 'box', ...box(at) },
});

export const movingRod = (
  id: string,
  name: string,
  part: MovingZone['part'],
  rod: { from: Millimetres; to: Millimetres; diameter: number; travel: number },
): MovingZone => ({
  id,
  name,
  part,
  travel: q(rod.travel, 'length', 'mm'),
  room: {
    shape: 'rod',
    from: xyz(rod.from),
    to: xyz(rod.to),
    diameter: q(rod.diameter, 'length', 'mm'),
  },
});

export const hotRun = (
  id: string,
  name: string,
  [diameter, celsius]: readonly [mm: number, celsius: number],
  places: readonly Millimetres[],
  part: HotRun['part'] = 'pipe',
): HotRun => ({
  id,
  name,
  part,
  diameter: q(diameter, 'length', 'mm'),
  temperature: q(celsius, 'temperature', '°C'),
  points: corners(places),
});

export const sheet = (
  id: string,
  name: string,
  [corner, next, other]: readonly [Millimetres, Millimetres, Millimetres],
  passThroughs: Sheet['passThroughs'] = [],
  seals = false,
): Sheet => ({
  id,
  name,
  seals,
  corner: xyz(corner),
  next: xyz(next),
  other: xyz(other),
  passThroughs,
});

export const hole = (
  id: string,
  name: string,
  at: Millimetres,
  bore: number,
  fitted: Sheet['passThroughs'][number]['fitted'],
) => ({ id, name, ...xyz(at), bore: q(bore, 'length', 'mm'), fitted });

export const edge = (id: string, name: string, from: Millimetres, to: Millimetres): Edge => ({
  id,
  name,
  covered: false,
  from: xyz(from),
  to: xyz(to),
});

export const mountingLine = (
  id: string,
  name: string,
  from: Millimetres,
  to: Millimetres,
  clipPitch?: number,
): MountingLine => ({
  id,
  name,
  from: xyz(from),
  to: xyz(to),
  clipPitch: clipPitch === undefined ? null : q(clipPitch, 'length', 'mm'),
});

export const hardPoint = (
  placementId: string,
  at: Millimetres,
  uncertainty: number,
  from: string,
): HardPoint => ({
  id: placementId,
  placementId,
  ...xyz(at),
  uncertainty: q(uncertainty, 'length', 'mm'),
  from,
});

export const otherLine = (
  id: string,
  name: string,
  use: OtherLine['use'],
  [fromPlacementId, toPlacementId]: readonly [string, string],
  hose: string | number,
  litresPerMinute?: number,
): OtherLine => ({
  id,
  name,
  use,
  fromPlacementId,
  toPlacementId,
  item: typeof hose === 'string' ? ref(hose) : null,
  diameter: typeof hose === 'number' ? q(hose, 'length', 'mm') : null,
  flow: litresPerMinute === undefined ? null : q(litresPerMinute, 'volumeFlow', 'L/min'),
});

/** The box on the map that a tank is. */
export const tankOnMap = (
  elementId: string,
  solidId: string,
  circuitId: string,
  litres: number | null,
  more: Partial<TankOnMap> = {},
): TankOnMap => ({
  id: elementId,
  circuitId,
  elementId,
  solidId,
  ...TANK_AS_FOUND,
  swirl: litres === null ? null : q(litres, 'volume', 'L'),
  ...more,
});

/** A vehicle from millimetres. */
export const vehicle = (
  kind: Vehicle['kind'],
  mm: Readonly<Record<Exclude<keyof Vehicle, 'kind' | 'outline'>, number>>,
): Vehicle => ({
  kind,
  wheelbase: q(mm.wheelbase, 'length', 'mm'),
  frontOverhang: q(mm.frontOverhang, 'length', 'mm'),
  rearOverhang: q(mm.rearOverhang, 'length', 'mm'),
  width: q(mm.width, 'length', 'mm'),
  height: q(mm.height, 'length', 'mm'),
  track: q(mm.track, 'length', 'mm'),
  tyre: q(mm.tyre, 'length', 'mm'),
  clearance: q(mm.clearance, 'length', 'mm'),
  outline: [],
});
