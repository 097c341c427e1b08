import type { BuildCommand, PumpElement } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import { elementPath, pumpDuties, withElement } from '../circuits/circuitRun.ts';
import type { FuelChecked } from '../checked.ts';
import { circuitScope } from '../figureNames.ts';
import { type Boiling, boilingOf } from '../running/boiling.ts';
import type { FluidResult } from '../running/fluidStage.ts';
import { circuitMassFlow, solvePoint } from '../running/solvePoint.ts';
import { SAG_GOOD } from './railSag.ts';
import { sagAtFlow } from './steppedPumps.ts';

/** Shares of the voltage that are tried in the low step, gentlest first. */
const SHARES = [0.75, 0.65, 0.55, 0.45] as const;
/** Engine flow above which the pump runs in full and below which it goes back, shares of the peak. */
const FULL_ABOVE = 0.4;
const BACK_BELOW = 0.32;

/** A pump that always runs in full and could be slowed down. */
const unslowed = (fluid: FluidResult): PumpElement[] =>
  pumpDuties(fluid.design.circuit).main.filter((pump) => pump.control === null);

/**
 * Slowing a pump at cruise, so that it warms the tank less: the gentlest low step that puts boiling
 * right and still holds the pressure just below its change-over. None where none does.
 */
export function coolerPumpCure(
  checked: FuelChecked,
  fluid: FluidResult,
  cured: (boiling: Boiling) => boolean,
): Cure<BuildCommand>[] {
  if (!fluid.boiling.warmed) return [];
  const { design } = checked;
  const { circuit, fuel } = fluid.design;
  const index = design.circuits.findIndex((c) => c.circuit.id === circuit.id);
  const full = circuitMassFlow(fluid.design, fluid.cases.peakPower.point) / fuel.hot.density;
  for (const pump of unslowed(fluid)) {
    for (const share of SHARES) {
      const control: PumpElement['control'] = {
        kind: 'stepped',
        lowShare: quantity(100 * share, 'ratio', '%'),
        above: { value: FULL_ABOVE * full, unit: 'L/h' },
        below: { value: BACK_BELOW * full, unit: 'L/h' },
      };
      const slowed = { ...fluid.design, circuit: withElement(circuit, pump.id, { control }) };
      const cruise = solvePoint(design, slowed, fluid.cases.cruise.point);
      const boiling = boilingOf(design, slowed, cruise, circuitScope(index, circuit.id));
      if (cruise.state === 'failed' || !cured(boiling)) continue;
      const just = FULL_ABOVE * full * (1 - 1e-9);
      if (sagAtFlow(checked, { ...fluid, design: slowed }, just) > SAG_GOOD) continue;
      return [
        {
          text: `Run the ${pump.name.toLowerCase()} at ${Math.round(100 * share)} % of its voltage below ${Math.round(100 * FULL_ABOVE)} % of the peak flow: cooler tank`,
          command: { name: 'set', path: elementPath(circuit, pump, 'control'), value: control },
        },
      ];
    }
  }
  return [];
}
