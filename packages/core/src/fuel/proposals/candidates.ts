import { memo, entryAt, valueUnder, firstOf } from '../../numerics/index.ts';
import { type InjectorItem, type PumpItem, newestOf, refOf } from '../../catalogue/index.ts';
import { pumpDuties, pumpsOf } from '../circuits/circuitRun.ts';
import type { PumpState } from '../elements/index.ts';
import type { WarmStart } from '../hydraulics/network.ts';
import { flowOrNothing } from '../hydraulics/fluid.ts';
import { injectionAt } from '../injectors/injection.ts';
import { revolutionsPerCycle } from '../../engine/index.ts';
import type { Measure } from '../../results/index.ts';
import { namedCases } from '../running/cases.ts';
import { bareDeliverable } from '../running/deliverable.ts';
import type { CircuitDesign, FluidDesign, JudgedDesign, RowDesign } from '../running/design.ts';
import { fluidAt } from '../running/fluidAt.ts';
import { mapPoint } from '../running/sweepMap.ts';
import { scalePoint, supportedPower } from '../running/scalePoint.ts';
import { pumpsTogether, withPump } from './pumpSwap.ts';
import type { RunningPoint } from '../running/runningPoint.ts';
import {
  assumedDifference,
  circuitMassFlow,
  solveBarePoint,
  solvePoint,
} from '../running/solvePoint.ts';
import { rowMassFlow } from '../running/rowShare.ts';

export type Verdict = 'fits' | 'oversized' | 'tight' | 'does not fit';

/** Why a candidate fits or not; numbers fill the {placeholders}. */
export interface Reason {
  readonly verdict: Verdict;
  readonly text: string;
  readonly numbers: Readonly<Record<string, Measure>>;
}

export interface InjectorCandidate {
  readonly item: InjectorItem;
  readonly verdict: Verdict;
  readonly reasons: readonly Reason[];
  readonly peakDuty: number;
  readonly worstDuty: number;
  /** highest duty if it fired the other way: in batches, or once a cycle */
  readonly otherFiringDuty: number;
  readonly idleDuty: number;
  readonly idlePulse: number;
  readonly idleEffectivePulse: number;
  /** W up to which it stays within the duty limit; null beyond what is tried */
  readonly supportsPower: number | null;
}

const rank: Record<Verdict, number> = { fits: 0, oversized: 1, tight: 1, 'does not fit': 2 };
export const worstVerdict = (reasons: readonly Reason[]): Verdict =>
  reasons.reduce<Verdict>((w, r) => (rank[r.verdict] > rank[w] ? r.verdict : w), 'fits');

function injectorReasons(input: {
  item: InjectorItem;
  worstDuty: number;
  idlePulse: number;
  idleEffective: number;
  limit: number;
  ecuDriver: InjectorItem['driver'];
  worksAtIdle: boolean;
  ballasted: boolean;
}): Reason[] {
  const { item, worstDuty, idlePulse, idleEffective, limit, ecuDriver, worksAtIdle } = input;
  const share = (value: number): Measure => ({ value, kind: 'ratio' });
  const time = (value: number): Measure => ({ value, kind: 'time' });
  const reasons: Reason[] = [];
  if (worstDuty > limit) {
    reasons.push({
      verdict: 'does not fit',
      text: 'too small: duty {duty} is above the limit {limit}',
      numbers: { duty: share(worstDuty), limit: share(limit) },
    });
  } else if (worstDuty > limit - 0.05) {
    reasons.push({
      verdict: 'tight',
      text: 'duty {duty} is close to the limit {limit}',
      numbers: { duty: share(worstDuty), limit: share(limit) },
    });
  }
  if (
    worksAtIdle &&
    (idleEffective < item.smallestEffectivePulse || idlePulse < item.smallestPulse)
  ) {
    reasons.push({
      verdict: 'oversized',
      text: 'large for idle: pulse {pulse}, of which {effective} meters fuel; needs {least} and {leastEffective}',
      numbers: {
        pulse: time(idlePulse),
        effective: time(idleEffective),
        least: time(item.smallestPulse),
        leastEffective: time(item.smallestEffectivePulse),
      },
    });
  }
  if (item.driver === 'peak-hold' && ecuDriver === 'saturated' && !input.ballasted) {
    reasons.push({
      verdict: 'does not fit',
      text: 'low impedance: needs a peak-and-hold driver, the ECU has saturated switches',
      numbers: {},
    });
  }
  if (reasons.length === 0) {
    reasons.push({
      verdict: 'fits',
      text: 'duty {duty} at most, idle pulse {pulse}',
      numbers: { duty: share(worstDuty), pulse: time(idlePulse) },
    });
  }
  return reasons;
}

