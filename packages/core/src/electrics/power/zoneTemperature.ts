import type { Zone } from '../../model/index.ts';

const fixed: Partial<Record<Zone, number>> = {
  // parked in the sun
  cabin: 60,
  'engine-bay': 85,
  'near-exhaust': 105,
};

/** Ambient K of a zone: cabin 60, engine bay 85, near exhaust 105 °C; elsewhere the hot day. */
export function zoneTemperature(zone: Zone, ambientHot: number): number {
  const celsius = fixed[zone];
  return celsius === undefined ? ambientHot : Math.max(ambientHot, celsius + 273.15);
}
