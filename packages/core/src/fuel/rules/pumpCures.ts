import { pumpDuties } from '../circuits/circuitRun.ts';
import { refOf } from '../../catalogue/index.ts';
import type { FuelChecked } from '../checked.ts';
import type { FluidResult } from '../running/fluidStage.ts';
import { pumpSwapCommand } from '../proposals/pumpSwap.ts';

/** The best fitting other pump, as a cure for the main pump of a circuit. */
export function pumpCures(checked: FuelChecked, fluid: FluidResult) {
  const { circuit } = fluid.design;
  const element = pumpDuties(circuit).main[0];
  if (!element) return [];
  const best = checked.candidates
    .pumps()
    [element.id]?.find(
      (c) =>
        c.verdict !== 'does not fit' &&
        c.item.id !== element.item.id &&
        (c.margin ?? 0) >= checked.document.limits.pumpMargin.value,
    );
  return best
    ? [
        {
          text: `Fit pump ${best.item.designation}`,
          command: pumpSwapCommand({
            circuit,
            elementId: element.id,
            item: refOf(best.item),
          }),
        },
      ]
    : [{ text: 'No pump in the catalogue fits; add one or lower the target' }];
}
