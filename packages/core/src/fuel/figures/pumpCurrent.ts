import type { PumpElement } from '../../model/index.ts';
import { lookUp } from '../../catalogue/index.ts';
import type { PumpState } from '../elements/index.ts';
import { curveCurrent } from '../pumps/formulas.ts';
import { elementPath } from '../circuits/circuitRun.ts';
import {
  type FigureRef,
  type Result,
  derive,
  entered,
  fromItem,
  solvedIn,
} from '../../results/index.ts';
import type { FigureContext } from './figureContext.ts';

/** Current of a pump at its solved flow and voltage, read from its curves. */
export function pumpCurrent(
  context: FigureContext,
  element: PumpElement,
  state: PumpState,
  named: { readonly figure: FigureRef; readonly label: string; readonly from: string },
): Result {
  const item = lookUp(context.design.catalogue, 'pump', element.item, element.id);
  const curves = [...item.curves].sort((a, b) => a.voltage - b.voltage);
  const points = curves.map((c) => [...c.points].sort((a, b) => a.flow - b.flow));
  return derive({
    figure: named.figure,
    label: named.label,
    formula: curveCurrent,
    inputs: {
      flow: solvedIn(state.flow, named.from),
      wear: entered(element.wear, elementPath(context.circuit.circuit, element, 'wear')),
      voltage: solvedIn(state.voltage, named.from),
      curveVoltages: fromItem(
        curves.map((c) => c.voltage),
        item,
      ),
      pointsPerCurve: fromItem(
        points.map((p) => p.length),
        item,
      ),
      curveFlows: fromItem(
        points.flatMap((p) => p.map((q) => q.flow)),
        item,
      ),
      curveCurrents: fromItem(
        points.flatMap((p) => p.map((q) => q.current)),
        item,
      ),
    },
  });
}
