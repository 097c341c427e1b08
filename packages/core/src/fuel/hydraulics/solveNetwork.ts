import { solveDense } from '../../numerics/index.ts';
import type { BranchModel } from './branchModel.ts';
import { FLOW_SCALE } from './branchModel.ts';
import type { Network, NetworkSolution, WarmStart } from './network.ts';
import { BadNetwork, type Topology, readTopology } from './topology.ts';

/** A solve is accepted when every law holds to this, Pa, and every node to MASS_TOLERANCE kg/s. */
const PRESSURE_TOLERANCE = 1e-7;
const MASS_TOLERANCE = 1e-15;
/**
 * Where laws meet at one point (a pump whose dead-head is just the pressure it pumps against)
 * rounding may keep a solve from that; it is taken when it holds to this, Pa and kg/s.
 */
const ROUNDED = { law: 1e-3, balance: 1e-12 };
const MOST_ITERATIONS = 80;
/** Weak tie of each free pressure to its last value, kg/s per Pa: keeps shut-in parts solvable. */
const TIE = 1e-15;

/** Entries of a branch's row: residual and its slopes over flow, from, to, sensed. */
const ROW = 5;

interface Work {
  pressures: Float64Array;
  flows: Float64Array;
  rows: Float64Array;
  balance: Float64Array;
  /** one branch's row while it is being written */
  readonly row: Float64Array;
}

/** Evaluates every law and node balance; returns the merit (sum of squares, Pa²). */
function evaluate(models: readonly BranchModel[], topology: Topology, work: Work): number {
  const { from, to, fromFixed, toFixed, sensed, sensedFixed } = topology;
  const { row, rows, pressures, flows, balance } = work;
  let merit = 0;
  balance.fill(0);
  for (let b = 0; b < models.length; b++) {
    const i = from[b]!;
    const j = to[b]!;
    const s = sensed[b]!;
    const m = flows[b]!;
    row[4] = 0;
    models[b]!.residual(
      m,
      i < 0 ? fromFixed[b]! : pressures[i]!,
      j < 0 ? toFixed[b]! : pressures[j]!,
      row,
      s < 0 ? sensedFixed[b]! : pressures[s]!,
    );
    const at = b * ROW;
    for (let k = 0; k < ROW; k++) rows[at + k] = row[k]!;
    merit += row[0]! * row[0]!;
    if (i >= 0) balance[i]! -= m;
    if (j >= 0) balance[j]! += m;
  }
  for (let i = 0; i < balance.length; i++) {
    const scaled = balance[i]! * FLOW_SCALE;
    merit += scaled * scaled;
  }
  return merit;
}

/** Largest law residual, Pa, and node imbalance, kg/s. */
function worst(work: Work): { law: number; at: number; balance: number } {
  let law = 0;
  let at = 0;
  for (let b = 0; b < work.flows.length; b++) {
    const size = Math.abs(work.rows[b * ROW]!);
    if (!(size <= law)) {
      law = size;
      at = b;
    }
  }
  let balance = 0;
  for (let i = 0; i < work.balance.length; i++) {
    balance = Math.max(balance, Math.abs(work.balance[i]!));
  }
  return { law, at, balance };
}

/** Where a Newton step is worked out; kept over the steps of a solve. */
interface Step {
  readonly matrix: Float64Array;
  readonly pressures: Float64Array;
  readonly flows: Float64Array;
}

/** Newton step for pressures and flows: flows are eliminated branch by branch. */
function newtonStep(topology: Topology, work: Work, step: Step) {
  const { matrix, pressures: stepP, flows: stepM } = step;
  const n = topology.free.length;
  matrix.fill(0);
  for (let i = 0; i < n; i++) {
    matrix[i * n + i] = TIE;
    stepP[i] = work.balance[i]!;
  }
  const { from, to, sensed } = topology;
  for (let b = 0; b < work.flows.length; b++) {
    const inverse = 1 / work.rows[b * ROW + 1]!;
    const gFrom = -work.rows[b * ROW + 2]! * inverse;
    const gTo = -work.rows[b * ROW + 3]! * inverse;
    const direct = -work.rows[b * ROW]! * inverse;
    const i = from[b]!;
    const j = to[b]!;
    const s = sensed[b]!;
    if (s >= 0) {
      const gSensed = -work.rows[b * ROW + 4]! * inverse;
      if (i >= 0) matrix[i * n + s]! += gSensed;
      if (j >= 0) matrix[j * n + s]! -= gSensed;
    }
    if (i >= 0) {
      matrix[i * n + i]! += gFrom;
      if (j >= 0) matrix[i * n + j]! += gTo;
      stepP[i]! -= direct;
    }
    if (j >= 0) {
      matrix[j * n + j]! -= gTo;
      if (i >= 0) matrix[j * n + i]! -= gFrom;
      stepP[j]! += direct;
    }
  }
  if (!solveDense(matrix, stepP, n)) return false;
  for (let b = 0; b < work.flows.length; b++) {
    const i = from[b]!;
    const j = to[b]!;
    const s = sensed[b]!;
    stepM[b] =
      -(
        work.rows[b * ROW]! +
        (i >= 0 ? work.rows[b * ROW + 2]! * stepP[i]! : 0) +
        (j >= 0 ? work.rows[b * ROW + 3]! * stepP[j]! : 0) +
        (s >= 0 ? work.rows[b * ROW + 4]! * stepP[s]! : 0)
      ) / work.rows[b * ROW + 1]!;
  }
  return true;
}

