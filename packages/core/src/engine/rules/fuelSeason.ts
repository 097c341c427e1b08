import { engineFigure, fuelScope } from '../figureNames.ts';
import type { BuildFinding } from '../../model/index.ts';
import type { EngineRule } from '../checked.ts';
import { fuelLabel } from '../fuels/fuelProperties.ts';

const SHIFT = 0.02;

/** Pump fuel whose ethanol changes with the season. */
export const fuelSeason: EngineRule = {
  id: 'fuel.season',
  source: 'pump E85 holds 51 to 83 % by season: size at the most, correct or test at the least',
  check: ({ document, results }) =>
    document.fuels.flatMap((fuel, i): BuildFinding[] => {
      const shift = results.find(engineFigure('fuel.seasonalShift', fuelScope(i, fuel.id)));
      if (!shift || Math.abs(shift.value) < SHIFT || fuel.kind === 'methanol') return [];
      return [
        {
          id: `fuel.season:${fuel.id}`,
          rule: 'fuel.season',
          severity: 'note',
          where: { stage: 'demand', fuel: fuel.id },
          title: `${fuel.name} changes with the season`,
          because: `with {least} ethanol in the tank a calibration for ${fuelLabel(fuel)} is off by {shift} in λ (rich): fit a content sensor, or test the fuel before tuning`,
          numbers: {
            least: { value: fuel.ethanolLowest!.value, kind: 'ratio' },
            shift: { value: -shift.value, kind: 'ratio' },
          },
          measured: { value: Math.abs(shift.value), kind: 'ratio' },
          limit: { value: SHIFT, kind: 'ratio' },
          worse: 'higher',
          cures: () => [
            { text: 'Plan an ethanol content sensor, or put the test on the hand-over sheet' },
          ],
        },
      ];
    }),
};
