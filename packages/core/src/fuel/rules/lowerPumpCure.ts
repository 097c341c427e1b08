import type { BuildCommand, PumpElement } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import { type Vector, mountingPlace } from '../../vehicle/index.ts';
import type { FuelChecked } from '../checked.ts';
import type { SolvedCircuit } from '../hydraulics/solveCircuit.ts';
import type { FluidResult, SolvedCase } from '../running/fluidStage.ts';
import { solvePoint } from '../running/solvePoint.ts';

/** How far a pump is lowered at most, in which steps, and how near to the ground, m. */
const FURTHEST = 0.3;
const STEP = 0.01;
const ABOVE_GROUND = 0.2;
/** Places beside the present one that are tried along the vehicle, nearest first, m. */
const ASIDE = [0, 0.05, -0.05, 0.1, -0.1, 0.15, -0.15, 0.2, -0.2] as const;

const whole = (metres: number): number => Math.round(metres * 1e3) / 1e3;

/** A place lower by so much, with what carries it; where the map has mounting lines, on one. */
function lowerPlace(
  { map, vehicle }: FuelChecked,
  [x, y]: Vector,
  z: number,
): { readonly at: Vector; readonly on: string | undefined } | undefined {
  if (vehicle.mountingLines.length === 0) {
    return z >= ABOVE_GROUND ? { at: [x, y, z], on: undefined } : undefined;
  }
  for (const aside of ASIDE) {
    const at: Vector = [whole(x + aside), y, z];
    const mount = mountingPlace(at, vehicle.mountingLines, map.around);
    if (mount) return { at, on: mount.line.name };
  }
  return undefined;
}

/**
 * Mounting a pump lower, so that more fuel stands over it: the least that puts its inlet right, on
 * the mounting lines of the map where it has some. None where no such place does.
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
  const place = placeId === undefined ? undefined : checked.map.joints[placeId];
  if (pump.mounting !== 'external' || placeId === undefined || !place) return [];
  const there = circuit.nodes.filter((node) => node.placementId === placeId);
  for (let by = STEP; by <= FURTHEST; by += STEP) {
    const z = whole(place[2] - by);
    const lowered = {
      ...fluid.design,
      heights: { ...heights, ...Object.fromEntries(there.map((node) => [node.id, z])) },
    };
    const lower = lowerPlace(checked, place, z);
    if (!lower) continue;
    const solution = solvePoint(checked.design, lowered, input.at.point);
    if (solution.state !== 'converged' || !input.cured(solution)) continue;
    const down = Math.round((place[2] - z) * 1e3);
    const before =
      input.at.solution.state === 'failed' ? undefined : input.at.solution.pressures[pump.from];
    const after = solution.pressures[pump.from];
    const buys =
      before === undefined || after === undefined
        ? ''
        : `, for ${((after - before) / 1e3).toFixed(1)} kPa more at its inlet`;
    const on = lower.on === undefined ? '' : ` on “${lower.on}”`;
    return [
      {
        text: `Mount it ${down} mm lower${on}, ${Math.round(z * 1e3)} mm above the ground${buys}`,
        command: {
          name: 'set-several',
          label: `Mount the ${pump.name.toLowerCase()} ${down} mm lower`,
          changes: (['x', 'y', 'z'] as const).map((axis, k) => ({
            path: ['placements', placeId, axis],
            value: quantity((lower.at[k] ?? 0) * 1e3, 'length', 'mm'),
          })),
        },
      },
    ];
  }
  return [];
}
