import { quantity } from '../../quantities/index.ts';
import type {
  StoredHotRun,
  StoredMountingLine,
  StoredMovingZone,
  StoredSheet,
  StoredSolid,
  StoredSpace,
  StoredVehicle,
} from '../model.ts';
import type { BodyKind } from '../slices/body.ts';
import type { Vector } from '../geometry/vector.ts';
import { TYRE_WIDTH } from '../things/formulas.ts';

/** What a first vehicle is laid out from: its body, and where engine and tank already stand. */
export interface FirstVehicleInput {
  readonly vehicle: Omit<StoredVehicle, 'outline'>;
  /** a place on the engine, m */
  readonly engineAt: Vector | undefined;
  /** where fuel leaves the tank, m */
  readonly tankAt: Vector | undefined;
}

/** Things of a first vehicle by slice and id. */
export interface FirstVehicle {
  readonly solids: Readonly<Record<string, StoredSolid>>;
  readonly movingZones: Readonly<Record<string, StoredMovingZone>>;
  readonly mountingLines: Readonly<Record<string, StoredMountingLine>>;
  readonly sheets: Readonly<Record<string, StoredSheet>>;
  readonly hotRuns: Readonly<Record<string, StoredHotRun>>;
  readonly spaces: Readonly<Record<string, StoredSpace>>;
}

/** Middle of the engine along the wheelbase, by body. */
const engineShare: Readonly<Record<BodyKind, number>> = {
  van: 0.9,
  car: 0.97,
  'pick-up': 0.97,
  'open-frame': 0.2,
  'single-seater': 0.25,
  'three-wheeler': 0.35,
  'boat-tail': 0.85,
};

const mm = (metres: number) => quantity(Math.round(metres * 1e3), 'length', 'mm');
const place = ([x, y, z]: Vector) => ({ x: mm(x), y: mm(y), z: mm(z) });
const box = (low: Vector, high: Vector) => ({ low: place(low), high: place(high) });

/**
 * A believable vehicle around an engine and a tank: boxes, wheels, legs, a firewall and an exhaust
 * away from the tank. A first map to be measured over, not a drawing of any vehicle.
 */
export function firstVehicle({ vehicle, engineAt, tankAt }: FirstVehicleInput): FirstVehicle {
  const wheelbase = vehicle.wheelbase.value;
  const [width, height] = [vehicle.width.value, vehicle.height.value];
  const rear = -vehicle.rearOverhang.value;
  const front = wheelbase + vehicle.frontOverhang.value;
  const [tyre, track] = [vehicle.tyre.value, vehicle.track.value];
  const low = vehicle.clearance.value;
  const share = engineShare[vehicle.kind];
  const [ex, ey, ez] = engineAt ?? [share * wheelbase, 0, low + 0.45];
  const [tx, ty, tz] = tankAt ?? [0.1 * wheelbase, -0.15 * width, low + 0.2];
  // Behind the engine where that stands in front, before it where it stands behind.
  const inFront = ex > wheelbase / 2;
  const wall = inFront ? ex - 0.42 : ex + 0.42;
  const side = ty > 0 ? -1 : 1;
  const leg = 0.22 * width;
  const legHeight = low + 0.18;
  const wheel = (name: string, x: number, y: number, lock: number): StoredMovingZone => ({
    name,
    part: 'wheel',
    travel: mm(0.06),
    room: {
      shape: 'box',
      ...box(
        [x - tyre / 2, y - (TYRE_WIDTH * tyre) / 2 - lock, 0],
        [x + tyre / 2, y + (TYRE_WIDTH * tyre) / 2 + lock, tyre],
      ),
    },
  });
  const singleRear = vehicle.kind === 'three-wheeler';
  const half = track / 2;
  const exhaustY = side * 0.3 * width;
  const cabin: readonly [number, number] = inFront
    ? [0.2 * wheelbase, wall - 0.05]
    : [wall + 0.05, Math.max(wall + 0.6, 0.75 * wheelbase)];
  return {
    solids: {
      engine: {
        name: 'Engine',
        part: 'engine',
        ...box(
          [ex - 0.34, ey - 0.28, Math.max(low, ez - 0.4)],
          [ex + 0.34, ey + 0.28, Math.max(low, ez - 0.4) + 0.65],
        ),
        carriesMounts: false,
        movesWithEngine: true,
      },
      tank: {
        name: 'Fuel tank',
        part: 'tank',
        ...box([tx - 0.6, ty - 0.25, tz - 0.03], [tx, ty + 0.25, tz + 0.27]),
        carriesMounts: false,
        movesWithEngine: false,
      },
    },
    movingZones: {
      ...(singleRear
        ? { 'wheel-rear': wheel('Rear wheel', 0, 0, 0) }
        : {
            'wheel-rear-left': wheel('Left rear wheel', 0, half, 0),
            'wheel-rear-right': wheel('Right rear wheel', 0, -half, 0),
          }),
      'wheel-front-left': wheel('Left front wheel at lock', wheelbase, half, 0.08),
      'wheel-front-right': wheel('Right front wheel at lock', wheelbase, -half, 0.08),
    },
    mountingLines: {
      'leg-right': {
        name: 'Right leg',
        from: place([rear, -leg, legHeight]),
        to: place([front, -leg, legHeight]),
        clipPitch: null,
      },
      'leg-left': {
        name: 'Left leg',
        from: place([rear, leg, legHeight]),
        to: place([front, leg, legHeight]),
        clipPitch: null,
      },
    },
    sheets: {
      firewall: {
        name: 'Firewall',
        seals: true,
        corner: place([wall, -0.4 * width, low + 0.2]),
        next: place([wall, 0.4 * width, low + 0.2]),
        other: place([wall, -0.4 * width, Math.max(low + 0.4, 0.62 * height)]),
        passThroughs: {},
      },
    },
    hotRuns: {
      exhaust: {
        name: 'Exhaust',
        part: 'pipe',
        diameter: mm(0.055),
        temperature: quantity(450, 'temperature', '°C'),
        points: Object.fromEntries(
          (
            [
              [ex, ey + side * 0.31, ez],
              [ex - 0.2, ey + side * 0.33, low + 0.08],
              [ex - 0.7, exhaustY, low + 0.08],
              [rear + 0.1, exhaustY, low + 0.1],
            ] satisfies Vector[]
          ).map((at, i) => [`p${i + 1}`, { order: 1000 * (i + 1), ...place(at) }]),
        ),
      },
    },
    spaces: {
      cabin: {
        name: 'Cabin',
        use: 'cabin',
        ...box(
          [Math.min(...cabin), -0.42 * width, low + 0.12],
          [Math.max(...cabin), 0.42 * width, 0.96 * height],
        ),
      },
    },
  };
}
