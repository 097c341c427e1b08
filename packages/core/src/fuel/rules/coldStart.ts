import type { BuildFinding } from '../../model/index.ts';
import type { FuelRule } from '../checked.ts';

const MOSTLY = 0.6;

/** Alcohols start badly in the cold. */
export const coldStart: FuelRule = {
  id: 'fuel.cold-start',
  source: 'alcohols need far more fuel when cold: 3 times at 0 °C for E85, more for methanol',
  check: ({ design }) =>
    design.circuits.flatMap((circuit): BuildFinding[] => {
      const { fuel } = circuit.fuel;
      const share = fuel.kind === 'methanol' ? 1 : fuel.ethanol.value;
      const always = circuit.rows.some((row) => row.row.staging === null);
      if (share < MOSTLY || !always) return [];
      return [
        {
          id: `fuel.cold-start:${circuit.circuit.id}`,
          rule: 'fuel.cold-start',
          severity: 'note',
          where: { stage: 'demand', fuel: fuel.id },
          title: 'Cold start on alcohol',
          because:
            fuel.kind === 'methanol'
              ? 'methanol hardly starts below 10 °C: a second, petrol start system is customary'
              : 'E85 starts down to about 0 °C with three times the fuel; below that a winter blend or a second, petrol start system is customary',
          numbers: {},
          cures: () => [{ text: 'Plan a winter blend, a block heater or a start system' }],
        },
      ];
    }),
};
