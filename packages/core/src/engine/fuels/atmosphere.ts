/** Ambient pressure Pa at an altitude m up to 11 km; ISO 2533 standard atmosphere. */
export function ambientPressure(altitude: number): number {
  return 101325 * (1 - (0.0065 * altitude) / 288.15) ** (9.80665 / (0.0065 * 287.05287));
}
