import { BadInput } from '../../quantities/index.ts';
import type { ElectricCircuit, ElectricElement, ElectricSolution, NodeName } from './circuit.ts';
import { MergedNodes, isRigid, riseOf } from './mergedNodes.ts';
import {
  type Nonlinear,
  type OperatingPoint,
  isNonlinear,
  limitedVoltage,
  operatingPoint,
} from './nonlinear.ts';
import { SparseSymmetric } from './sparseSymmetric.ts';

/** Every node leaks so much to ground, S: what hangs on nothing then stands at 0 V. */
const LEAK = 1e-12;
const MOST_STEPS = 200;
/** Voltages that change by less are settled, V and share. */
const SETTLED = 1e-10;

function check(element: ElectricElement): void {
  const wrong = (what: string): never => {
    throw new BadInput(`${element.id}: ${what}`, element.id);
  };
  switch (element.kind) {
    case 'resistor':
      if (!(element.resistance >= 0)) wrong('a resistance is 0 or more');
      return;
    case 'source':
      if (!(element.resistance >= 0 && Number.isFinite(element.voltage))) {
        wrong('a source has a voltage, and a resistance of 0 or more');
      }
      return;
    case 'current':
      if (!Number.isFinite(element.current)) wrong('a current is a number');
      return;
    case 'power':
      if (!(element.power >= 0 && element.ratedVoltage > 0)) {
        wrong('a load has a power of 0 or more and a rated voltage above 0');
      }
      return;
    case 'diode':
      if (!(element.saturation > 0 && element.emission > 0)) {
        wrong('a diode has a saturation current and an emission above 0');
      }
  }
}

/** The rows and entries that an element between two nodes counts in; −1 where an end is ground. */
interface Stamp {
  readonly from: number;
  readonly to: number;
  readonly fromTo: number;
}

/**
 * A circuit whose pattern is analysed once and which is solved for as many values as one likes:
 * nodal analysis, a source with resistance as the current that it would give into a short circuit,
 * one without by what it holds together. Throws BadInput for values that are none, and for sources
 * without resistance that close a loop.
 */
export class CompiledCircuit {
  private readonly merged: MergedNodes;
  private readonly names: readonly NodeName[];
  private readonly rows: ReadonlyMap<NodeName, number>;
  private readonly matrix: SparseSymmetric;
  private readonly stamps: readonly Stamp[];
  private readonly rowOfName: Int32Array;
  /** the names of both ends of each element, by their place in `names` */
  private readonly fromName: Int32Array;
  private readonly toName: Int32Array;
  private readonly numberOf: ReadonlyMap<NodeName, number>;
  /** names that sources hold above their row, with the elements that do */
  private readonly lifted: readonly Lifted[];
  private readonly holdsTogether: boolean;

  constructor(private readonly circuit: ElectricCircuit) {
    const { elements, ground } = circuit;
    elements.forEach(check);
    this.merged = new MergedNodes(circuit);
    this.names = [...new Set([ground, ...elements.flatMap(({ from, to }) => [from, to])])];
    const roots = new Set(this.names.map((name) => this.merged.rootOf(name)));
    roots.delete(ground);
    this.rows = new Map([...roots].map((name, row) => [name, row]));
    this.rowOfName = Int32Array.from(this.names, (name) => this.rowOf(name));
    this.numberOf = new Map(this.names.map((name, i) => [name, i]));
    this.fromName = Int32Array.from(elements, ({ from }) => this.numberOf.get(from) ?? 0);
    this.toName = Int32Array.from(elements, ({ to }) => this.numberOf.get(to) ?? 0);
    this.holdsTogether = elements.some(isRigid);
    this.lifted = liftedNames(this.names, this.merged, elements);
    const ends = elements.map(({ from, to }) => [this.rowOf(from), this.rowOf(to)] as const);
    this.matrix = new SparseSymmetric(
      this.rows.size,
      ends.filter(([from, to]) => from >= 0 && to >= 0 && from !== to),
    );
    this.stamps = ends.map(([from, to]) => ({
      from,
      to,
      fromTo: from >= 0 && to >= 0 && from !== to ? this.matrix.entry(from, to) : -1,
    }));
  }

  private rowOf(name: NodeName): number {
    return this.rows.get(this.merged.rootOf(name)) ?? -1;
  }

