import { bisect } from '../numerics/index.ts';
import type { Measure } from '../results/index.ts';
import type { Checked } from './checked.ts';
import { type Check, type Loss, type RungCheck, solverOf } from './ladderCheck.ts';
import { electricalChecks } from './ladderElectrics.ts';

export { type Loss, type RungCheck, rungChecks } from './ladderCheck.ts';
import {
  type FluidResult,
  type FuelFigureName,
  type RunningPoint,
  type SolvedCircuit,
  type WarmStart,
  FEED_VELOCITY_STOP,
  SAG_STOP,
  assumedDifference,
  bareDeliverable,
  injectionOf,
  namedCases,
  pumpDuties,
  regulatorUnitOf,
  rowDifference,
  rowMassFlow,
  stateOf,
  surgeFails,
} from '../fuel/index.ts';

/** One check on the ladder and the power W at which it first fails. */
export interface Rung {
  readonly check: RungCheck;
  readonly label: string;
  /** W; null when it holds over the whole range that was tried */
  readonly power: number | null;
  /** it fails whatever the power is */
  readonly always: boolean;
  readonly limit: Measure;
}

/** A rung at a power that was reached. */
export interface ReachedRung extends Rung {
  readonly power: number;
}

/** The rungs that fail at some power tried, lowest first. */
export const reachedRungs = (ladder: Pick<Ladder, 'rungs'>): ReachedRung[] =>
  ladder.rungs.filter((rung): rung is ReachedRung => rung.power !== null);

export interface Ladder {
  readonly targetPower: number;
  /** highest power tried, W */
  readonly triedTo: number;
  readonly rungs: readonly Rung[];
}

/** Factors on power that are tried, and how finely the failing one is found. */
const LOWEST = 0.1;
const HIGHEST = 4;
const STEPS = 40;
const TOLERANCE = 1e-4;

/** A surge tank that runs empty while the pull lasts. */
const liftCheck = (
  fluid: FluidResult,
  fails: (test: (s: SolvedCircuit, p: RunningPoint) => boolean) => Check['fails'],
): Check => ({
  check: 'lift',
  label: 'Lift pump and surge tank',
  limit: { value: 60, kind: 'duration' },
  fails: fails((s, point) => surgeFails(fluid.design, point, s)),
});

function fluidChecks(checked: Checked, fluid: FluidResult, loss: Loss): Check[] {
  const { design } = checked;
  const peak = { ...namedCases(checked.document, design.demand).peakPower, ...loss };
  const at = solverOf(checked, fluid, peak);
  const ambient = design.demand.engine.ambientPressure;
  const vapour = fluid.boiling.vapourPressureAbsolute;
  const { limits } = checked.document;
  let held: WarmStart | undefined;
  const unsolvedFails = (test: (s: SolvedCircuit, p: RunningPoint) => boolean) => (x: number) => {
    const { point, solved } = at(x);
    return solved === undefined || test(solved, point);
  };
  // Duty has its own worst point of the map: the peak may not be where it is highest.
  const worstDutyAt = solverOf(checked, fluid, { ...(fluid.worstDuty?.point ?? peak), ...loss });
  const { main: pumps, lift, surge } = pumpDuties(fluid.design.circuit);
  const feeds = fluid.design.circuit.elements.filter((e) => e.kind === 'line' && e.role === 'feed');
  return [
    {
      check: 'injector-duty',
      label: 'Injector duty',
      limit: { value: limits.injectorDuty.value, kind: 'ratio' },
      fails: (x) => {
        const { point, solved } = worstDutyAt(x);
        return (
          solved === undefined ||
          fluid.design.rows.some(
            (row) =>
              rowMassFlow(row, point) > 0 &&
              injectionOf(
                design,
                fluid.design,
                row,
                point,
                rowDifference(fluid.design, row, solved),
              ).duty > limits.injectorDuty.value,
          )
        );
      },
    },
    {
      check: 'pump-flow',
      label: 'Pump flow',
      limit: { value: 0, kind: 'ratio' },
      fails: (x) => {
        const flow = bareDeliverable(design, fluid.design, at(x).point, held);
        held = flow?.solution.warm ?? held;
        return (flow?.margin ?? -1) < 0;
      },
    },
    {
      check: 'sag',
      label: 'Rail pressure sag',
      limit: { value: SAG_STOP, kind: 'ratio' },
      fails: unsolvedFails((s, point) =>
        fluid.design.rows.some(
          (row) =>
            1 -
              rowDifference(fluid.design, row, s) / assumedDifference(design, fluid.design, point) >
            SAG_STOP,
        ),
      ),
    },
    {
      check: 'suction',
      label: 'Fuel boils at the pump inlet',
      limit: { value: 0, kind: 'pressure' },
      fails: unsolvedFails((s) =>
        [...pumps, ...lift].some((p) => stateOf(s, p.id).inletPressure + ambient - vapour < 0),
      ),
    },
    ...(surge ? [liftCheck(fluid, unsolvedFails)] : []),
    {
      check: 'feed-velocity',
      label: 'Feed velocity',
      limit: { value: FEED_VELOCITY_STOP, kind: 'velocity' },
      fails: unsolvedFails((s) =>
        feeds.some((f) => stateOf(s, f.id).velocity! > FEED_VELOCITY_STOP),
      ),
    },
  ];
}

