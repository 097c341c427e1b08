import { fluidAt } from '../running/fluidAt.ts';
import { circuitMassFlow } from '../running/solvePoint.ts';
import { elementPath, pumpDuties } from '../circuits/circuitRun.ts';
import { bisect } from '../../numerics/index.ts';
import type { BuildCommand, BuildFinding, PumpElement } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { FuelChecked, FuelRule } from '../checked.ts';
import type { FluidResult } from '../running/fluidStage.ts';
import { scalePoint } from '../running/scalePoint.ts';
import { atPump } from './onCircuits.ts';
import { SAG_GOOD, SAG_STOP, sagAt } from './railSag.ts';

/** Sag of a circuit at full load with just so much engine flow, stepped pumps low. */
export function sagAtFlow(checked: FuelChecked, fluid: FluidResult, flow: number): number {
  const { point } = fluid.cases.peakPower;
  const full = circuitMassFlow(fluid.design, point) / fluid.design.fuel.hot.density;
  return sagAt(checked, fluid, scalePoint(checked.design, point, flow / full));
}

/** Cure that lets a stepped pump come in before the others run short, below a flow m³/s. */
function earlier(
  checked: FuelChecked,
  fluid: FluidResult,
  pump: PumpElement,
  flow: number,
): Cure<BuildCommand> {
  const text = 'Start it earlier';
  const { control } = pump;
  if (control?.kind !== 'stepped') return { text };
  const lower = bisect({
    low: 0,
    high: flow,
    tolerance: 1e-4,
    test: (at) => at > 0 && sagAtFlow(checked, fluid, at) > SAG_GOOD,
  });
  const kept = 0.97 * lower;
  const { unit } = control.above;
  return {
    text,
    command: {
      name: 'set',
      path: elementPath(fluid.design.circuit, pump, 'control'),
      value: {
        ...control,
        above: { value: kept, unit },
        below: { value: Math.min(0.9 * kept, control.below.value), unit },
      },
    },
  };
}

/** Just below its change-over a stepped pump must still hold the pressure. */
export const changeOver: FuelRule = {
  id: 'pump.change-over',
  source: 'no pressure dip before a second pump or step starts: sag 3 % good, 6 % stop',
  check: (checked) =>
    checked.fluids.flatMap((fluid): BuildFinding[] => {
      const { circuit } = fluid.design;
      const { point } = fluid.cases.peakPower;
      const full = circuitMassFlow(fluid.design, point) / fluid.design.fuel.hot.density;
      return pumpDuties(circuit).main.flatMap((pump): BuildFinding[] => {
        const { control } = pump;
        if (control?.kind !== 'stepped' || full <= 0) return [];
        const above = control.above.value;
        const flow = Math.min(above, full) * (1 - 1e-9);
        const sag = flow > 0 ? sagAtFlow(checked, fluid, flow) : 0;
        if (sag <= SAG_GOOD) return [];
        return [
          {
            id: `pump.change-over:${pump.id}`,
            rule: 'pump.change-over',
            severity: sag > SAG_STOP ? 'stop' : 'warn',
            where: atPump(fluid, pump.id),
            title: 'Pressure dips before the second step starts',
            because: 'just below {above} of engine flow the injectors’ Δp is {sag} low',
            numbers: {
              above: { value: above, kind: 'volumeFlow' },
              sag: { value: sag, kind: 'ratio' },
            },
            measured: { value: sag, kind: 'ratio' },
            limit: { value: SAG_GOOD, kind: 'ratio' },
            worse: 'higher',
            cures: () => [earlier(checked, fluid, pump, flow)],
          },
        ];
      });
    }),
};

/** A step that comes and goes at one flow. */
export const hysteresis: FuelRule = {
  id: 'pump.hysteresis',
  source: 'on above a flow, off below a lower one: 5 % apart at least',
  check: (checked) =>
    checked.document.fuelCircuits.flatMap((circuit) =>
      circuit.elements.flatMap((pump): BuildFinding[] => {
        if (pump.kind !== 'pump' || pump.control?.kind !== 'stepped') return [];
        const { above, below } = pump.control;
        if (below.value <= 0.95 * above.value) return [];
        return [
          {
            id: `pump.hysteresis:${pump.id}`,
            rule: 'pump.hysteresis',
            severity: 'warn',
            where: { stage: 'pump', circuit: circuit.id, element: pump.id },
            title: 'Pump hunts between its steps',
            because: 'it starts above {above} and stops below {below}',
            numbers: {
              above: { value: above.value, kind: 'volumeFlow' },
              below: { value: below.value, kind: 'volumeFlow' },
            },
            measured: { value: below.value / Math.max(above.value, 1e-12), kind: 'ratio' },
            limit: { value: 0.95, kind: 'ratio' },
            cures: () => [
              {
                text: 'Stop it a tenth lower',
                command: {
                  name: 'set',
                  path: elementPath(circuit, pump, 'control', 'below'),
                  value: { value: 0.9 * above.value, unit: below.unit },
                },
              },
            ],
          },
        ];
      }),
    ),
};

/** A step that the engine never asks for. */
export const neverStarts: FuelRule = {
  id: 'pump.never-starts',
  source: 'a pump on demand has to start below the engine’s highest flow',
  check: (checked) =>
    checked.fluids.flatMap((fluid): BuildFinding[] => {
      const { point } = fluid.cases.peakPower;
      const most = circuitMassFlow(fluid.design, point) / fluidAt(fluid.design, point).density;
      return pumpDuties(fluid.design.circuit).main.flatMap((pump): BuildFinding[] => {
        const { control } = pump;
        if (control?.kind !== 'stepped' || most <= 0 || control.above.value < most) return [];
        return [
          {
            id: `pump.never-starts:${pump.id}`,
            rule: 'pump.never-starts',
            severity: 'warn',
            where: atPump(fluid, pump.id),
            title: 'Pump never starts',
            because:
              'it starts above {above}, but this engine draws {most} at most: it never runs, and a failure goes unnoticed',
            numbers: {
              above: { value: control.above.value, kind: 'volumeFlow' },
              most: { value: most, kind: 'volumeFlow' },
            },
            measured: { value: control.above.value, kind: 'volumeFlow' },
            limit: { value: most, kind: 'volumeFlow' },
            worse: 'higher',
            cures: () => [earlier(checked, fluid, pump, 0.9 * most)],
          },
        ];
      });
    }),
};
