import type { CircuitScope } from '../figureNames.ts';
import type { CircuitDesign, NamedDesign } from '../running/design.ts';

/** What the figures of one circuit are read from. */
export interface FigureContext {
  readonly design: NamedDesign;
  readonly circuit: CircuitDesign;
  /** names the circuit in its figures */
  readonly scope: CircuitScope;
}

/** The case at the design peak. */
export const SOLVED = 'peakPower';
