import type { InjectorItem, PumpItem } from '../build/index.ts';
import { newestOf, pumpDuties, pumpsOf, refOf } from '../build/index.ts';
import { injectionAt } from '../injectors/index.ts';
import { revolutionsPerCycle } from '../demand/index.ts';
import type { Measure } from '../results/index.ts';
import { namedCases } from './cases.ts';
import { deliverable } from './deliverable.ts';
import type { CircuitDesign, FluidDesign, RowDesign } from './design.ts';
import { mapPoint } from './fluidStage.ts';
import { scalePoint, supportedPower } from './scalePoint.ts';
import { pumpsTogether, withPump } from './pumpSwap.ts';
import type { RunningPoint } from './runningPoint.ts';
import { assumedDifference, circuitMassFlow, solvePoint } from './solvePoint.ts';
import { rowMassFlow } from './rowShare.ts';

export type Verdict = 'fits' | 'tight' | 'does not fit';

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
  readonly idleDuty: number;
  readonly idlePulse: number;
  readonly idleEffectivePulse: number;
  /** W up to which it stays within the duty limit; null beyond what is tried */
  readonly supportsPower: number | null;
}

const rank: Record<Verdict, number> = { fits: 0, tight: 1, 'does not fit': 2 };
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
      verdict: 'tight',
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
  design: FluidDesign,
  circuit: CircuitDesign,
  row: RowDesign,
  ecuDriver: InjectorItem['driver'],
): InjectorCandidate[] {
  const { demand, document, catalogue } = design;
  const cases = namedCases(document, demand);
  const judge = (item: InjectorItem): InjectorCandidate => {
    const at = (point: ReturnType<typeof mapPoint>) =>
      injectionAt({
        injector: item,
        row: row.row,
        rowMassFlow: rowMassFlow(row, point),
        speed: point.speed,
        revolutionsPerCycle: revolutionsPerCycle[document.brief.cycle],
        pressureDifference: assumedDifference(design, circuit, point),
        fuelDensity: circuit.fuel.hot.density,
        voltage: point.systemVoltage,
      });
    const points = demand.map.speeds.flatMap((_, s) =>
      demand.map.loads.map((__, l) => mapPoint(design, s, l)),
    );
    const duties = points.map((point) => at(point).duty);
    const worstDuty = Math.max(...duties);
    const worstPoint = points[duties.indexOf(worstDuty)]!;
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
      idleDuty: idle.duty,
      idlePulse: idle.pulse,
      idleEffectivePulse: idleEffective,
      supportsPower: supportedPower(
        document.brief.power.value,
        (factor) =>
          at(scalePoint(design, worstPoint, factor)).duty > document.limits.injectorDuty.value,
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
  design: FluidDesign,
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
      verdict: 'tight',
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

/** What a lift pump gives against what the engine takes, with a tenth in hand. */
function liftDelivery(
  design: FluidDesign,
  circuit: CircuitDesign,
  point: RunningPoint,
  elementIds: readonly string[],
) {
  const solution = solvePoint(design, circuit, point);
  if (solution.state === 'failed') return undefined;
  const density = circuit.fuel.hot.density;
  const available =
    elementIds.reduce((sum, id) => sum + solution.elements[id]!.massFlow, 0) / density;
  const needed = circuitMassFlow(circuit, point) / density;
  return { available, needed, margin: available / needed - 1, solution };
}

/** Every catalogue pump put into the circuit and solved with its wiring, best first. */
export function pumpCandidates(
  design: FluidDesign,
  circuit: CircuitDesign,
  elementId: string,
): PumpCandidate[] {
  const current = pumpsOf(circuit.circuit).find((e) => e.id === elementId);
  if (!current) return [];
  const { mounting } = current;
  const { lift } = pumpDuties(circuit.circuit);
  const lifts = lift.some((p) => p.id === elementId);
  const together = pumpsTogether(circuit.circuit, elementId);
  const point = namedCases(design.document, design.demand).peakPower;
  return newestOf(design.catalogue, 'pump')
    .map((item): PumpCandidate => {
      const swapped: CircuitDesign = {
        ...circuit,
        circuit: withPump(circuit.circuit, elementId, refOf(item)),
      };
      const deliveryAt = (at: RunningPoint) =>
        lifts ? liftDelivery(design, swapped, at, together) : deliverable(design, swapped, at);
      const flow = deliveryAt(point);
      const state = flow?.solution.pumps[elementId];
      const reasons = pumpReasons(design, item, flow?.margin, mounting);
      return {
        item,
        verdict: worstVerdict(reasons),
        reasons,
        available: flow?.available,
        margin: flow?.margin,
        voltage: state?.voltage,
        current: state?.current,
        supportsPower: supportedPower(
          design.document.brief.power.value,
          (factor) => (deliveryAt(scalePoint(design, point, factor))?.margin ?? -1) < 0,
        ),
      };
    })
    .sort((a, b) => rank[a.verdict] - rank[b.verdict] || (a.margin ?? 99) - (b.margin ?? 99));
}
