/**
 * One element between two nodes. `residual` writes [r, ∂r/∂m, ∂r/∂p_from, ∂r/∂p_to, ∂r/∂p_sensed]
 * for a mass flow m kg/s (positive from → to) and gauge pressures Pa; r is 0 when the law holds.
 * Rows that speak of flow are scaled by FLOW_SCALE so that every r is of the size of a pressure.
 * The last entry is 0 before the call; only elements with a sensor write it.
 */
export interface BranchModel {
  readonly initialFlow: number;
  residual(
    massFlow: number,
    pressureFrom: number,
    pressureTo: number,
    out: Float64Array,
    pressureSensed: number,
  ): void;
}

/** Pa per kg/s: brings flow rows to the size of pressure rows. */
export const FLOW_SCALE = 1e7;

/** Softens |m| near zero so that pure square laws keep a slope there, kg/s. */
export const SMALL_FLOW = 1e-7;

/** m·|m| with the softened corner. */
export const signedSquare = (m: number): number => m * Math.sqrt(m * m + SMALL_FLOW * SMALL_FLOW);

/** Slope of signedSquare. */
export function signedSquareSlope(m: number): number {
  const s = SMALL_FLOW * SMALL_FLOW;
  return (2 * m * m + s) / Math.sqrt(m * m + s);
}

/**
 * What a shut valve lets pass backwards, as a share of the gap in FLOW_SCALE: 1e-8 kg/s at 100 kPa.
 * Without it the pressure between two shut valves would be anybody's guess.
 */
export const SEAT_LEAK = 1e-6;

/** What must not be negative while nothing flows, Pa, with its slopes. */
export interface Gap {
  value: number;
  perFlow: number;
  perFrom: number;
  perTo: number;
  perSensed?: number;
}

/**
 * Writes the complementarity m ≥ −leak ⊥ gap ≥ 0 as one row: the smaller of the two is zero. With
 * `smoothing` Pa above 0 the corner is rounded (Fischer and Burmeister).
 */
export function complementarity(
  out: Float64Array,
  massFlow: number,
  gap: Gap,
  smoothing: number,
  leak = 0,
): void {
  const flow = massFlow * FLOW_SCALE + leak * gap.value;
  let byFlow = flow < gap.value ? 1 : 0;
  let byGap = 1 - byFlow;
  if (smoothing > 0) {
    const root = Math.sqrt(flow * flow + gap.value * gap.value + 2 * smoothing * smoothing);
    byFlow = 1 - flow / root;
    byGap = 1 - gap.value / root;
    out[0] = flow + gap.value - root;
  } else {
    out[0] = byFlow ? flow : gap.value;
  }
  const onGap = byGap + byFlow * leak;
  out[1] = byFlow * FLOW_SCALE + onGap * gap.perFlow;
  out[2] = onGap * gap.perFrom;
  out[3] = onGap * gap.perTo;
  out[4] = onGap * (gap.perSensed ?? 0);
}
