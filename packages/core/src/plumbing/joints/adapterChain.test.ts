import { describe, expect, test } from 'vitest';
import {
  type FittingItem,
  type PortCode,
  mate,
  newestOf,
  portCodes,
  portTypes,
} from '../../catalogue/index.ts';
import { sampleCatalogue } from '../../exchange/index.ts';
import { adapterChain, offeredBy } from './adapterChain.ts';

const adapters = newestOf(sampleCatalogue, 'fitting').filter(({ form }) => form === 'adapter');
const priceOf = (chain: readonly FittingItem[]): number =>
  chain.reduce((sum, { price }) => sum + price, 0);

/** Every chain of up to three adapters, walked without any order or memory. */
function allChains(port: PortCode, end: PortCode): FittingItem[][] {
  const found: FittingItem[][] = [];
  const walk = (offered: PortCode, chain: FittingItem[]): void => {
    if (mate(offered, end)) found.push(chain);
    if (chain.length === 3) return;
    for (const adapter of adapters) {
      const { firstPort, secondPort } = adapter;
      if (firstPort === 'none' || secondPort === 'none') continue;
      if (mate(offered, firstPort)) walk(secondPort, [...chain, adapter]);
      if (mate(offered, secondPort)) walk(firstPort, [...chain, adapter]);
    }
  };
  walk(port, []);
  return found;
}

describe('ports', () => {
  test('mate with one port each, which mates back; barbs with none', () => {
    for (const code of portCodes) {
      const fitting = portCodes.filter((other) => mate(code, other));
      expect(fitting).toHaveLength(portTypes.get(code)!.kind === 'barb' ? 0 : 1);
      for (const other of fitting) expect(mate(other, code)).toBe(true);
    }
  });

  test('of 37° and 45° flares never go together, nor do straight and taper threads', () => {
    expect(mate('flare-6-male', 'flare-6-female')).toBe(true);
    expect(mate('flare-6-male', 'flare-45-6-female')).toBe(false);
    expect(mate('boss-6-female', 'taper-6-male')).toBe(false);
    expect(mate('flare-6-male', 'flare-8-female')).toBe(false);
    expect(mate('flare-6-male', 'flare-6-male')).toBe(false);
  });
});

describe('adapters between two ports', () => {
  const ends = portCodes.filter((code) => /^flare-\d+-female$/.test(code));
  const parts = portCodes.filter((code) => /^(boss|metric|flare|quick|taper)-/.test(code));

  test('are the fewest, then the cheapest, of all chains there are', () => {
    let joined = 0;
    for (const port of parts) {
      for (const end of ends) {
        const chain = adapterChain(port, end, adapters);
        const all = allChains(port, end);
        expect(chain !== undefined, `${port} to ${end}`).toBe(all.length > 0);
        if (!chain) continue;
        joined += 1;
        const fewest = Math.min(...all.map((each) => each.length));
        const short = all.filter((each) => each.length === fewest);
        expect(chain).toHaveLength(fewest);
        expect(priceOf(chain)).toBeCloseTo(Math.min(...short.map(priceOf)), 9);
        expect(mate(offeredBy(port, chain)!, end)).toBe(true);
      }
    }
    expect(joined).toBeGreaterThan(100);
  });

  test('are none where the two mate, and undefined where nothing leads across', () => {
    expect(adapterChain('flare-6-male', 'flare-6-female', adapters)).toEqual([]);
    expect(adapterChain('flare-45-6-male', 'flare-6-female', adapters)).toBeUndefined();
    expect(adapterChain('boss-6-female', 'flare-6-female', [])).toBeUndefined();
  });

  test('screwed onto what they do not fit offer nothing', () => {
    const into = adapters.find(({ id }) => id === 'AB6')!;
    expect(offeredBy('boss-6-female', [into])).toBe('flare-6-male');
    expect(offeredBy('boss-8-female', [into])).toBeUndefined();
    expect(offeredBy('boss-6-female', [])).toBe('boss-6-female');
  });
});
