import type { BuildCommand, PumpElement } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { FuelChecked } from '../checked.ts';
import type { SolvedCircuit } from '../hydraulics/solveCircuit.ts';
import type { FluidResult, SolvedCase } from '../running/fluidStage.ts';
import { solvePoint } from '../running/solvePoint.ts';

/** How far a pump is lowered at most, in which steps, and how near to the ground, m. */
const FURTHEST = 0.3;
const STEP = 0.01;
const ABOVE_GROUND = 0.2;

/**
 * Mounting a pump lower at its place, so that more fuel stands over it: the least that puts its
 * inlet right. None where a hand's breadth above the ground does not do.
 */
export function lowerPumpCure(input: {
  checked: FuelChecked;
  fluid: FluidResult;
  pump: PumpElement;
  at: SolvedCase;
  cured: (solution: SolvedCircuit) => boolean;
}): Cure<BuildCommand>[] {
  const { checked, fluid, pump } = input;
  const { circuit, heights } = fluid.design;
  const placeId = circuit.nodes.find((node) => node.id === pump.from)?.placementId;
  const height = heights[pump.from];
  if (pump.mounting !== 'external' || placeId === undefined || height === undefined) return [];
  const there = circuit.nodes.filter((node) => node.placementId === placeId);
  for (let by = STEP; by <= FURTHEST && height - by >= ABOVE_GROUND; by += STEP) {
    const z = Math.round((height - by) * 1e3) / 1e3;
    const lowered = {
      ...fluid.design,
      heights: { ...heights, ...Object.fromEntries(there.map((node) => [node.id, z])) },
    };
    const solution = solvePoint(checked.design, lowered, input.at.point);
    if (solution.state !== 'converged' || !input.cured(solution)) continue;
    const down = Math.round((height - z) * 1e3);
    return [
      {
        text: `Mount it ${down} mm lower, ${Math.round(z * 1e3)} mm above the ground`,
        command: {
          name: 'set',
          path: ['placements', placeId, 'z'],
          value: quantity(z * 1e3, 'length', 'mm'),
        },
      },
    ];
  }
  return [];
}
