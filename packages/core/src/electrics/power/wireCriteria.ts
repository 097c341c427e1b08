import type { FuseItem, WireItem } from '../../catalogue/index.ts';
import type { Zone } from '../../model/index.ts';
import { permissibleFor, temperatureAfter } from './briefHeating.ts';
import { permissibleOf, temperatureOf } from './heatBalanceMemory.ts';
import { resistanceAt } from './heatBalance.ts';
import { letThrough } from './fuseCurve.ts';
import type { WireShelter } from '../netlist/derivedWire.ts';
import { awgArea } from './conductor.ts';

export type CriterionName =
  'current' | 'voltage drop' | 'mechanical minimum' | 'short circuit' | 'terminal fit' | 'fuse';

/** One of the six criteria for one size: what it is and what it may be, in SI. */
export interface Criterion {
  readonly name: CriterionName;
  readonly verdict: 'passes' | 'fails' | 'cannot judge';
  readonly measured: number;
  readonly limit: number;
  readonly kind: 'current' | 'voltage' | 'area' | 'letThrough';
  /** what lies round the wire, where it is judged by that */
  readonly within?: WireShelter | 'nothing';
}

/** What a wire must serve. Currents A, lengths m, temperatures K. */
export interface WireTask {
  readonly load: number;
  /** the fuse that protects it; undefined where none does, or its source limits itself */
  readonly protection: FuseItem | undefined;
  /** most that comes out of a source that limits itself, A; undefined for all others */
  readonly limitedTo?: number;
  /** how long it carries its load, s; undefined: for as long as one likes */
  readonly forSeconds?: number;
  /** what such a wire carries besides for as long as one likes, A */
  readonly steadily?: number;
  readonly length: number;
  readonly ambient: number;
  /** zones of both ends */
  readonly zones: readonly Zone[];
  /** what lies round it over its whole way; undefined where it is bare somewhere */
  readonly shelter?: WireShelter;
  readonly loadedTogether: number;
  readonly areaMin: number;
  readonly areaMax: number;
  /** source voltage V and resistance Ω behind the fuse for a short circuit */
  readonly sourceVoltage: number;
  readonly sourceResistance: number;
}

/** Insulation class less 10 K, as K: the hottest a conductor may run. */
export const conductorLimit = (wire: WireItem): number => wire.insulationClass - 10;

const metricMinimum: Record<Zone, number> = {
  cabin: 0.35e-6,
  body: 0.35e-6,
  'engine-bay': 0.5e-6,
  'near-exhaust': 0.5e-6,
  outside: 0.75e-6,
};
const gaugeMinimum: Record<Zone, number> = {
  cabin: 22,
  body: 22,
  'engine-bay': 20,
  'near-exhaust': 20,
  outside: 18,
};

/**
 * Least conductor area m² for a zone within the system in use. Within a sleeve a wire lasts under the
 * bonnet as it does inside; outside the bodywork stones and water come through a sleeve, and only a
 * sealed loom keeps it.
 */
export function mechanicalMinimum(
  zone: Zone,
  system: WireItem['system'],
  shelter?: WireShelter,
): number {
  const kept = shelter === 'sealed' || (shelter === 'sleeved' && zone !== 'outside');
  const asIn = kept ? 'cabin' : zone;
  return system === 'metric' ? metricMinimum[asIn] : awgArea(gaugeMinimum[asIn]);
}

/** Least (k·A)² A²s that damages the insulation from a starting temperature K. */
export function insulationWithstand(wire: WireItem, startTemperature: number): number {
  const final = wire.insulation === 'cross-linked' ? 250 : 160;
  const start = startTemperature - 273.15;
  const k = 226 * Math.sqrt(Math.max(0, Math.log((final + 234.5) / (start + 234.5))));
  return (k * wire.area * 1e6) ** 2;
}

/** Running temperature K at the task's load. */
export function runningTemperature(wire: WireItem, task: WireTask): number {
  if (task.forSeconds !== undefined) {
    const { ambient, load: current, forSeconds: seconds } = task;
    return temperatureAfter({ area: wire.area, ambient, current, seconds });
  }
  return temperatureOf(
    {
      outsideDiameter: wire.outsideDiameter,
      resistancePerMetre: wire.resistancePerMetre,
      ambient: task.ambient,
      loadedTogether: task.loadedTogether,
    },
    task.load,
  );
}

/** A wire that was sized, as far as a short circuit asks. */
interface SizedLike {
  readonly task: WireTask;
  readonly size: WireItem;
  readonly temperature: number;
  readonly resistance: number;
}

