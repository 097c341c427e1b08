import { BadInput } from '../../quantities/index.ts';
import type { ElectricCircuit, ElectricElement, ElectricSolution, NodeName } from './circuit.ts';
import { type CircuitShape, circuitShape } from './circuitShape.ts';
import { isRigid, riseOf } from './mergedNodes.ts';
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

/**
 * A circuit whose pattern is analysed once and which is solved for as many values as one likes:
 * nodal analysis, a source with resistance as the current that it would give into a short circuit,
 * one without by what it holds together. Throws BadInput for values that are none, and for sources
 * without resistance that close a loop.
 */
export class CompiledCircuit {
  private readonly shape: CircuitShape;
  private readonly matrix: SparseSymmetric;

  constructor(private readonly circuit: ElectricCircuit) {
    circuit.elements.forEach(check);
    this.shape = circuitShape(circuit);
    this.matrix = new SparseSymmetric(this.shape.rows.size, this.shape.pattern);
  }

  /**
   * Volts and amps with the elements as they were given, or as `changed` by id: another value, the
   * same kind between the same nodes. Fails where the loads find no state that holds.
   */
  solve(changed: ReadonlyMap<string, ElectricElement> = new Map()): ElectricSolution {
    const elements = this.elementsWith(changed);
    const lifts = this.liftsOf(elements);
    const straight = this.straightPart(elements, lifts);
    const { bent } = this.shape;
    const across = bent.map((k) => {
      const element = elements[k];
      return element?.kind === 'power' ? element.ratedVoltage : 0;
    });
    for (let steps = 1; steps <= MOST_STEPS; steps++) {
      // Where Newton's steps have not settled, those along the chord do: they are smaller.
      const alongChord = steps > MOST_STEPS / 2;
      this.matrix.values.set(straight.values);
      const x = straight.rightSide.slice();
      bent.forEach((k, i) => {
        const element = elements[k];
        if (!element || !isNonlinear(element)) return;
        const voltage = across[i] ?? 0;
        const { current, slope } = pointOf(element, voltage, alongChord);
        this.stamp(this.matrix.values, x, k, lifts, slope, current - slope * voltage);
      });
      this.matrix.factor();
      this.matrix.solve(x);
      if (this.advance(elements, x, lifts, across)) {
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
      const injected = new Float64Array(this.shape.rows.size);
      const [p, m] = [this.shape.rowOf(plus), this.shape.rowOf(minus)];
      if (p >= 0) injected[p]! += 1;
      if (m >= 0) injected[m]! -= 1;
      this.matrix.solve(injected);
      const at = (name: NodeName): number => injected[this.shape.rowOf(name)] ?? 0;
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

  /** How far each name stands above its row, V: by the sources that hold nodes together. */
  private liftsOf(elements: readonly ElectricElement[]): Float64Array {
    const lifts = new Float64Array(this.shape.names.length);
    for (const { name, by } of this.shape.lifted) {
      for (const { place, sign } of by) {
        const element = elements[place];
        if (element && isRigid(element)) lifts[name]! += sign * riseOf(element);
      }
    }
    return lifts;
  }

  /** What an element's voltage is more than that between its rows, V. */
  private liftAcross(lifts: Float64Array, k: number): number {
    return lifts[this.shape.fromName[k]!]! - lifts[this.shape.toName[k]!]!;
  }

  /** What all elements whose current is a straight line of their voltage give, for every step. */
  private straightPart(elements: readonly ElectricElement[], lifts: Float64Array) {
    const values = new Float64Array(this.matrix.values.length);
    values.fill(LEAK, 0, this.shape.rows.size);
    const rightSide = new Float64Array(this.shape.rows.size);
    elements.forEach((element, k) => {
      const line = isRigid(element) ? undefined : lineOf(element);
      if (line) this.stamp(values, rightSide, k, lifts, line.slope, line.current);
    });
    return { values, rightSide };
  }

  /** Counts an element that carries `current` A at 0 V and `slope` A more for each volt. */
  private stamp(
    values: Float64Array,
    rightSide: Float64Array,
    k: number,
    lifts: Float64Array,
    slope: number,
    current: number,
  ): void {
    const { from, to, fromTo } = this.shape.stamps[k]!;
    // What it carries when both of its rows stand at the same voltage.
    const level = current + slope * this.liftAcross(lifts, k);
    if (from >= 0) {
      values[from]! += slope;
      rightSide[from]! -= level;
    }
    if (to >= 0) {
      values[to]! += slope;
      rightSide[to]! += level;
    }
    if (fromTo >= 0) values[fromTo]! -= slope;
    // Both ends in one row: what goes in comes out again.
    if (from >= 0 && from === to) values[from]! -= 2 * slope;
  }

  /** Takes the voltages of the loads that are not straight; whether all have settled. */
  private advance(
    elements: readonly ElectricElement[],
    x: Float64Array,
    lifts: Float64Array,
    across: number[],
  ): boolean {
    let settled = true;
    this.shape.bent.forEach((k, i) => {
      const element = elements[k];
      if (!element || !isNonlinear(element)) return;
      const wanted = this.voltageAcross(x, lifts, k);
      const was = across[i] ?? 0;
      const next = limitedVoltage(element, was, wanted);
      if (Math.abs(next - was) > SETTLED * (1 + Math.abs(next)) || next !== wanted) settled = false;
      across[i] = next;
    });
    return settled;
  }

  private voltageAcross(x: Float64Array, lifts: Float64Array, k: number): number {
    const { from, to } = this.shape.stamps[k]!;
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
    this.shape.names.forEach((name, i) =>
      voltages.set(name, (x[this.shape.rowOfName[i]!] ?? 0) + (lifts[i] ?? 0)),
    );
    if (this.shape.holdsTogether) this.addRigid(elements, currents);
    return { state: 'solved', voltages, currents, steps };
  }

  /** Amps through what holds nodes together, from those through all others. */
  private addRigid(elements: readonly ElectricElement[], currents: Map<string, number>): void {
    const leaving = new Float64Array(this.shape.names.length);
    elements.forEach(({ id }, k) => {
      const current = currents.get(id) ?? 0;
      leaving[this.shape.fromName[k]!]! += current;
      leaving[this.shape.toName[k]!]! -= current;
    });
    const leavingAt = (name: NodeName): number => leaving[this.shape.numberOf.get(name) ?? -1] ?? 0;
    for (const [id, current] of this.shape.merged.currents(leavingAt)) currents.set(id, current);
    for (const element of elements) {
      if (isRigid(element) && !currents.has(element.id)) currents.set(element.id, 0);
    }
  }
}

/** Where Newton's step is too long, the one along the chord through 0 is taken. */
function pointOf(element: Nonlinear, voltage: number, alongChord: boolean): OperatingPoint {
  const point = operatingPoint(element, voltage);
  if (!alongChord || element.kind === 'diode' || voltage <= 0) return point;
  return { current: point.current, slope: point.current / voltage };
}

/** What an element carries at 0 V and for each volt beside; undefined where that is no straight line. */
function lineOf(element: ElectricElement): OperatingPoint | undefined {
  switch (element.kind) {
    case 'resistor':
      return { current: 0, slope: 1 / element.resistance };
    case 'source':
      return { current: element.voltage / element.resistance, slope: 1 / element.resistance };
    case 'current':
      return { current: element.current, slope: 0 };
    case 'power':
    case 'diode':
      return undefined;
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
