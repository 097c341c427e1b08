import { circuitScope, fuelFigure } from '../figureNames.ts';
import { elementPath, pumpDuties } from '../circuits/circuitRun.ts';
import { bisect, firstOf } from '../../numerics/index.ts';
import type { BuildFinding } from '../../model/index.ts';
import type { FuelChecked, FuelRule } from '../checked.ts';
import { bareDeliverable } from '../running/deliverable.ts';
import type { FluidResult } from '../running/fluidStage.ts';
import type { RunningPoint } from '../running/runningPoint.ts';
import { scalePoint, supportedPower } from '../running/scalePoint.ts';
import {
  assumedDifference,
  circuitMassFlow,
  rowDifference,
  solvePoint,
} from '../running/solvePoint.ts';
import { atPump, where } from './onCircuits.ts';
import { SAG_GOOD, SAG_STOP } from './railSag.ts';

/** With one of several pumps standing: what the others carry, for the hand-over sheet. */
export const onePumpLost: FuelRule = {
  id: 'pump.lost',
  source: 'twin pumps: what is left with one of them standing',
  check: (checked) =>
    checked.fluids.flatMap((fluid): BuildFinding[] => {
      const { main } = pumpDuties(fluid.design.circuit);
      if (main.length < 2) return [];
      const { point } = fluid.cases.peakPower;
      const target = checked.document.brief.power.value;
      const alone = main.map((lost) => ({
        lost,
        power: supportedPower(target, (factor) => {
          const scaled = { ...scalePoint(checked.design, point, factor), lostPump: lost.id };
          return (
            bareDeliverable(checked.design, fluid.design, scaled, undefined)?.margin ?? -Infinity
          );
        }),
      }));
      const worst = firstOf(alone.sort((a, b) => (a.power ?? Infinity) - (b.power ?? Infinity)));
      if (worst.power === null) return [];
      const boosted = checked.document.brief.aspiration !== 'natural';
      const boost = scalePoint(checked.design, point, worst.power / target).manifoldGauge;
      return [
        {
          id: `pump.lost:${fluid.design.circuit.id}`,
          rule: 'pump.lost',
          severity: 'note',
          where: atPump(fluid, worst.lost.id),
          title: 'With one pump lost',
          because: `without the ${worst.lost.name.toLowerCase()} the fuel is enough for {power} of {target}${boosted ? ', with {boost} in the manifold' : ''}: let the ECU lower boost or cut above that, and write it on the hand-over sheet`,
          numbers: {
            power: { value: worst.power, kind: 'power' },
            target: { value: target, kind: 'power' },
            boost: { value: boost, kind: 'pressure' },
          },
          measured: { value: worst.power, kind: 'power' },
          limit: { value: target, kind: 'power' },
          worse: 'lower',
          cures: () => [{ text: 'Each pump alone large enough, or a limit in the ECU' }],
        },
      ];
    }),
};

/** Sag of a circuit at full load with just so much engine flow, stepped pumps low. */
function sagAtFlow(checked: FuelChecked, fluid: FluidResult, flow: number): number {
  const { point } = fluid.cases.peakPower;
  const full = circuitMassFlow(fluid.design, point) / fluid.design.fuel.hot.density;
  const at: RunningPoint = scalePoint(checked.design, point, flow / full);
  const solution = solvePoint(checked.design, fluid.design, at);
  if (solution.state === 'failed') return Infinity;
  const assumed = assumedDifference(checked.design, fluid.design, at);
  return Math.max(
    ...fluid.design.rows.map((row) => 1 - rowDifference(fluid.design, row, solution) / assumed),
  );
}

