import type { InjectorItem } from '../../catalogue/index.ts';

const CC_PER_MINUTE = 1e-6 / 60;
const deadTimeVoltages = [8, 9, 10, 12, 14, 16];
const deadTimePressures = [200e3, 300e3, 400e3, 500e3];
/** ms at 300 kPa */
const typical = [2.15, 1.7, 1.42, 1.1, 0.85, 0.72];

interface Sheet {
  readonly id: string;
  readonly flow: number;
  readonly driver: InjectorItem['driver'];
  readonly resistance: number;
  readonly quickness: number;
  readonly price: number;
}

const injector = (sheet: Sheet): InjectorItem => ({
  category: 'injector',
  id: sheet.id,
  revision: 1,
  designation: sheet.id,
  family: sheet.driver === 'saturated' ? 'high impedance' : 'low impedance',
  mass: 0.045,
  price: sheet.price,
  interchange: 'short, 14 mm O-ring',
  ratedFlow: sheet.flow * CC_PER_MINUTE,
  ratedPressure: 300e3,
  ratedDensity: 684,
  resistance: sheet.resistance,
  driver: sheet.driver,
  smallestPulse: 1.3e-3,
  smallestEffectivePulse: 0.4e-3,
  deadTimeVoltages,
  deadTimePressures,
  deadTimes: typical.map((ms) =>
    deadTimePressures.map((p) =>
      Number((ms * sheet.quickness * (1 + (0.08 * (p - 300e3)) / 100e3) * 1e-3).toFixed(6)),
    ),
  ),
  pressureRating: 1e6,
  topSeal: 14e-3,
  bottomSeal: 14e-3,
  reach: 48e-3,
  barrel: 26e-3,
  plug: sheet.driver === 'saturated' ? 'round' : 'ridge',
});

const high = { driver: 'saturated', resistance: 12 } as const;
const low = { driver: 'peak-hold', resistance: 2.4 } as const;

export const sampleInjectors: readonly InjectorItem[] = [
  injector({ id: 'I240', flow: 240, ...high, quickness: 0.9, price: 38 }),
  injector({ id: 'I360', flow: 360, ...high, quickness: 0.95, price: 44 }),
  injector({ id: 'I440', flow: 440, ...high, quickness: 1, price: 52 }),
  injector({ id: 'I650', flow: 650, ...high, quickness: 1, price: 68 }),
  injector({ id: 'I850', flow: 850, ...high, quickness: 1.05, price: 82 }),
  injector({ id: 'I1050', flow: 1050, ...high, quickness: 1.05, price: 96 }),
  injector({ id: 'I1700', flow: 1700, ...high, quickness: 1.15, price: 138 }),
  injector({ id: 'I2200', flow: 2200, ...high, quickness: 1.2, price: 164 }),
  injector({ id: 'I650L', flow: 650, ...low, quickness: 0.75, price: 62 }),
  injector({ id: 'I1700L', flow: 1700, ...low, quickness: 0.8, price: 128 }),
];