/** Most that the fuse before a wire lets through when it is shorted at either end, A²s. */
function mostLetThrough(
  { protection, sourceVoltage, sourceResistance }: WireTask,
  resistance: number,
): number {
  if (!protection || protection.band.length === 0) return 0;
  const near = sourceVoltage / sourceResistance;
  const far = sourceVoltage / (sourceResistance + resistance);
  return Math.max(letThrough(protection, near), letThrough(protection, far));
}

/** Whether a short circuit damages a wire before its fuse opens, with so many Ω before it. */
export const outlivesFuse = (
  { task, size, temperature, resistance }: SizedLike,
  sourceResistance: number,
): boolean =>
  mostLetThrough({ ...task, sourceResistance }, resistance) >
  insulationWithstand(size, temperature);

function shortCircuit(wire: WireItem, task: WireTask, temperature: number): Criterion {
  const { protection } = task;
  const withstand = insulationWithstand(wire, temperature);
  const perMetre = resistanceAt(wire.resistancePerMetre, temperature);
  const limited = task.limitedTo !== undefined;
  const judged = limited || (protection !== undefined && protection.band.length > 0);
  const worst = mostLetThrough(task, perMetre * task.length);
  return {
    name: 'short circuit',
    verdict: !judged ? 'cannot judge' : worst <= withstand ? 'passes' : 'fails',
    measured: worst,
    limit: withstand,
    kind: 'letThrough',
  };
}

/** Permissible current A of a size in the task's place. */
export function wireAmpacity(wire: WireItem, task: WireTask): number {
  if (task.forSeconds !== undefined) {
    const { area } = wire;
    const limit = conductorLimit(wire);
    return permissibleFor({ area, ambient: task.ambient, limit, seconds: task.forSeconds });
  }
  return permissibleOf(
    {
      outsideDiameter: wire.outsideDiameter,
      resistancePerMetre: wire.resistancePerMetre,
      ambient: task.ambient,
      loadedTogether: task.loadedTogether,
    },
    conductorLimit(wire),
  );
}

/** Whether a wire that is sized for a start carries what it carries otherwise. */
const carriesSteadily = (wire: WireItem, { forSeconds: _, ...task }: WireTask): boolean =>
  task.steadily === undefined || wireAmpacity(wire, task) >= task.steadily;

/** What the fuse before a wire asks of it; a starter's cable is spared. */
function againstFuse(
  permissible: number,
  { protection, limitedTo, forSeconds }: WireTask,
): Pick<Criterion, 'verdict' | 'measured' | 'limit'> {
  const limit = protection?.rating ?? limitedTo;
  if (forSeconds !== undefined || limit === undefined) {
    return { verdict: 'cannot judge', measured: permissible, limit: limit ?? 0 };
  }
  return { verdict: permissible >= limit ? 'passes' : 'fails', measured: permissible, limit };
}

/** All criteria for one size but the voltage drop, which belongs to the group of wires. */
export function wireCriteria(
  wire: WireItem,
  task: WireTask,
  known: { ampacity: number; temperature: number } = {
    ampacity: wireAmpacity(wire, task),
    temperature: runningTemperature(wire, task),
  },
): Criterion[] {
  const permissible = known.ampacity;
  const minimum = Math.max(
    ...task.zones.map((zone) => mechanicalMinimum(zone, wire.system, task.shelter)),
  );
  const pass = (ok: boolean) => (ok ? 'passes' : 'fails') as Criterion['verdict'];
  const tolerance = 1 + 1e-9;
  return [
    {
      name: 'current',
      verdict: pass(permissible >= task.load && carriesSteadily(wire, task)),
      measured: permissible,
      limit: task.load,
      kind: 'current',
    },
    {
      name: 'mechanical minimum',
      verdict: pass(wire.area * tolerance >= minimum),
      measured: wire.area,
      limit: minimum,
      kind: 'area',
      within: task.shelter ?? 'nothing',
    },
    shortCircuit(wire, task, known.temperature),
    {
      name: 'terminal fit',
      verdict: pass(wire.area * tolerance >= task.areaMin && wire.area <= task.areaMax * tolerance),
      measured: wire.area,
      limit: wire.area * tolerance < task.areaMin ? task.areaMin : task.areaMax,
      kind: 'area',
    },
    {
      // An overload short of a short circuit has to open the fuse before it cooks the wire.
      name: 'fuse',
      ...againstFuse(permissible, task),
      kind: 'current',
    },
  ];
}
