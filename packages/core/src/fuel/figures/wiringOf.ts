import { type Sourced, byDefault, fromFigure, given } from '../../results/index.ts';
import type { CircuitDesign } from '../running/design.ts';

/** Resistance Ω from the battery to a pump and back, as sized; nothing for a pump without a feed. */
export function wiringOf(circuit: CircuitDesign, pumpId: string): Sourced<number> {
  const resistance = circuit.seriesResistances[pumpId];
  const figure = circuit.seriesFigures[pumpId];
  return resistance === undefined || !figure
    ? byDefault(0, 'not wired')
    : given(resistance, fromFigure(figure));
}