/** Goes on from what was tried; what stood before is tried in next. */
function takeOver(work: Work, trial: Work): void {
  const { pressures, flows, rows, balance } = work;
  work.pressures = trial.pressures;
  work.flows = trial.flows;
  work.rows = trial.rows;
  work.balance = trial.balance;
  trial.pressures = pressures;
  trial.flows = flows;
  trial.rows = rows;
  trial.balance = balance;
}

type Attempt =
  | { readonly done: true; readonly iterations: number }
  | { readonly done: false; readonly reason: string; readonly at: number };

/** Damped Newton from where `work` stands until the laws hold to `tolerance` Pa. */
function iterate(
  models: readonly BranchModel[],
  topology: Topology,
  work: Work,
  tolerance: number,
): Attempt {
  const n = topology.free.length;
  const step: Step = {
    matrix: new Float64Array(n * n),
    pressures: new Float64Array(n),
    flows: new Float64Array(work.flows.length),
  };
  const { pressures: stepP, flows: stepM } = step;
  const trial: Work = {
    pressures: new Float64Array(n),
    flows: new Float64Array(work.flows.length),
    rows: new Float64Array(work.rows.length),
    balance: new Float64Array(n),
    row: work.row,
  };
  let merit = evaluate(models, topology, work);
  for (let k = 0; k < MOST_ITERATIONS; k++) {
    const state = worst(work);
    if (state.law < tolerance && state.balance < MASS_TOLERANCE) {
      return { done: true, iterations: k };
    }
    if (!newtonStep(topology, work, step)) {
      return { done: false, reason: 'the equations have no single solution', at: state.at };
    }
    let damping = 1;
    let accepted = false;
    for (let cut = 0; cut < 14; cut++) {
      for (let i = 0; i < n; i++) trial.pressures[i] = work.pressures[i]! + damping * stepP[i]!;
      for (let b = 0; b < stepM.length; b++) {
        trial.flows[b] = work.flows[b]! + damping * stepM[b]!;
      }
      const next = evaluate(models, topology, trial);
      const progress = next < merit * (1 - 1e-4 * damping);
      // At the floor of rounding a full step can neither gain nor harm.
      if (progress || (cut === 0 && next < 1e-10) || (cut === 13 && Number.isFinite(next))) {
        takeOver(work, trial);
        merit = next;
        accepted = true;
        break;
      }
      damping /= 2;
    }
    if (!accepted) return { done: false, reason: 'no step brings it nearer', at: state.at };
  }
  return {
    done: false,
    reason: `still off by ${worst(work).law.toExponential(1)} Pa after ${MOST_ITERATIONS} steps`,
    at: worst(work).at,
  };
}

/** Smoothing Pa tried in turn when the plain solve does not converge. */
const continuation = [3e5, 1e5, 3e4, 1e4, 3e3, 1e3, 100, 10, 0];

/**
 * Solves pressures and flows of a circuit: Newton on node pressures with branch flows
 * eliminated (global gradient method of Todini and Pilati 1988, generalised), regulators and
 * check valves as complementarity. Converges to 1e-7 Pa and 1e-15 kg/s, at worst to 1e-3 Pa and
 * 1e-12 kg/s where rounding allows no more; otherwise it fails with
 * the reason and the element that is furthest off, and returns no numbers.
 */
export function solveNetwork(network: Network, warm?: WarmStart): NetworkSolution {
  let topology: Topology;
  try {
    topology = network.topology ?? readTopology(network);
  } catch (error) {
    if (!(error instanceof BadNetwork)) throw error;
    return { state: 'failed', reason: error.message, where: error.where };
  }
  const n = topology.free.length;
  const count = network.branches.length;
  const modelsAt = (smoothing: number): BranchModel[] =>
    network.branches.map((branch) => branch.model(smoothing));
  const models = modelsAt(0);
  const freshWork = (): Work => {
    const flows = new Float64Array(count);
    for (let b = 0; b < count; b++) flows[b] = models[b]!.initialFlow;
    const pressures = new Float64Array(n);
    for (let i = 0; i < n; i++) pressures[i] = network.initialPressure;
    return {
      pressures,
      flows,
      rows: new Float64Array(count * ROW),
      balance: new Float64Array(n),
      row: new Float64Array(ROW),
    };
  };
  let work = freshWork();
  if (warm && warm.pressures.length === n && warm.flows.length === count) {
    work.pressures.set(warm.pressures);
    work.flows.set(warm.flows);
  }
  let attempt = iterate(models, topology, work, PRESSURE_TOLERANCE);
  if (!attempt.done) {
    work = freshWork();
    for (const smoothing of continuation) {
      const last = smoothing === 0;
      attempt = iterate(
        last ? models : modelsAt(smoothing),
        topology,
        work,
        last ? PRESSURE_TOLERANCE : Math.max(1, smoothing * 1e-2),
      );
    }
  }
  if (!attempt.done) {
    const { law, balance } = worst(work);
    if (law < ROUNDED.law && balance < ROUNDED.balance) {
      attempt = { done: true, iterations: MOST_ITERATIONS };
    }
  }
  if (!attempt.done) {
    const branch = network.branches[attempt.at]!;
    return {
      state: 'failed',
      reason: `the circuit could not be solved: ${attempt.reason}, worst at ${branch.id}`,
      where: branch.id,
    };
  }
  const pressures: Record<string, number> = {};
  for (const node of network.nodes) {
    if (node.fixedPressure !== undefined) pressures[node.id] = node.fixedPressure;
  }
  topology.free.forEach((id, i) => (pressures[id] = work.pressures[i]!));
  const flows: Record<string, number> = {};
  network.branches.forEach((branch, b) => (flows[branch.id] = work.flows[b]!));
  return {
    state: 'converged',
    pressures,
    flows,
    iterations: attempt.iterations,
    warm: { pressures: work.pressures, flows: work.flows },
  };
}
