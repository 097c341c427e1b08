import { findRoot, interpolateClamped } from '../../numerics/index.ts';

const KELVIN = 273.15;
const PSI = 6894.757293168361;
const MMHG = 133.322;
/** Temperature at which Reid vapour pressure is measured, K (37.8 °C). */
export const REID_TEMPERATURE = KELVIN + 37.8;

/** Ethanol, absolute Pa at kelvin; Antoine equation. */
export function ethanolVapourPressure(temperatureK: number): number {
  return MMHG * 10 ** (8.20417 - 1642.89 / (temperatureK - KELVIN + 230.3));
}

/** Methanol, absolute Pa at kelvin; Antoine equation. */
export function methanolVapourPressure(temperatureK: number): number {
  return MMHG * 10 ** (8.08097 - 1582.271 / (temperatureK - KELVIN + 239.726));
}

/**
 * Refined petroleum stock of Reid value `reidPa` (Pa), absolute Pa at kelvin; EPA AP-42
 * chapter 7.1 with slope S = 3.
 */
export function petrolVapourPressure(temperatureK: number, reidPa: number): number {
  const fahrenheit = (temperatureK - KELVIN) * 1.8 + 32 + 459.6;
  const logReid = Math.log10(reidPa / PSI);
  const rootS = Math.sqrt(3);
  const ln =
    (0.7553 - 413 / fahrenheit) * rootS * logReid -
    (1.854 - 1042 / fahrenheit) * rootS +
    (2416 / fahrenheit - 2.013) * logReid -
    8742 / fahrenheit +
    15.64;
  return Math.exp(ln) * PSI;
}

const blendShares = [0, 0.05, 0.1, 0.2, 0.3, 0.5, 0.85];
const blendFactors = [1, 1.11, 1.12, 1.1, 1.07, 0.97, 0.63];

/**
 * Factor of an ethanol share by volume on the E0 pressure at 37.8 °C, `petrolReid` (Pa) being the
 * Reid value of the petrol in it; an estimate.
 */
export function blendVapourFactor(ethanolShare: number, petrolReid: number): number {
  const pure =
    ethanolVapourPressure(REID_TEMPERATURE) / petrolVapourPressure(REID_TEMPERATURE, petrolReid);
  return interpolateClamped([...blendShares, 1], [...blendFactors, pure], ethanolShare);
}

/** Reid value Pa of a blend as it is sold, from that of the petrol in it. */
export const reidOfBlend = (ethanolShare: number, petrolReid: number): number =>
  petrolReid * blendVapourFactor(ethanolShare, petrolReid);

/** Reid values Pa between which the petrol of a blend is looked for. */
const PETROL_REID = { low: 2e3, high: 300e3 };

/**
 * Reid value Pa of the petrol in a blend whose own, as it is sold, is `reid` Pa. In next to pure
 * ethanol the petrol hardly tells: kept between 2 and 300 kPa.
 */
export function petrolReidOf(reid: number, ethanolShare: number): number {
  const { low, high } = PETROL_REID;
  if (reidOfBlend(ethanolShare, high) <= reid) return high;
  if (reidOfBlend(ethanolShare, low) >= reid) return low;
  return findRoot({ low, high, of: (petrol) => reidOfBlend(ethanolShare, petrol) - reid });
}

/**
 * Petrol-ethanol blend, absolute Pa at kelvin; the temperature ratio is mixed by mass fraction
 * (an estimate). `petrolReid` Pa belongs to the petrol in it.
 */
export function blendVapourPressure(input: {
  temperature: number;
  petrolReid: number;
  ethanolShare: number;
  ethanolMassFraction: number;
}): number {
  const atReid = petrolVapourPressure(REID_TEMPERATURE, input.petrolReid);
  const petrolRatio = petrolVapourPressure(input.temperature, input.petrolReid) / atReid;
  const ethanolRatio =
    ethanolVapourPressure(input.temperature) / ethanolVapourPressure(REID_TEMPERATURE);
  const w = input.ethanolMassFraction;
  return (
    atReid *
    blendVapourFactor(input.ethanolShare, input.petrolReid) *
    ((1 - w) * petrolRatio + w * ethanolRatio)
  );
}
