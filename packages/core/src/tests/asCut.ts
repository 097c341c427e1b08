import { lantern } from '../exchange/index.ts';

/** A line of Lantern as it was cut, of the hose and with the ends that it has. */
export function asCut(of: 'feed' | 'return', cut: number, clocking: number | null = null) {
  const line = lantern.fuelCircuits['main']?.elements[of];
  return {
    cut: { value: cut / 1e3, unit: 'mm' },
    clocking: clocking === null ? null : { value: (clocking * Math.PI) / 180, unit: '°' },
    hose: line?.kind === 'line' ? line.item : null,
    from: lantern.assemblies[of]?.from.item ?? null,
    to: lantern.assemblies[of]?.to.item ?? null,
  };
}