/** The return does not depend on power: it fails always or never. */
function returnCheck(checked: Checked): Check {
  const reserve: FuelFigureName = 'return.reserve';
  const failing = checked.results.all.some((r) => r.figure === reserve && r.value < 0);
  return {
    check: 'return',
    label: 'Return at idle and overrun',
    limit: { value: 0, kind: 'pressure' },
    fails: () => failing,
  };
}

/** A bypass beyond what the regulator controls does not depend on power either. */
function regulatorCheck(checked: Checked, fluid: FluidResult): Check[] {
  const unit = regulatorUnitOf(fluid.design.circuit, checked.catalogue);
  if (!unit) return [];
  const { solution } = fluid.cases.hotIdle;
  const bypass =
    solution.state === 'converged'
      ? stateOf(solution, unit.branchId).massFlow / fluid.design.fuel.hot.density
      : Infinity;
  return [
    {
      check: 'regulator',
      label: 'Regulator bypass at idle',
      limit: { value: unit.bypassMax, kind: 'volumeFlow' },
      fails: () => bypass > unit.bypassMax,
    },
  ];
}

/** First factor at which a check fails: coarse steps upward, then bisection. */
function firstFailure(check: Check): number | null {
  let low = LOWEST;
  if (check.fails(low)) return LOWEST;
  for (let k = 1; k <= STEPS; k++) {
    const high = LOWEST * (HIGHEST / LOWEST) ** (k / STEPS);
    if (check.fails(high)) {
      return bisect({ low, high, tolerance: TOLERANCE, test: check.fails });
    }
    low = high;
  }
  return null;
}

/**
 * The limit ladder: each check with the power at which it first fails as the target rises with
 * everything else fixed, lowest first. Checks on the peak use the design point; duty uses the
 * worst point of the map. Stop limits count. `loss` climbs it with a pump or a row out of order.
 */
export function limitLadder(checked: Checked, loss: Loss = {}): Ladder {
  const targetPower = checked.document.brief.power.value;
  const several = checked.fluids.length > 1;
  const checks = [
    ...checked.fluids.flatMap((fluid) =>
      [...fluidChecks(checked, fluid, loss), ...regulatorCheck(checked, fluid)].map((check) =>
        several ? { ...check, label: `${check.label}, ${fluid.design.circuit.name}` } : check,
      ),
    ),
    returnCheck(checked),
    ...electricalChecks(checked, loss),
  ];
  const rungs = checks.map((check): Rung => {
    const factor = firstFailure(check);
    const always = factor === LOWEST;
    return {
      check: check.check,
      label: check.label,
      limit: check.limit,
      always,
      power: factor === null ? null : always ? 0 : factor * targetPower,
    };
  });
  return {
    targetPower,
    triedTo: HIGHEST * targetPower,
    rungs: rungs.sort((a, b) => (a.power ?? Infinity) - (b.power ?? Infinity)),
  };
}