  /**
   * Volts and amps with the elements as they were given, or as `changed` by id: another value, the
   * same kind between the same nodes. Fails where the loads find no state that holds.
   */
  solve(changed: ReadonlyMap<string, ElectricElement> = new Map()): ElectricSolution {
    const elements = this.elementsWith(changed);
    const lifts = this.liftsOf(elements);
    const across = elements.map((element) => (element.kind === 'power' ? element.ratedVoltage : 0));
    const bent = elements.some(isNonlinear);
    for (let steps = 1; steps <= MOST_STEPS; steps++) {
      // Where Newton's steps have not settled, those along the chord do: they are smaller.
      const points = elements.map((element, k) =>
        isNonlinear(element)
          ? this.pointOf(element, across[k] ?? 0, steps > MOST_STEPS / 2)
          : undefined,
      );
      const x = this.linear(elements, points, across, lifts);
      if (!bent || this.advance(elements, x, lifts, across)) {
        return this.solutionOf(elements, x, lifts, steps);
      }
    }
    return {
      state: 'failed',
      reason: 'the loads find no state that holds: their supply is too weak',
    };
  }

  /**
   * How much the voltage of each port falls for an ampere taken at each other one, Ω: what loads
   * share of their supply stands beside the diagonal. The state is that of the last solution.
   */
  portResistances(
    ports: readonly { readonly plus: NodeName; readonly minus: NodeName }[],
  ): number[][] {
    return ports.map(({ plus, minus }) => {
      const injected = new Float64Array(this.rows.size);
      const [p, m] = [this.rowOf(plus), this.rowOf(minus)];
      if (p >= 0) injected[p]! += 1;
      if (m >= 0) injected[m]! -= 1;
      this.matrix.solve(injected);
      const at = (name: NodeName): number => injected[this.rowOf(name)] ?? 0;
      return ports.map((other) => at(other.plus) - at(other.minus));
    });
  }

  private elementsWith(changed: ReadonlyMap<string, ElectricElement>): readonly ElectricElement[] {
    if (changed.size === 0) return this.circuit.elements;
    return this.circuit.elements.map((element) => {
      const other = changed.get(element.id);
      if (!other) return element;
      if (other.kind !== element.kind || other.from !== element.from || other.to !== element.to) {
        throw new BadInput(`${element.id}: only its values can be others`, element.id);
      }
      check(other);
      if (isRigid(other) !== isRigid(element)) {
        throw new BadInput(`${element.id}: it has a resistance now, or none any more`, element.id);
      }
      return other;
    });
  }

  private pointOf(element: Nonlinear, voltage: number, alongChord: boolean): OperatingPoint {
    const point = operatingPoint(element, voltage);
    if (!alongChord || element.kind === 'diode' || voltage <= 0) return point;
    return { current: point.current, slope: point.current / voltage };
  }

  /** How far each name stands above its row, V: by the sources that hold nodes together. */
  private liftsOf(elements: readonly ElectricElement[]): Float64Array {
    const lifts = new Float64Array(this.names.length);
    for (const { name, by } of this.lifted) {
      for (const { place, sign } of by) {
        const element = elements[place];
        if (element && isRigid(element)) lifts[name]! += sign * riseOf(element);
      }
    }
    return lifts;
  }

  /** What an element's voltage is more than that between its rows, V. */
  private liftAcross(lifts: Float64Array, k: number): number {
    return lifts[this.fromName[k]!]! - lifts[this.toName[k]!]!;
  }

  /** The voltages of the rows with every element at its present operating point. */
  private linear(
    elements: readonly ElectricElement[],
    points: readonly (OperatingPoint | undefined)[],
    across: readonly number[],
    lifts: Float64Array,
  ): Float64Array {
    const { values } = this.matrix;
    values.fill(0);
    values.fill(LEAK, 0, this.rows.size);
    const rightSide = new Float64Array(this.rows.size);
    elements.forEach((element, k) => {
      if (isRigid(element)) return;
      const { from, to, fromTo } = this.stamps[k]!;
      const { slope, current } = atRest(element, points[k], across[k] ?? 0);
      // What it carries when both of its rows stand at the same voltage.
      const level = current + slope * this.liftAcross(lifts, k);
      if (from >= 0)
        [values[from], rightSide[from]] = [values[from]! + slope, rightSide[from]! - level];
      if (to >= 0) [values[to], rightSide[to]] = [values[to]! + slope, rightSide[to]! + level];
      if (fromTo >= 0) values[fromTo]! -= slope;
      // Both ends in one row: what goes in comes out again.
      if (from >= 0 && from === to) values[from]! -= 2 * slope;
    });
    this.matrix.factor();
    this.matrix.solve(rightSide);
    return rightSide;
  }

