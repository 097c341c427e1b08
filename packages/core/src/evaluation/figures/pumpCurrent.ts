import { type PumpElement, lookUp } from '../../build/index.ts';
import type { PumpState } from '../../hydraulics/index.ts';
import { curveCurrent } from '../../pumps/index.ts';
import { type Result, derive, given } from '../../results/index.ts';
import type { FigureContext } from './figureContext.ts';

/** Current of a pump at its solved flow and voltage, read from its curves. */
export function pumpCurrent(
  context: FigureContext,
  element: PumpElement,
  state: PumpState,
  figure: { readonly key: string; readonly label: string; readonly from: string },
): Result {
  const item = lookUp(context.design.catalogue, 'pump', element.item, element.id);
  const curves = [...item.curves].sort((a, b) => a.voltage - b.voltage);
  const points = curves.map((c) => [...c.points].sort((a, b) => a.flow - b.flow));
  const catalogue = `catalogue:${item.id}`;
  return derive({
    key: figure.key,
    label: figure.label,
    formula: curveCurrent,
    inputs: {
      flow: given(state.flow, figure.from),
      wear: given(element.wear.value, `document:${element.id}.wear`),
      voltage: given(state.voltage, figure.from),
      curveVoltages: given(
        curves.map((c) => c.voltage),
        catalogue,
      ),
      pointsPerCurve: given(
        points.map((p) => p.length),
        catalogue,
      ),
      curveFlows: given(
        points.flatMap((p) => p.map((q) => q.flow)),
        catalogue,
      ),
      curveCurrents: given(
        points.flatMap((p) => p.map((q) => q.current)),
        catalogue,
      ),
    },
  });
}
