/** Copper 1.7241e-8 Ω·m at 20 °C. */
const COPPER = 1.7241e-8;
const STRANDING = 1.02;

/** Conductor area m² of an AWG size. */
export function awgArea(gauge: number): number {
  const diameter = 0.127e-3 * 92 ** ((36 - gauge) / 39);
  return (Math.PI / 4) * diameter ** 2;
}

/** Ω/m at 20 °C of an AWG size: solid, or stranded with 2 % more. */
export function awgResistance(gauge: number, build: 'solid' | 'stranded'): number {
  return (COPPER / awgArea(gauge)) * (build === 'stranded' ? STRANDING : 1);
}

/** Greatest resistance at 20 °C by metric size, mΩ/m by mm² (ISO 6722), with thin-wall diameter mm. */
export const metricSizes: readonly {
  readonly area: number;
  readonly milliohmPerMetre: number;
  readonly diameter: number;
}[] = [
  { area: 0.35, milliohmPerMetre: 54.4, diameter: 1.4 },
  { area: 0.5, milliohmPerMetre: 37.1, diameter: 1.6 },
  { area: 0.75, milliohmPerMetre: 24.7, diameter: 1.9 },
  { area: 1, milliohmPerMetre: 18.5, diameter: 2.1 },
  { area: 1.5, milliohmPerMetre: 12.7, diameter: 2.4 },
  { area: 2.5, milliohmPerMetre: 7.6, diameter: 3.0 },
  { area: 4, milliohmPerMetre: 4.71, diameter: 3.7 },
  { area: 6, milliohmPerMetre: 3.14, diameter: 4.3 },
  { area: 10, milliohmPerMetre: 1.82, diameter: 5.9 },
  { area: 16, milliohmPerMetre: 1.16, diameter: 7.2 },
  { area: 25, milliohmPerMetre: 0.743, diameter: 8.7 },
  { area: 35, milliohmPerMetre: 0.527, diameter: 10 },
  { area: 50, milliohmPerMetre: 0.368, diameter: 11.8 },
  { area: 70, milliohmPerMetre: 0.259, diameter: 13.8 },
];
