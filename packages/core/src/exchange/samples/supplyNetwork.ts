import type { ElectricCircuit, ElectricElement } from '../../electrics/index.ts';
import { seededUniform } from '../../numerics/index.ts';

/**
 * A network as vehicles have them, of so many nodes: a battery, a tree of feeds, loads to ground, a
 * few rings; `bent`: among the loads are diodes and such as take the same power. By a seed.
 */
export function supplyNetwork(seed: number, size: number, bent: boolean): ElectricCircuit {
  const resistor = (id: string, from: string, to: string, resistance: number): ElectricElement => ({
    kind: 'resistor',
    id,
    from,
    to,
    resistance,
  });
  const uniform = seededUniform(seed);
  const pick = (below: number): number => Math.floor(uniform() * below);
  const elements: ElectricElement[] = [
    {
      kind: 'source',
      id: 'battery',
      from: '0',
      to: 'n0',
      voltage: 12 + 2 * uniform(),
      resistance: 0.01 * uniform(),
    },
  ];
  for (let i = 1; i < size; i++) {
    elements.push(resistor(`w${i}`, `n${pick(i)}`, `n${i}`, 10 ** (-3 + 2.5 * uniform())));
  }
  for (let i = 0; i < size; i++) {
    const from = `n${pick(size)}`;
    const kind = pick(bent ? 4 : 2);
    if (kind === 0) elements.push(resistor(`l${i}`, from, '0', 5 + 500 * uniform()));
    else if (kind === 1)
      elements.push({ kind: 'current', id: `l${i}`, from, to: '0', current: 0.1 * uniform() });
    else if (kind === 2) {
      const [power, ratedVoltage] = [uniform(), 12];
      elements.push({ kind: 'power', id: `l${i}`, from, to: '0', power, ratedVoltage });
    } else {
      elements.push(
        { kind: 'diode', id: `d${i}`, from, to: `x${i}`, saturation: 1e-12, emission: 1.5 },
        resistor(`l${i}`, `x${i}`, '0', 20 + 200 * uniform()),
      );
    }
  }
  for (let i = 0; i < size / 5; i++) {
    const [a, b] = [pick(size), pick(size)];
    if (a !== b) elements.push(resistor(`ring${i}`, `n${a}`, `n${b}`, 0.05 + uniform()));
  }
  return { ground: '0', elements };
}
