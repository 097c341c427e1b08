/** The liquid in a circuit, taken as one temperature: kg/m³ and Pa·s. */
export interface Fluid {
  readonly density: number;
  readonly viscosity: number;
}

export const GRAVITY = 9.80665;

/** Flow area m² of a round bore m. */
export const boreArea = (bore: number): number => (Math.PI / 4) * bore * bore;

/** Below this a flow m³/s is what seats leak and solves leave over: 0.004 L/h. */
export const NOTHING_FLOWS = 1e-9;

/** A delivered flow m³/s; what is next to nothing, or leaks backwards, is nothing. */
export const flowOrNothing = (flow: number): number => (flow < NOTHING_FLOWS ? 0 : flow);
