const LAMINAR_END = 2300;
const TURBULENT_START = 4000;

/** Darcy friction factor and its slope over Reynolds number. */
export interface FrictionFactor {
  factor: number;
  perReynolds: number;
}

/** Colebrook 1939 solved to machine accuracy; Re from 2300 up. */
function colebrook(reynolds: number, relativeRoughness: number, into: FrictionFactor): void {
  const a = relativeRoughness / 3.7;
  const b = 2.51 / reynolds;
  const k = 2 / Math.LN10;
  // Haaland 1983 gives the start, 1/√f.
  let x = -1.8 * Math.log10((relativeRoughness / 3.7) ** 1.11 + 6.9 / reynolds);
  for (let n = 0; n < 8; n++) {
    const inside = a + b * x;
    const step = (x + k * Math.log(inside)) / (1 + (k * b) / inside);
    x -= step;
    // Each step doubles the digits that are right: after one this small all of them are.
    if (Math.abs(step) < 1e-8 * x) break;
  }
  const inside = a + b * x;
  const xPerReynolds = (k * b * x) / reynolds / inside / (1 + (k * b) / inside);
  into.factor = 1 / (x * x);
  into.perReynolds = (-2 / (x * x * x)) * xPerReynolds;
}

/**
 * Darcy friction factor: 64/Re below Re 2300, Colebrook above 4000, straight in Re between.
 * `reynolds` must be above 0.
 */
export function frictionFactor(
  reynolds: number,
  relativeRoughness: number,
  into: FrictionFactor = { factor: 0, perReynolds: 0 },
): FrictionFactor {
  if (reynolds <= LAMINAR_END) {
    into.factor = 64 / reynolds;
    into.perReynolds = -64 / (reynolds * reynolds);
  } else if (reynolds >= TURBULENT_START) {
    colebrook(reynolds, relativeRoughness, into);
  } else {
    colebrook(TURBULENT_START, relativeRoughness, into);
    const laminar = 64 / LAMINAR_END;
    into.perReynolds = (into.factor - laminar) / (TURBULENT_START - LAMINAR_END);
    into.factor = laminar + into.perReynolds * (reynolds - LAMINAR_END);
  }
  return into;
}