/**
 * Every catalogue injector judged over the whole map at the assumed pressure difference, best
 * first: what fits, then the smallest (best control at idle).
 */
export function injectorCandidates(
  design: JudgedDesign,
  circuit: CircuitDesign,
  row: RowDesign,
  ecuDriver: InjectorItem['driver'],
): InjectorCandidate[] {
  const { demand, document, catalogue } = design;
  const cases = namedCases(document, demand);
  /** What does not depend on the injector, worked out once for each point. */
  const asked = (point: RunningPoint) => ({
    row: row.row,
    rowMassFlow: rowMassFlow(row, point),
    speed: point.speed,
    revolutionsPerCycle: revolutionsPerCycle[document.brief.cycle],
    pressureDifference: assumedDifference(design, circuit, point),
    fuelDensity: fluidAt(circuit, point).density,
    voltage: point.systemVoltage,
  });
  const points = demand.map.speeds.flatMap((_, s) =>
    demand.map.loads.map((__, l) => mapPoint(design, s, l)),
  );
  const askedOnMap = points.map(asked);
  const judge = (item: InjectorItem): InjectorCandidate => {
    const at = (point: RunningPoint) => injectionAt({ injector: item, ...asked(point) });
    const duties = askedOnMap.map((each) => injectionAt({ injector: item, ...each }).duty);
    const worstDuty = Math.max(...duties);
    const otherRow = { ...row.row, shotsPerCycle: row.row.shotsPerCycle === 1 ? 2 : 1 };
    const otherFiringDuty = Math.max(
      ...askedOnMap.map((each) => injectionAt({ injector: item, ...each, row: otherRow }).duty),
    );
    const worstPoint = entryAt(points, duties.indexOf(worstDuty));
    const idle = at(cases.hotIdle);
    const idleEffective = idle.pulse - idle.deadTime;
    const reasons = injectorReasons({
      item,
      worstDuty,
      idlePulse: idle.pulse,
      idleEffective,
      limit: document.limits.injectorDuty.value,
      ecuDriver,
      worksAtIdle: rowMassFlow(row, cases.hotIdle) > 0,
      ballasted: row.row.ballast !== null,
    });
    return {
      item,
      verdict: worstVerdict(reasons),
      reasons,
      peakDuty: at(cases.peakPower).duty,
      worstDuty,
      otherFiringDuty,
      idleDuty: idle.duty,
      idlePulse: idle.pulse,
      idleEffectivePulse: idleEffective,
      supportsPower: supportedPower(
        document.brief.power.value,
        (factor) =>
          document.limits.injectorDuty.value - at(scalePoint(design, worstPoint, factor)).duty,
      ),
    };
  };
  return newestOf(catalogue, 'injector')
    .map(judge)
    .sort((a, b) => rank[a.verdict] - rank[b.verdict] || b.worstDuty - a.worstDuty);
}

export interface PumpCandidate {
  readonly item: PumpItem;
  readonly verdict: Verdict;
  readonly reasons: readonly Reason[];
  /** m³/s with the rail held; undefined when the circuit could not be solved with it */
  readonly available: number | undefined;
  readonly margin: number | undefined;
  readonly voltage: number | undefined;
  readonly current: number | undefined;
  /** W up to which it delivers what the engine needs; null beyond what is tried */
  readonly supportsPower: number | null;
}

function pumpReasons(
  design: JudgedDesign,
  item: PumpItem,
  margin: number | undefined,
  mounting: PumpItem['mounting'],
): Reason[] {
  const wish = design.document.limits.pumpMargin.value;
  const numbers = {
    margin: { value: margin ?? 0, kind: 'ratio' as const },
    wish: { value: wish, kind: 'ratio' as const },
  };
  const reasons: Reason[] = [];
  if (margin === undefined) {
    reasons.push({
      verdict: 'does not fit',
      text: 'the circuit could not be solved with it',
      numbers: {},
    });
  } else if (margin <= -1) {
    reasons.push({
      verdict: 'does not fit',
      text: 'nothing flows: it does not reach the pressure there',
      numbers: {},
    });
  } else if (margin < 0) {
    reasons.push({ verdict: 'does not fit', text: 'too small: margin {margin} at peak', numbers });
  } else if (margin < wish) {
    reasons.push({
      verdict: 'tight',
      text: 'margin {margin} is under the wish of {wish}',
      numbers,
    });
  } else if (margin > 1) {
    reasons.push({
      verdict: 'oversized',
      text: 'margin {margin}: more than the engine can use, it heats the fuel and loads the return',
      numbers,
    });
  }
  if (item.mounting !== mounting) {
    reasons.push({
      verdict: 'does not fit',
      text: `made for ${item.mounting} mounting, the circuit has its pump ${mounting === 'in-tank' ? 'in the tank' : 'outside the tank'}`,
      numbers: {},
    });
  }
  if (reasons.length === 0) {
    reasons.push({ verdict: 'fits', text: 'margin {margin} at peak', numbers });
  }
  return reasons;
}

