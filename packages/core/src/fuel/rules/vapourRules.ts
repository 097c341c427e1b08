import type { BuildFinding } from '../../model/index.ts';
import type { FuelRule } from '../checked.ts';
import { lowestRunPressure } from '../running/lowestRunPressure.ts';
import { coolerPumpCure } from './coolerPumpCure.ts';
import { fuelInWords, hotCases } from './hotFuel.ts';
import { where } from './onCircuits.ts';

const GOOD = 10e3;

/** Lowest pressure from tank outlet to regulator inlet over the hot cases. */
export const vapourInRun: FuelRule = {
  id: 'vapour.run',
  source: 'lowest pressure to the regulator above vapour pressure: 10 kPa good, below 0 stop',
  check: (checked) =>
    checked.fluids.flatMap((fluid): BuildFinding[] => {
      const { design, catalogue } = checked;
      const margins = hotCases.flatMap((name) => {
        const { point, solution } = fluid.cases[name];
        if (solution.state === 'failed') return [];
        const lowest = lowestRunPressure(fluid.design, catalogue, solution);
        if (!lowest) return [];
        const above =
          lowest.pressure +
          design.demand.engine.ambientPressure -
          fluid.boiling.vapourPressureAbsolute;
        return [{ point, lowest, above }];
      });
      const worst = margins.sort((a, b) => a.above - b.above)[0];
      if (!worst || worst.above >= GOOD) return [];
      // The inlet of a pump has a check of its own, with what that pump needs.
      const atPump = fluid.design.circuit.elements.some(
        (e) => e.kind === 'pump' && e.from === worst.lowest.nodeId,
      );
      if (atPump) return [];
      const boils = worst.above < 0;
      const element = fluid.design.circuit.elements.find((e) => e.id === worst.lowest.elementId);
      return [
        {
          id: `vapour.run:${fluid.design.circuit.id}`,
          rule: 'vapour.run',
          severity: boils ? 'stop' : 'warn',
          where: where(fluid, worst.lowest.elementId ?? 'tank'),
          title: boils ? 'Fuel boils in the line' : 'Fuel is close to boiling in the line',
          because: `${fluid.design.circuit.name}: the pressure ${element ? `after the ${element.name.toLowerCase()}` : 'at the tank outlet'} is {above} above vapour pressure, ${worst.point.label.toLowerCase()}, ${fuelInWords(fluid.boiling)}; 10 kPa is good`,
          numbers: {
            above: { value: worst.above, kind: 'pressure' },
            temperature: { value: fluid.boiling.temperature, kind: 'temperature' },
          },
          measured: { value: worst.above, kind: 'pressure' },
          limit: { value: GOOD, kind: 'pressure' },
          worse: 'lower',
          rung: 'suction',
          cures: () => [
            ...coolerPumpCure(
              checked,
              fluid,
              ({ vapourPressureAbsolute }) =>
                worst.above + fluid.boiling.vapourPressureAbsolute - vapourPressureAbsolute >= GOOD,
            ),
            {
              text: 'Mount that part lower, reduce the pressure drop before it, or keep the fuel cooler: with the regulator before the rail, the engine’s heat stays out of the tank',
            },
          ],
        },
      ];
    }),
};

/** Fuel that boils at the tank surface or behind the regulator loses its light parts: told only. */
export const vapourAtRest: FuelRule = {
  id: 'vapour.return',
  source: 'vapour pressure against tank surface and return: note',
  check: (checked) =>
    checked.fluids.flatMap((fluid): BuildFinding[] => {
      const { solution } = fluid.cases.hotIdle;
      const tank = fluid.design.circuit.elements.find((e) => e.kind === 'tank');
      if (solution.state === 'failed' || tank?.kind !== 'tank') return [];
      const ambient = checked.design.demand.engine.ambientPressure;
      const above = tank.pressure.value + ambient - fluid.boiling.vapourPressureAbsolute;
      if (above >= 0) return [];
      return [
        {
          id: `vapour.return:${fluid.design.circuit.id}`,
          rule: 'vapour.return',
          severity: 'note',
          where: where(fluid, tank.id),
          title: 'Hot fuel boils at the tank surface and in the return',
          because: `${fluid.design.circuit.name}: ${fuelInWords(fluid.boiling)} its vapour pressure is {short} above the pressure in the tank: light fractions boil off through the vent`,
          numbers: {
            temperature: { value: fluid.boiling.temperature, kind: 'temperature' },
            short: { value: -above, kind: 'pressure' },
          },
          measured: { value: above, kind: 'pressure' },
          limit: { value: 0, kind: 'pressure' },
          cures: () => [{ text: 'Keep the fuel cooler, or use a fuel of lower vapour pressure' }],
        },
      ];
    }),
};
