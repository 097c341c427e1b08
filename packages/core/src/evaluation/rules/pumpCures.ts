import { pumpDuties, refOf } from '../../build/index.ts';
import type { Checked } from '../checked.ts';
import type { FluidResult } from '../fluidStage.ts';
import { pumpSwapCommand } from '../pumpSwap.ts';

/** The best fitting other pump, as a cure for the main pump of a circuit. */
export function pumpCures(checked: Checked, fluid: FluidResult) {
  const { circuit } = fluid.design;
  const element = pumpDuties(circuit).main[0];
  if (!element) return [];
  const best = checked.pumpCandidates[element.id]?.find(
    (c) =>
      c.verdict !== 'does not fit' &&
      c.item.id !== element.item.id &&
      (c.margin ?? 0) >= checked.document.limits.pumpMargin.value,
  );
  const circuitIndex = checked.document.fuelCircuits.indexOf(circuit);
  return best
    ? [
        {
          text: `Fit pump ${best.item.designation}`,
          command: pumpSwapCommand({
            circuit,
            circuitIndex,
            elementId: element.id,
            item: refOf(best.item),
          }),
        },
      ]
    : [{ text: 'No pump in the catalogue fits; add one or lower the target' }];
}
