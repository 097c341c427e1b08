import type { Catalogue } from '../build/index.ts';
import { type SolvedCircuit, regulatorUnitOf } from '../hydraulics/index.ts';
import type { CircuitDesign } from './design.ts';
import { type ThroughElement, fuelRun, pathBetween } from './runPath.ts';

/** Lowest gauge pressure Pa on the way from tank outlet to regulator inlet, and the node it is at. */
export interface LowestPressure {
  readonly pressure: number;
  readonly nodeId: string;
  /** element whose outlet it is; undefined at the tank outlet itself */
  readonly elementId: string | undefined;
}

/** Elements from tank outlet to the regulator inlet, past the rail where the regulator is there. */
function towardsRegulator(design: CircuitDesign, catalogue: Catalogue): readonly ThroughElement[] {
  const { circuit } = design;
  const tank = circuit.elements.find((e) => e.kind === 'tank');
  const regulator = regulatorUnitOf(circuit, catalogue);
  const path =
    tank?.kind === 'tank' && regulator
      ? pathBetween(circuit, tank.outlet, regulator.inletNode)
      : [];
  return path.length > 0 ? path : fuelRun(circuit).feed;
}

/** Where on the way to the regulator the pressure is lowest; undefined without a run. */
export function lowestRunPressure(
  design: CircuitDesign,
  catalogue: Catalogue,
  solution: SolvedCircuit,
): LowestPressure | undefined {
  const run = towardsRegulator(design, catalogue);
  const first = run[0];
  if (!first) return undefined;
  const start: LowestPressure = {
    pressure: solution.pressures[first.from]!,
    nodeId: first.from,
    elementId: undefined,
  };
  return run.reduce<LowestPressure>((lowest, element) => {
    const pressure = solution.pressures[element.to]!;
    return pressure < lowest.pressure
      ? { pressure, nodeId: element.to, elementId: element.id }
      : lowest;
  }, start);
}
