import { circuitScope, fuelFigure } from '../figureNames.ts';
import { pumpDuties } from '../circuits/circuitRun.ts';
import { firstOf } from '../../numerics/index.ts';
import type { BuildFinding, PumpElement } from '../../model/index.ts';
import type { FuelChecked, FuelRule } from '../checked.ts';
import { coolerPumpCure } from './coolerPumpCure.ts';
import { bareDeliverable } from '../running/deliverable.ts';
import type { FluidResult } from '../running/fluidStage.ts';
import { scalePoint, supportedPower } from '../running/scalePoint.ts';
import { atPump, where } from './onCircuits.ts';
import { SAG_STOP, sagAt } from './railSag.ts';

/** The others come in only with more flow than a standing engine takes. */
const stallsWithout = (
  checked: FuelChecked,
  fluid: FluidResult,
  lost: PumpElement,
): BuildFinding => ({
  id: `pump.lost:${fluid.design.circuit.id}`,
  rule: 'pump.lost',
  severity: 'note',
  where: atPump(fluid, lost.id),
  title: 'Engine does not run with one pump lost',
  because: `without the ${lost.name.toLowerCase()} nothing holds the pressure at idle: the remaining pump starts only at higher flow, so the engine neither starts nor idles (target {target})`,
  numbers: { target: { value: checked.document.brief.power.value, kind: 'power' } },
  measured: { value: 0, kind: 'power' },
  limit: { value: checked.document.brief.power.value, kind: 'power' },
  worse: 'lower',
  cures: () => [
    {
      text: 'Set the ECU to start every pump when the pressure is low, or carry a spare for the first',
    },
  ],
});

/** With one of several pumps standing: what the others carry, for the hand-over sheet. */
export const onePumpLost: FuelRule = {
  id: 'pump.lost',
  source: 'twin pumps: what is left with one of them stopped',
  check: (checked) =>
    checked.fluids.flatMap((fluid): BuildFinding[] => {
      const { main } = pumpDuties(fluid.design.circuit);
      if (main.length < 2) return [];
      const { point } = fluid.cases.peakPower;
      const target = checked.document.brief.power.value;
      const stalls = main.find(
        (lost) =>
          sagAt(checked, fluid, { ...fluid.cases.hotIdle.point, lostPump: lost.id }) > SAG_STOP,
      );
      if (stalls) return [stallsWithout(checked, fluid, stalls)];
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
          title: 'Power with one pump lost',
          because: `without the ${worst.lost.name.toLowerCase()} there is fuel for {power} of {target}${boosted ? ', with {boost} in the manifold' : ''}: set the ECU to lower boost or cut above that, and note it on the hand-over sheet`,
          numbers: {
            power: { value: worst.power, kind: 'power' },
            target: { value: target, kind: 'power' },
            boost: { value: boost, kind: 'pressure' },
          },
          measured: { value: worst.power, kind: 'power' },
          limit: { value: target, kind: 'power' },
          worse: 'lower',
          cures: () => [
            { text: 'Fit pumps that are each large enough alone, or set a limit in the ECU' },
          ],
        },
      ];
    }),
};

const WARM = 10;

/** Fuel that the pump warms past the hottest of the brief. */
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
      if (!rise || rise.value < WARM || !fluid.boiling.warmed) return [];
      const tank = circuit.elements.find((e) => e.kind === 'tank');
      return [
        {
          id: `tank.heating:${circuit.id}`,
          rule: 'tank.heating',
          severity: 'note',
          where: where(fluid, tank?.id ?? ''),
          title: 'Pump heats the tank',
          because: `${circuit.name}: an hour of cruising on a quarter tank adds {rise}: {reached} on a hot day. Boiling is judged at that temperature, not at the {briefed} of the brief`,
          numbers: {
            rise: { value: rise.value, kind: 'temperatureDifference' },
            reached: { value: fluid.boiling.temperature, kind: 'temperature' },
            briefed: { value: fuel.hot.temperature, kind: 'temperature' },
          },
          measured: { value: rise.value, kind: 'temperatureDifference' },
          limit: { value: fuel.hot.temperature - ambient, kind: 'temperatureDifference' },
          worse: 'higher',
          cures: () => [
            ...coolerPumpCure(
              checked,
              fluid,
              ({ temperature, warmed }) => !warmed || temperature - ambient < WARM,
            ),
            { text: 'Run the pump slower at cruise, or fit a cooler in the return' },
          ],
        },
      ];
    }),
};

/** A controller carries the pump's whole current all the time. */
export const controllerFeed: FuelRule = {
  id: 'pump.controller',
  source: 'a controller has its own fused feed, sized for the pump, away from heat and wet',
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
            title: 'Pump is driven by a controller',
            because:
              'it replaces the relay’s contact: give it its own fused feed, sized for the pump, in a cool dry place; its voltage is estimated as proportional to its duty',
            numbers: {},
            cures: () => [{ text: 'Plan its place and its feed' }],
          },
        ];
      }),
    ),
};
