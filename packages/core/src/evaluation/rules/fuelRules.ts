import { fuelLabel } from '../../fuels/index.ts';
import type { BuildFinding, BuildRule } from '../checked.ts';

const SHIFT = 0.02;

/** Pump fuel whose ethanol changes with the season. */
const season: BuildRule = {
  id: 'fuel.season',
  source: 'pump E85 holds 51 to 83 % by season: size at the most, correct or test at the least',
  check: ({ document, results }) =>
    document.fuels.flatMap((fuel, i): BuildFinding[] => {
      const prefix = i === 0 ? 'fuel' : `fuel.${fuel.id}`;
      const shift = results.get(`${prefix}.seasonalShift`);
      if (!shift || Math.abs(shift.value) < SHIFT || fuel.kind === 'methanol') return [];
      return [
        {
          id: `fuel.season:${fuel.id}`,
          rule: 'fuel.season',
          severity: 'note',
          where: `demand:${fuel.id}`,
          title: `${fuel.name} is not the same all year`,
          because: `with {least} ethanol in the tank a calibration for ${fuelLabel(fuel)} is off by {shift} in λ (rich): fit a content sensor, or test the fuel before tuning`,
          numbers: {
            least: { value: fuel.ethanolLowest!.value, kind: 'ratio' },
            shift: { value: -shift.value, kind: 'ratio' },
          },
          measured: { value: Math.abs(shift.value), kind: 'ratio' },
          limit: { value: SHIFT, kind: 'ratio' },
          worse: 'higher',
          cures: [{ text: 'Plan an ethanol content sensor, or write the test into the hand-over' }],
        },
      ];
    }),
};

const MOSTLY = 0.6;

/** Alcohols start badly in the cold. */
const coldStart: BuildRule = {
  id: 'fuel.cold-start',
  source: 'alcohols need far more fuel cold: 3 times at 0 °C for E85, more for methanol',
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
          where: `demand:${fuel.id}`,
          title: 'Cold start on alcohol',
          because:
            fuel.kind === 'methanol'
              ? 'methanol hardly starts below 10 °C: a second, petrol start system is customary'
              : 'E85 starts down to about 0 °C with three times the fuel; below that a winter blend or a second, petrol start system is customary',
          numbers: {},
          cures: [{ text: 'Plan a winter blend, a block heater or a start system' }],
        },
      ];
    }),
};

export const fuelRules = [season, coldStart];
