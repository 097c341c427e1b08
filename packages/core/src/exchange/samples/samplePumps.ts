import type { PumpCurve, PumpItem } from '../../catalogue/index.ts';
import { body } from './body.ts';

const LITRE_PER_HOUR = 1e-3 / 3600;
const voltages = [8, 10, 12, 13.5, 14.5];
const pressureShares = [1, 0.9, 0.75, 0.6, 0.45, 0.3, 0.15, 0];

const round = (value: number, step: number): number => Math.round(value / step) * step;

/** Data-sheet style curves from what is on the box: free flow L/h, dead-head kPa, currents A. */
function curves(input: {
  freeFlow: number;
  deadHead: number;
  currentFree: number;
  currentDeadHead: number;
}): PumpCurve[] {
  return voltages.map((voltage) => {
    const free = (input.freeFlow * (voltage - 2.5)) / 11;
    const dead = input.deadHead * (voltage / 13.5) ** 1.2;
    const strength = (voltage / 13.5) ** 0.3;
    return {
      voltage,
      points: pressureShares.map((r) => ({
        flow: round(free * (1 - 0.35 * r - 0.65 * r ** 3), 0.5) * LITRE_PER_HOUR,
        pressure: round(dead * r, 1) * 1e3,
        current: round(
          strength *
            (input.currentFree +
              (input.currentDeadHead - input.currentFree) * ((dead * r) / input.deadHead)),
          0.05,
        ),
      })),
    };
  });
}

type Box = Parameters<typeof curves>[0] &
  Partial<Pick<PumpItem, 'inletPort' | 'outletPort'>> &
  Pick<PumpItem, 'id' | 'family' | 'mounting' | 'duty' | 'mass' | 'price' | 'positiveDisplacement'>;

/** A cylinder with its inlet at the back; those for outside are longer and stand water. */
const bodyOf = (mounting: PumpItem['mounting']) =>
  mounting === 'external'
    ? { ...body([190, 60, 60], 'around', 150), splashProof: true }
    : body([120, 40, 40]);

const pump = (box: Box): PumpItem => ({
  category: 'pump',
  id: box.id,
  revision: 1,
  designation: box.id,
  family: box.family,
  mounting: box.mounting,
  duty: box.duty,
  mass: box.mass,
  price: box.price,
  interchange: `${box.mounting}-${box.duty}`,
  curves: curves(box),
  checkValve: true,
  positiveDisplacement: box.positiveDisplacement,
  inletHeadNeeded: box.mounting === 'external' ? 10e3 : 5e3,
  inrushFactor: 4,
  inrushTime: 0.05,
  pressureRating: 1.2e6,
  wireAreaMin: 0.75e-6,
  wireAreaMax: 6e-6,
  ...bodyOf(box.mounting),
  inletSide: 'back',
  outletSide: 'front',
  inletPort: box.inletPort ?? 'none',
  outletPort: box.outletPort ?? 'barb-8-male',
  plugSide: 'top',
  plugRoom: 0.04,
});

const inTank = {
  family: 'in-tank turbine',
  mounting: 'in-tank',
  duty: 'main',
  positiveDisplacement: false,
} as const;
const external = {
  family: 'external roller',
  inletPort: 'boss-10-female',
  outletPort: 'boss-6-female',
  mounting: 'external',
  duty: 'main',
  positiveDisplacement: true,
} as const;

export const samplePumps: readonly PumpItem[] = [
  pump({
    id: 'P120',
    inletPort: 'boss-8-female',
    outletPort: 'boss-6-female',
    family: 'lift',
    mounting: 'external',
    duty: 'lift',
    positiveDisplacement: true,
    freeFlow: 120,
    deadHead: 60,
    currentFree: 1.6,
    currentDeadHead: 3,
    mass: 0.5,
    price: 48,
  }),
  pump({
    id: 'P190',
    ...inTank,
    freeFlow: 190,
    deadHead: 620,
    currentFree: 3,
    currentDeadHead: 8.5,
    mass: 0.4,
    price: 84,
  }),
  pump({
    id: 'P255',
    ...inTank,
    freeFlow: 255,
    deadHead: 680,
    currentFree: 3.6,
    currentDeadHead: 11,
    mass: 0.45,
    price: 112,
  }),
  pump({
    id: 'P340',
    ...inTank,
    freeFlow: 340,
    deadHead: 700,
    currentFree: 4.5,
    currentDeadHead: 14,
    mass: 0.5,
    price: 148,
  }),
  pump({
    id: 'P340X',
    ...external,
    freeFlow: 340,
    deadHead: 700,
    currentFree: 4.2,
    currentDeadHead: 12,
    mass: 1.1,
    price: 210,
  }),
  pump({
    id: 'P520X',
    ...external,
    inletPort: 'boss-12-female',
    outletPort: 'boss-8-female',
    freeFlow: 520,
    deadHead: 760,
    currentFree: 6,
    currentDeadHead: 18,
    mass: 1.4,
    price: 320,
  }),
  pump({
    id: 'P900T',
    inletPort: 'boss-16-female',
    outletPort: 'boss-10-female',
    family: 'external twin',
    mounting: 'external',
    duty: 'main',
    positiveDisplacement: true,
    freeFlow: 900,
    deadHead: 760,
    currentFree: 11,
    currentDeadHead: 34,
    mass: 2.9,
    price: 640,
  }),
];
