import type { BuildFinding } from '../../model/index.ts';
import type { FuelRule } from '../checked.ts';
import { lowestRunPressure } from '../running/lowestRunPressure.ts';
import type { CaseName } from '../running/cases.ts';
import { where } from './onCircuits.ts';

const GOOD = 10e3;
/** Cases in which the fuel is hot and flows. */
const judged: readonly CaseName[] = ['hotIdle', 'cruise', 'peakTorque', 'peakPower'];

/** Lowest pressure from tank outlet to regulator inlet over the hot cases. */
export const vapourInRun: FuelRule = {
  id: 'vapour.run',
  source: 'lowest pressure to the regulator above vapour pressure: 10 kPa good, below 0 stop',
  check: (checked) =>
    checked.fluids.flatMap((fluid): BuildFinding[] => {
      const { design, catalogue } = checked;
      const margins = judged.flatMap((name) => {
        const { point, solution } = fluid.cases[name];
        if (solution.state === 'failed') return [];
        const lowest = lowestRunPressure(fluid.design, catalogue, solution);
        if (!lowest) return [];
        const above =
          lowest.pressure +
          design.demand.engine.ambientPressure -
          fluid.design.fuel.hot.vapourPressureAbsolute;
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
          title: boils ? 'Fuel boils on its way' : 'Fuel is close to boiling on its way',
          because: `${element ? `after the ${element.name.toLowerCase()}` : 'at the tank outlet'} the pressure is {above} above vapour pressure at {temperature}, ${worst.point.label.toLowerCase()}; 10 kPa is good`,
          numbers: {
            above: { value: worst.above, kind: 'pressure' },
            temperature: { value: fluid.design.fuel.hot.temperature, kind: 'temperature' },
          },
          measured: { value: worst.above, kind: 'pressure' },
          limit: { value: GOOD, kind: 'pressure' },
          worse: 'lower',
          rung: 'suction',
          cures: () => [
            { text: 'Lay that part lower, keep the fuel cooler, or take less loss before it' },
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
      const above = tank.pressure.value + ambient - fluid.design.fuel.hot.vapourPressureAbsolute;
      if (above >= 0) return [];
      return [
        {
          id: `vapour.return:${fluid.design.circuit.id}`,
          rule: 'vapour.return',
          severity: 'note',
          where: where(fluid, tank.id),
          title: 'Hot fuel boils at the tank surface and in the return',
          because:
            'at {temperature} its vapour pressure is {short} above what stands on it: it loses its light parts and the vent works',
          numbers: {
            temperature: { value: fluid.design.fuel.hot.temperature, kind: 'temperature' },
            short: { value: -above, kind: 'pressure' },
          },
          measured: { value: above, kind: 'pressure' },
          limit: { value: 0, kind: 'pressure' },
          cures: () => [{ text: 'Keep the fuel cooler, or use a fuel of lower vapour pressure' }],
        },
      ];
    }),
};
