import { interpolateClamped } from '../numerics/index.ts';

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

/** Factor on the E0 pressure at 37.8 °C for an ethanol share by volume; an estimate. */
export function blendVapourFactor(ethanolShare: number, reidPa: number): number {
  const pure =
    ethanolVapourPressure(REID_TEMPERATURE) / petrolVapourPressure(REID_TEMPERATURE, reidPa);
  return interpolateClamped([...blendShares, 1], [...blendFactors, pure], ethanolShare);
}

/** Petrol-ethanol blend, absolute Pa; temperature ratio mixed by mass fraction (estimate). */
export function blendVapourPressure(input: {
  temperature: number;
  reidVapourPressure: number;
  ethanolShare: number;
  ethanolMassFraction: number;
}): number {
  const atReid = petrolVapourPressure(REID_TEMPERATURE, input.reidVapourPressure);
  const petrolRatio = petrolVapourPressure(input.temperature, input.reidVapourPressure) / atReid;
  const ethanolRatio =
    ethanolVapourPressure(input.temperature) / ethanolVapourPressure(REID_TEMPERATURE);
  const w = input.ethanolMassFraction;
  return (
    atReid *
    blendVapourFactor(input.ethanolShare, input.reidVapourPressure) *
    ((1 - w) * petrolRatio + w * ethanolRatio)
  );
}
