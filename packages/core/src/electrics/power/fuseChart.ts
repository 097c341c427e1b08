import type { FuseItem, WireItem } from '../../catalogue/index.ts';
import { openingTime } from './fuseCurve.ts';
import { insulationWithstand } from './wireCriteria.ts';

/** A current A and how long it may flow, or flows, s. */
export interface TimedCurrent {
  readonly current: number;
  readonly time: number;
}

/** What a fuse is drawn against: when it opens, when its wire is damaged, what its load takes. */
export interface FuseChart {
  /** opens at the soonest; empty for a fuse without a curve */
  readonly fastest: readonly TimedCurrent[];
  /** opens at the latest */
  readonly slowest: readonly TimedCurrent[];
  /** insulation damaged by a short circuit from the running temperature: I²·t is the same all along */
  readonly damage: readonly TimedCurrent[];
  /** current of the load over the time since it was switched on */
  readonly load: readonly TimedCurrent[];
  /** what the wire carries for good, A */
  readonly ampacity: number;
}

/** Times between which heat stays in the conductor: the range in which damage goes by I²·t, s. */
const ADIABATIC = { from: 5e-3, to: 10 } as const;
/** From 1 ms on a load is drawn, up to 1000 s. */
const LOAD_TIMES = { from: 1e-3, to: 1e3 } as const;
const POINTS = 60;

/** So many values from one to another, each in the same ratio to the one before. */
const spread = (from: number, to: number): number[] =>
  Array.from({ length: POINTS + 1 }, (_, i) => from * (to / from) ** (i / POINTS));

/**
 * A fuse with its wire and its load on one chart of current and time. Inrush decays as
 * I(t) = I_run·(1 + (m − 1)·e^(−t/τ)).
 */
export function fuseChart(input: {
  readonly fuse: FuseItem;
  readonly wire: WireItem;
  /** conductor at its load K */
  readonly temperature: number;
  readonly ampacity: number;
  readonly load: {
    readonly running: number;
    readonly inrushFactor: number;
    readonly inrushTime: number;
  };
}): FuseChart {
  const { fuse, wire, temperature, ampacity, load } = input;
  const { band, rating } = fuse;
  const first = band[0]?.multiple ?? 1;
  const last = band.at(-1)?.multiple ?? 1;
  // Past the last point of the band it goes on by a constant I²t.
  const multiples = band.length === 0 ? [] : spread(first, 3 * last);
  const edge = (which: 'fastest' | 'slowest'): TimedCurrent[] =>
    multiples
      .map((multiple) => ({
        current: multiple * rating,
        time: openingTime(band, which, multiple),
      }))
      .filter(({ time }) => Number.isFinite(time));
  const withstand = insulationWithstand(wire, temperature);
  return {
    fastest: edge('fastest'),
    slowest: edge('slowest'),
    damage: spread(ADIABATIC.from, ADIABATIC.to).map((time) => ({
      current: Math.sqrt(withstand / time),
      time,
    })),
    load: spread(LOAD_TIMES.from, LOAD_TIMES.to).map((time) => ({
      current: load.running * (1 + (load.inrushFactor - 1) * Math.exp(-time / load.inrushTime)),
      time,
    })),
    ampacity,
  };
}

/** Where the latest opening comes later than the damage: the least such current A; undefined where nowhere. */
export function damageBeforeOpening({ slowest, damage }: FuseChart): number | undefined {
  const stands = damage[0] ? damage[0].current ** 2 * damage[0].time : Infinity;
  const late = slowest.filter(
    ({ current, time }) => time <= ADIABATIC.to && current ** 2 * time > stands * (1 + 1e-9),
  );
  return late.length > 0 ? Math.min(...late.map(({ current }) => current)) : undefined;
}
