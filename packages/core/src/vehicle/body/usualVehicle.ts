import { quantity } from '../../quantities/index.ts';
import type { Vehicle } from '../../model/index.ts';
import type { BodyKind } from '../slices/body.ts';

type Millimetres = readonly [
  wheelbase: number,
  frontOverhang: number,
  rearOverhang: number,
  width: number,
  height: number,
  track: number,
  tyre: number,
  clearance: number,
];

/** Usual sizes of bodies, mm: a first answer, to be measured over. */
const usual: Readonly<Record<BodyKind, Millimetres>> = {
  van: [3250, 1000, 1350, 2000, 2600, 1700, 700, 240],
  car: [2600, 850, 900, 1750, 1450, 1480, 620, 140],
  'pick-up': [3100, 850, 1250, 1850, 1780, 1560, 740, 210],
  'open-frame': [2300, 600, 450, 1700, 1400, 1450, 640, 170],
  'single-seater': [2620, 950, 580, 1780, 1010, 1480, 580, 40],
  'three-wheeler': [1980, 400, 370, 1420, 1250, 1200, 600, 180],
  'boat-tail': [2450, 750, 950, 1600, 1200, 1320, 640, 130],
};

const mm = (value: number) => quantity(value, 'length', 'mm');

/** A vehicle of usual size. */
export function usualVehicle(kind: BodyKind): Vehicle {
  const [wheelbase, frontOverhang, rearOverhang, width, height, track, tyre, clearance] =
    usual[kind];
  return {
    kind,
    wheelbase: mm(wheelbase),
    frontOverhang: mm(frontOverhang),
    rearOverhang: mm(rearOverhang),
    width: mm(width),
    height: mm(height),
    track: mm(track),
    tyre: mm(tyre),
    clearance: mm(clearance),
    outline: [],
  };
}
