const DEGREE = Math.PI / 180;

/** Share of a right-angled bend's loss that a bend of an angle rad has; straight between the given points. */
function angleShare(angle: number): number {
  const degrees = angle / DEGREE;
  const at70 = 0.9 * Math.sin(70 * DEGREE);
  if (degrees <= 70) return 0.9 * Math.sin(angle);
  if (degrees <= 90) return at70 + ((1 - at70) * (degrees - 70)) / 20;
  if (degrees <= 100) return 1 + ((0.7 + 0.35 * (100 / 90) - 1) * (degrees - 90)) / 10;
  return 0.7 + 0.35 * (degrees / 90);
}

/**
 * Loss coefficient of a smooth bend of a round bore beyond the friction along it: angle rad,
 * centreline radius and bore m. K = A(angle) · 0.21 / √(r/D), 0.21 / (r/D)^2.5 below r = D.
 * Idelchik, Handbook of Hydraulic Resistance, diagram 6-1; r/D from 0.5.
 */
export function bendLoss({
  angle,
  radius,
  bore,
}: {
  readonly angle: number;
  readonly radius: number;
  readonly bore: number;
}): number {
  const ratio = Math.max(0.5, radius / bore);
  return angleShare(angle) * (ratio >= 1 ? 0.21 / Math.sqrt(ratio) : 0.21 / ratio ** 2.5);
}