  /** Takes the voltages of the loads that are not straight; whether all have settled. */
  private advance(
    elements: readonly ElectricElement[],
    x: Float64Array,
    lifts: Float64Array,
    across: number[],
  ): boolean {
    let settled = true;
    elements.forEach((element, k) => {
      if (!isNonlinear(element)) return;
      const wanted = this.voltageAcross(x, lifts, k);
      const was = across[k] ?? 0;
      const next = limitedVoltage(element, was, wanted);
      if (Math.abs(next - was) > SETTLED * (1 + Math.abs(next)) || next !== wanted) settled = false;
      across[k] = next;
    });
    return settled;
  }

  private voltageAcross(x: Float64Array, lifts: Float64Array, k: number): number {
    const { from, to } = this.stamps[k]!;
    return (x[from] ?? 0) - (x[to] ?? 0) + this.liftAcross(lifts, k);
  }

  private solutionOf(
    elements: readonly ElectricElement[],
    x: Float64Array,
    lifts: Float64Array,
    steps: number,
  ): ElectricSolution {
    const currents = new Map<string, number>();
    elements.forEach((element, k) => {
      if (isRigid(element)) return;
      currents.set(element.id, currentThrough(element, this.voltageAcross(x, lifts, k)));
    });
    const voltages = new Map<NodeName, number>();
    this.names.forEach((name, i) =>
      voltages.set(name, (x[this.rowOfName[i]!] ?? 0) + (lifts[i] ?? 0)),
    );
    if (this.holdsTogether) this.addRigid(elements, currents);
    return { state: 'solved', voltages, currents, steps };
  }

  /** Amps through what holds nodes together, from those through all others. */
  private addRigid(elements: readonly ElectricElement[], currents: Map<string, number>): void {
    const leaving = new Float64Array(this.names.length);
    elements.forEach(({ id }, k) => {
      const current = currents.get(id) ?? 0;
      leaving[this.fromName[k]!]! += current;
      leaving[this.toName[k]!]! -= current;
    });
    const leavingAt = (name: NodeName): number => leaving[this.numberOf.get(name) ?? -1] ?? 0;
    for (const [id, current] of this.merged.currents(leavingAt)) currents.set(id, current);
    for (const element of elements) {
      if (isRigid(element) && !currents.has(element.id)) currents.set(element.id, 0);
    }
  }
}

/** A name that is held above its row: by elements at their places, each lifting or lowering it. */
interface Lifted {
  readonly name: number;
  readonly by: readonly { readonly place: number; readonly sign: 1 | -1 }[];
}

function liftedNames(
  names: readonly NodeName[],
  merged: MergedNodes,
  elements: readonly ElectricElement[],
): readonly Lifted[] {
  const placeOf = new Map(elements.map(({ id }, place) => [id, place]));
  return names.flatMap((node, name): Lifted[] => {
    const by = merged.liftsOf(node).map(({ id, sign }) => ({ place: placeOf.get(id) ?? -1, sign }));
    return by.length > 0 ? [{ name, by }] : [];
  });
}

/** What an element carries at 0 V and for each volt beside, as a straight line through its present point. */
function atRest(
  element: ElectricElement,
  point: OperatingPoint | undefined,
  voltage: number,
): OperatingPoint {
  switch (element.kind) {
    case 'resistor':
      return { current: 0, slope: 1 / element.resistance };
    case 'source':
      return { current: element.voltage / element.resistance, slope: 1 / element.resistance };
    case 'current':
      return { current: element.current, slope: 0 };
    case 'power':
    case 'diode':
      return point
        ? { current: point.current - point.slope * voltage, slope: point.slope }
        : { current: 0, slope: 0 };
  }
}

/** Current through an element with resistance at a voltage from its `from` to its `to`. */
function currentThrough(element: ElectricElement, voltage: number): number {
  switch (element.kind) {
    case 'resistor':
      return voltage / element.resistance;
    case 'source':
      return (voltage + element.voltage) / element.resistance;
    case 'current':
      return element.current;
    case 'diode':
    case 'power':
      return operatingPoint(element, voltage).current;
  }
}

/** Volts and amps of a circuit that is solved once. Throws BadInput. */
export const solveElectric = (circuit: ElectricCircuit): ElectricSolution =>
  new CompiledCircuit(circuit).solve();
