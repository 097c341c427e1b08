import type { CircuitDesign, FluidDesign } from '../design.ts';

/** What the figures of one circuit are read from. */
export interface FigureContext {
  readonly design: FluidDesign;
  readonly circuit: CircuitDesign;
  readonly circuitIndex: number;
  /** "" for the first circuit, else ".<circuit id>" */
  readonly suffix: string;
}

/** Origin of what the peak case solved. */
export const SOLVED = 'case:peakPower';
