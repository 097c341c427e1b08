import type { BatteryItem, FuseItem, RelayItem, WireItem } from '../../catalogue/index.ts';
import { awgArea, awgResistance, bladeBand, metricSizes } from '../../electrics/index.ts';
import { body } from './body.ts';

const MM2 = 1e-6;

export const sampleBatteries: readonly BatteryItem[] = [
  {
    category: 'battery',
    id: 'BT70',
    revision: 1,
    designation: 'BT70 sealed lead-acid',
    family: 'lead-acid',
    mass: 17.5,
    price: 118,
    interchange: 'starter battery',
    openCircuitVoltage: 12.6,
    internalResistance: 6e-3,
    capacity: 70 * 3600,
    cutsItselfOff: false,
    wireAreaMin: 2.5 * MM2,
    wireAreaMax: 70 * MM2,
    ...body([280, 175, 190], 'top', 150),
  },
  {
    category: 'battery',
    id: 'BL12',
    revision: 1,
    designation: 'BL12 lithium iron phosphate',
    family: 'lithium',
    mass: 2.4,
    price: 164,
    interchange: 'starter battery, small',
    openCircuitVoltage: 13.2,
    internalResistance: 4e-3,
    capacity: 12 * 3600,
    cutsItselfOff: true,
    wireAreaMin: 2.5 * MM2,
    wireAreaMax: 35 * MM2,
    ...body([150, 87, 105], 'top', 100),
  },
  {
    category: 'battery',
    id: 'BM12',
    revision: 1,
    designation: 'BM12 mat, lead-acid',
    family: 'lead-acid',
    mass: 4.3,
    price: 72,
    interchange: 'starter battery, small',
    openCircuitVoltage: 12.8,
    internalResistance: 9e-3,
    capacity: 12 * 3600,
    cutsItselfOff: false,
    wireAreaMin: 2.5 * MM2,
    wireAreaMax: 35 * MM2,
    ...body([150, 87, 130], 'top', 100),
  },
];

/** A holder: across and up, its two holes and how far they are apart, mm. */
const socket = ([width, height]: readonly [number, number], hole: number, spacing = 36) => ({
  holderWidth: width / 1e3,
  holderHeight: height / 1e3,
  holderHole: hole / 1e3,
  holderSpacing: spacing / 1e3,
});

const blade = (rating: number): FuseItem => ({
  category: 'fuse',
  id: `FB${String(rating).replace('.', '')}`,
  revision: 1,
  designation: `Blade fuse ${rating} A`,
  family: 'blade',
  mass: 0.002,
  price: 0.6,
  interchange: `blade ${rating} A`,
  style: 'blade',
  rating,
  band: bladeBand,
  ...socket([22, 46], 4.5),
  wireAreaMin: 0.3 * MM2,
  wireAreaMax: 6 * MM2,
});

const boltBand = [
  { multiple: 1.1, fastest: 14400, slowest: 360000 },
  { multiple: 1.35, fastest: 120, slowest: 1800 },
  { multiple: 2, fastest: 2, slowest: 60 },
  { multiple: 3.5, fastest: 0.3, slowest: 5 },
  { multiple: 6, fastest: 0.1, slowest: 1 },
];

const bolt = (rating: number): FuseItem => ({
  ...blade(rating),
  id: `FM${rating}`,
  designation: `Bolt-down fuse ${rating} A`,
  family: 'bolt-down',
  interchange: `bolt ${rating} A`,
  style: 'bolt',
  band: boltBand,
  ...socket([42, 92], 6.5, 74),
  price: 4.5,
  wireAreaMin: 2.5 * MM2,
  wireAreaMax: (rating > 150 ? 70 : 35) * MM2,
});

export const sampleFuses: readonly FuseItem[] = [
  ...[1, 2, 3, 5, 7.5, 10, 15, 20, 25, 30, 35, 40].map(blade),
  ...[40, 50, 60, 80, 100, 125, 150, 175, 200, 250, 300].map(bolt),
];

const relay = (rating: number, motorRating: number, coilResistance: number): RelayItem => ({
  category: 'relay',
  id: `RL${rating}`,
  revision: 1,
  designation: `Relay ${rating} A, with diode`,
  family: 'plug-in',
  mass: 0.035,
  price: 4 + rating / 10,
  interchange: `relay ${rating} A`,
  contactRating: rating,
  motorRating,
  contactResistance: 5e-3,
  coilResistance,
  ...socket(rating > 40 ? [44, 56] : [34, 46], 5.5),
  wireAreaMin: 0.3 * MM2,
  wireAreaMax: (rating > 40 ? 10 : 6) * MM2,
});

export const sampleRelays: readonly RelayItem[] = [
  relay(30, 22, 90),
  relay(40, 30, 85),
  relay(70, 50, 75),
];

const wire = (
  id: string,
  system: WireItem['system'],
  size: string,
  area: number,
  outsideDiameter: number,
  resistancePerMetre: number,
): WireItem => ({
  category: 'wire',
  id,
  revision: 1,
  designation: `${size} thin-wall 125 °C`,
  family: 'thin-wall cross-linked',
  mass: Number((area * 8960 * 1.3).toFixed(5)),
  price: Number((0.25 + area * 0.55e6).toFixed(2)),
  interchange: size,
  system,
  size,
  area,
  outsideDiameter,
  resistancePerMetre,
  insulationClass: 125 + 273.15,
  insulation: 'cross-linked',
  // Thin wire comes by the metre from a reel, cable by the half metre.
  ...(area < 8 * MM2 ? { soldStep: 1, soldUpTo: 50 } : { soldStep: 0.5, soldUpTo: 10 }),
});

const gauges: [gauge: number, diameterMm: number][] = [
  [22, 1.5],
  [20, 1.8],
  [18, 2.1],
  [16, 2.4],
  [14, 2.8],
  [12, 3.4],
  [10, 4.2],
  [8, 5.6],
];

export const sampleWires: readonly WireItem[] = [
  ...metricSizes.map((s) =>
    wire(
      `W${s.area}`.replace('.', '_'),
      'metric',
      `${s.area} mm²`,
      s.area * MM2,
      s.diameter / 1e3,
      s.milliohmPerMetre / 1e3,
    ),
  ),
  ...gauges.map(([g, d]) =>
    wire(`A${g}`, 'awg', `${g} AWG`, awgArea(g), d / 1e3, awgResistance(g, 'stranded')),
  ),
];
