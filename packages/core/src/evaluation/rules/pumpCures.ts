import { refOf } from '../../build/index.ts';
import type { Checked } from '../checked.ts';
import type { FluidResult } from '../fluidStage.ts';

/** The best fitting other pump, as a cure for the first pump of a circuit. */
export function pumpCures(checked: Checked, fluid: FluidResult) {
  const element = fluid.design.circuit.elements.find((e) => e.kind === 'pump');
  if (element?.kind !== 'pump') return [];
  const best = checked.pumpCandidates[element.id]?.find(
    (c) =>
      c.verdict !== 'does not fit' &&
      c.item.id !== element.item.id &&
      (c.margin ?? 0) >= checked.document.limits.pumpMargin.value,
  );
  return best
    ? [
        {
          text: `Fit pump ${best.item.designation}`,
          command: {
            name: 'choose-part' as const,
            circuitId: fluid.design.circuit.id,
            elementId: element.id,
            item: refOf(best.item),
          },
        },
      ]
    : [{ text: 'No pump in the catalogue fits; add one or lower the target' }];
}
