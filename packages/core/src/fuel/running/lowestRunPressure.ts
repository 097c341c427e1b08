import { memo, valueUnder } from '../../numerics/index.ts';
import type { Catalogue } from '../../catalogue/index.ts';
import type { FuelCircuit } from '../../model/index.ts';
import { leadsTo, railsOf, tankOf, waysThrough } from '../circuits/circuitRun.ts';
import type { SolvedCircuit } from '../hydraulics/solveCircuit.ts';
import { pressureKeeperOf } from '../hydraulics/pressureKeeper.ts';
import type { CircuitDesign } from './design.ts';

/** Lowest gauge pressure Pa on the way from tank outlet to regulator inlet, and the node it is at. */
export interface LowestPressure {
  readonly pressure: number;
  readonly nodeId: string;
  /** element whose outlet it is; undefined at the tank outlet itself */
  readonly elementId: string | undefined;
}

/** Every step from tank outlet to where the pressure is kept, on whichever branch. */
const stepsTowardsKeeper = memo((circuit: FuelCircuit, catalogue: Catalogue) => {
  const tank = tankOf(circuit);
  const keeper = pressureKeeperOf(circuit, catalogue);
  const ends = [keeper?.node, ...railsOf(circuit).map((r) => r.node)];
  return tank
    ? waysThrough(circuit).filter(
        (step) =>
          leadsTo(circuit, tank.outlet, step.from) &&
          ends.some((end) => end !== undefined && leadsTo(circuit, step.to, end)),
      )
    : [];
});

/** Where on the way to the regulator the pressure is lowest; undefined without a run. */
export function lowestRunPressure(
  design: CircuitDesign,
  catalogue: Catalogue,
  solution: SolvedCircuit,
): LowestPressure | undefined {
  const steps = stepsTowardsKeeper(design.circuit, catalogue);
  const first = tankOf(design.circuit)?.outlet;
  if (steps.length === 0 || first === undefined) return undefined;
  const start: LowestPressure = {
    pressure: valueUnder(solution.pressures, first),
    nodeId: first,
    elementId: undefined,
  };
  return steps.reduce<LowestPressure>((lowest, step) => {
    const pressure = valueUnder(solution.pressures, step.to);
    return pressure < lowest.pressure ? { pressure, nodeId: step.to, elementId: step.id } : lowest;
  }, start);
}
