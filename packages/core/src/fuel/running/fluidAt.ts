import type { FluidState } from '../../engine/index.ts';
import type { CircuitDesign } from './design.ts';
import type { RunningPoint } from './runningPoint.ts';

/** The fuel of a circuit at a running point: the hottest, or that of the coldest day. */
export const fluidAt = (
  circuit: Pick<CircuitDesign, 'fuel'>,
  point: Pick<RunningPoint, 'fuel'>,
): FluidState => (point.fuel === 'cold' ? circuit.fuel.cold : circuit.fuel.hot);
