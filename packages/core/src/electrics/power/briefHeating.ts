/** Copper that keeps all its heat: 226 A/mm² for so much of its temperature in a second. */
const COPPER = 226e6;
/** °C below zero at which the resistance of copper would end. */
const COPPER_ZERO = 234.5 - 273.15;
/** Hottest that is told above ambient, K. */
const MOST = 1500;

interface Brief {
  /** conductor m² */
  readonly area: number;
  /** K at the beginning */
  readonly ambient: number;
  readonly seconds: number;
}

/** Temperature K of a conductor after a current A of some seconds, no heat given off. */
export function temperatureAfter({
  area,
  ambient,
  current,
  seconds,
}: Brief & { readonly current: number }): number {
  const heated = (ambient + COPPER_ZERO) * Math.exp((current / (COPPER * area)) ** 2 * seconds);
  return Math.min(heated - COPPER_ZERO, ambient + MOST);
}

/** Current A that brings a conductor to a limit K in some seconds; 0 where it is there already. */
export function permissibleFor({
  area,
  ambient,
  limit,
  seconds,
}: Brief & { readonly limit: number }): number {
  if (limit <= ambient) return 0;
  return (
    COPPER * area * Math.sqrt(Math.log((limit + COPPER_ZERO) / (ambient + COPPER_ZERO)) / seconds)
  );
}