/** Just below its change-over a stepped pump must still hold the pressure. */
export const changeOver: FuelRule = {
  id: 'pump.change-over',
  source: 'no pressure dip before a second pump or step comes in: sag 3 % good, 6 % stop',
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
            title: 'Pressure dips before the second step comes in',
            because: 'just below {above} of engine flow the injectors’ Δp is {sag} low',
            numbers: {
              above: { value: above, kind: 'volumeFlow' },
              sag: { value: sag, kind: 'ratio' },
            },
            measured: { value: sag, kind: 'ratio' },
            limit: { value: SAG_GOOD, kind: 'ratio' },
            worse: 'higher',
            cures: () => {
              const lower = bisect({
                low: 0,
                high: flow,
                tolerance: 1e-4,
                test: (at) => at > 0 && sagAtFlow(checked, fluid, at) > SAG_GOOD,
              });
              const kept = 0.97 * lower;
              const { unit } = control.above;
              return [
                {
                  text: 'Let it come in earlier',
                  command: {
                    name: 'set',
                    path: elementPath(circuit, pump, 'control'),
                    value: {
                      ...control,
                      above: { value: kept, unit },
                      below: { value: Math.min(0.9 * kept, control.below.value), unit },
                    },
                  },
                },
              ];
            },
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
            title: 'The pump would hunt between its steps',
            because: 'it comes in above {above} and goes back below {below}',
            numbers: {
              above: { value: above.value, kind: 'volumeFlow' },
              below: { value: below.value, kind: 'volumeFlow' },
            },
            measured: { value: below.value / Math.max(above.value, 1e-12), kind: 'ratio' },
            limit: { value: 0.95, kind: 'ratio' },
            cures: () => [
              {
                text: 'Let it go back a tenth lower',
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

const WARM = 10;

/** Fuel that the pump warms past what the checks were made with. */
export const tankHeating: FuelRule = {
  id: 'tank.heating',
  source: 'all electrical power ends in the fuel: rise in an hour at cruise with a quarter tank',
  check: (checked) =>
    checked.fluids.flatMap((fluid, i): BuildFinding[] => {
      const { circuit, fuel } = fluid.design;
      const rise = checked.results.find(
        fuelFigure('tank.heatingPerHour', circuitScope(i, circuit.id)),
      );
      const ambient = checked.document.brief.ambientHot.value;
      const reached = ambient + (rise?.value ?? 0);
      if (!rise || rise.value < WARM || reached <= fuel.hot.temperature) return [];
      const tank = circuit.elements.find((e) => e.kind === 'tank');
      return [
        {
          id: `tank.heating:${circuit.id}`,
          rule: 'tank.heating',
          severity: 'note',
          where: where(fluid, tank?.id ?? ''),
          title: 'The pump warms the tank',
          because:
            'an hour of cruising on a quarter tank adds {rise}: on a hot day {reached}, while boiling is judged at {judged}',
          numbers: {
            rise: { value: rise.value, kind: 'temperatureDifference' },
            reached: { value: reached, kind: 'temperature' },
            judged: { value: fuel.hot.temperature, kind: 'temperature' },
          },
          measured: { value: rise.value, kind: 'temperatureDifference' },
          limit: { value: fuel.hot.temperature - ambient, kind: 'temperatureDifference' },
          worse: 'higher',
          cures: () => [
            {
              text: 'Run the pump slower at cruise, or brief the hottest fuel as high as it gets',
            },
          ],
        },
      ];
    }),
};

/** A controller carries the pump's whole current all the time. */
export const controllerFeed: FuelRule = {
  id: 'pump.controller',
  source: 'a controller has its own fused feed, as stout as the pump needs, away from heat and wet',
  check: (checked) =>
    checked.fluids.flatMap((fluid) =>
      fluid.design.circuit.elements.flatMap((pump): BuildFinding[] => {
        const modulated =
          pump.kind === 'pump' &&
          (pump.control?.kind === 'pressure' ||
            (pump.control?.kind === 'stepped' && pump.control.lowShare.value > 0));
        if (!modulated) return [];
        return [
          {
            id: `pump.controller:${pump.id}`,
            rule: 'pump.controller',
            severity: 'note',
            where: atPump(fluid, pump.id),
            title: 'The pump is driven by a controller',
            because:
              'it takes the place of the relay’s contact: own fused feed as stout as the pump needs, in a cool dry place; voltage is taken as linear in its share, an estimate',
            numbers: {},
            cures: () => [{ text: 'Plan its place and its feed' }],
          },
        ];
      }),
    ),
};