/** What is asked of one pump that is tried: what it gives against the need, and where it stands. */
interface TrialFlow {
  readonly available: number;
  readonly margin: number;
  readonly warm: WarmStart;
}

/** Flow of the lift pumps against what the engine takes. */
function liftFlow(
  design: FluidDesign,
  circuit: CircuitDesign,
  point: RunningPoint,
  options: { readonly pumps: readonly string[]; readonly warm: WarmStart | undefined },
): TrialFlow | undefined {
  const solution = solveBarePoint(design, circuit, point, { warm: options.warm });
  if (solution.state === 'failed') return undefined;
  const { density } = fluidAt(circuit, point);
  const available = flowOrNothing(
    options.pumps.reduce((sum, id) => sum + valueUnder(solution.flows, id), 0) / density,
  );
  const needed = circuitMassFlow(circuit, point) / density;
  return { available, margin: available / needed - 1, warm: solution.warm };
}

/** One pump in the place of those that go together, solved at peak. */
interface PumpTrial {
  readonly item: PumpItem;
  readonly flow: TrialFlow | undefined;
  readonly pumps: Readonly<Record<string, PumpState>>;
  readonly supportsPower: number | null;
}

/** Every catalogue pump in the place of some that are exchanged together. */
function pumpTrials(
  design: FluidDesign,
  circuit: CircuitDesign,
  together: readonly string[],
): PumpTrial[] {
  const { lift } = pumpDuties(circuit.circuit);
  const lifts = lift.some((p) => p.id === together[0]);
  const point = namedCases(design.document, design.demand).peakPower;
  // Each trial starts from the one before it: the circuit has the same shape.
  let warm: WarmStart | undefined;
  return newestOf(design.catalogue, 'pump').map((item): PumpTrial => {
    const swapped: CircuitDesign = {
      ...circuit,
      circuit: withPump(circuit.circuit, firstOf(together), refOf(item)),
    };
    const flowAt = (at: RunningPoint): TrialFlow | undefined => {
      const held = lifts ? undefined : bareDeliverable(design, swapped, at, warm);
      const flow = lifts
        ? liftFlow(design, swapped, at, { pumps: together, warm })
        : held && { available: held.available, margin: held.margin, warm: held.solution.warm };
      warm = flow?.warm ?? warm;
      return flow;
    };
    const solution = solvePoint(
      design,
      swapped,
      { ...point, steppedUp: true },
      { regulators: lifts ? 'regulating' : 'holding', warm },
    );
    return {
      item,
      flow: flowAt(point),
      pumps: solution.state === 'converged' ? solution.pumps : {},
      supportsPower: supportedPower(
        design.document.brief.power.value,
        (factor) => flowAt(scalePoint(design, point, factor))?.margin ?? -Infinity,
      ),
    };
  });
}

const knownTrials = memo(
  (_circuit: CircuitDesign, _design: FluidDesign) => new Map<string, PumpTrial[]>(),
);

/** The trials of a group of pumps, made once for the group. */
function trialsOf(
  design: FluidDesign,
  circuit: CircuitDesign,
  together: readonly string[],
): PumpTrial[] {
  const known = knownTrials(circuit, design);
  const group = [...together].sort().join();
  const trials = known.get(group) ?? pumpTrials(design, circuit, together);
  known.set(group, trials);
  return trials;
}

/** Every catalogue pump put into the circuit and solved with its wiring, best first. */
export function pumpCandidates(
  design: JudgedDesign,
  circuit: CircuitDesign,
  elementId: string,
): PumpCandidate[] {
  const current = pumpsOf(circuit.circuit).find((e) => e.id === elementId);
  if (!current) return [];
  const together = pumpsTogether(circuit.circuit, elementId);
  return trialsOf(design, circuit, together)
    .map(({ item, flow, pumps, supportsPower }): PumpCandidate => {
      const state = pumps[elementId];
      const reasons = pumpReasons(design, item, flow?.margin, current.mounting);
      return {
        item,
        verdict: worstVerdict(reasons),
        reasons,
        available: flow?.available,
        margin: flow?.margin,
        voltage: state?.voltage,
        current: state?.current,
        supportsPower,
      };
    })
    .sort((a, b) => rank[a.verdict] - rank[b.verdict] || (a.margin ?? 99) - (b.margin ?? 99));
}
