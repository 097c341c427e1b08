/** The liquid in a circuit, taken as one temperature: kg/m³ and Pa·s. */
export interface Fluid {
  readonly density: number;
  readonly viscosity: number;
}

export const GRAVITY = 9.80665;

/** Flow area m² of a round bore m. */
export const boreArea = (bore: number): number => (Math.PI / 4) * bore * bore;
