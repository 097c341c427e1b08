import { describe, expect, test } from 'vitest';
import { applyCommand, referenceProblems } from '../../evaluation/index.ts';
import { kittiwake, lantern, sampleCatalogue } from '../../exchange/index.ts';
import { type BuildDocument, readBuild } from '../../model/index.ts';
import { pumpFeedsOf } from '../feeds/pumpFeed.ts';
import { evaluated } from '../../tests/evaluated.ts';

type Side = 'low-side' | 'high-side';
const wire = (document: BuildDocument, pumpId: string, side: Side, cutOff: boolean) =>
  applyCommand(document, { name: 'wire-pump-coil', pumpId, side, cutOff });
const feedIn = (document: BuildDocument, id: string) =>
  pumpFeedsOf(readBuild(document)).find((feed) => feed.id === id)!;

describe('wiring the coil of a pump’s relay', () => {
  test.each<[Side, boolean]>([
    ['low-side', true],
    ['low-side', false],
    ['high-side', true],
    ['high-side', false],
  ])('%s, inertia switch %s, is what the feed then reads, and nothing dangles', (side, cutOff) => {
    const { document } = wire(lantern, 'pump', side, cutOff);
    const feed = feedIn(document, 'pump');
    expect(feed.trigger).toBe(side);
    expect(feed.cutOffId !== undefined).toBe(cutOff);
    expect(document.devices['inertia-switch'] !== undefined).toBe(cutOff);
    expect(referenceProblems(document, sampleCatalogue)).toEqual([]);
    const { feeds, electrics } = evaluated(document);
    // The coil draws what its resistance lets through, from a feed to a way back.
    expect(feeds[0]!.coil.length).toBeGreaterThan(0);
    expect(electrics.voltages.some(({ partId }) => partId === feed.relayId)).toBe(true);
  });

  test('there and back is where it was', () => {
    const high = wire(lantern, 'pump', 'high-side', true).document;
    const back = wire(high, 'pump', 'low-side', true).document;
    expect(back.devices).toEqual(lantern.devices);
  });

  test('a switch that other pumps hang on stays theirs', () => {
    const { document } = wire(kittiwake, 'pump-2', 'high-side', true);
    expect(feedIn(document, 'pump').cutOffId).toBe('inertia-switch');
    expect(feedIn(document, 'methanol-pump').cutOffId).toBe('inertia-switch');
    expect(document.devices['inertia-switch']).toEqual(kittiwake.devices['inertia-switch']);
    const own = feedIn(document, 'pump-2').cutOffId;
    expect(own).toBe('inertia-switch-2');
    expect(document.devices[own!]?.connections).toEqual({
      out: { to: 'ground', groundId: 'pump-ground' },
    });
    // On the low side again it shares the switch, and its own goes.
    const again = wire(document, 'pump-2', 'low-side', true).document;
    expect(feedIn(again, 'pump-2').cutOffId).toBe('inertia-switch');
    expect(again.devices['inertia-switch-2']).toBeUndefined();
  });

  test('a pump without a relay has no coil to wire', () => {
    const document: BuildDocument = {
      ...lantern,
      devices: {
        ...lantern.devices,
        pump: {
          ...lantern.devices['pump']!,
          connections: {
            ...lantern.devices['pump']!.connections,
            '+': { to: 'part', partId: 'pump-fuse', pin: 'out' },
          },
        },
      },
    };
    expect(() => wire(document, 'pump', 'low-side', true)).toThrow(/no relay/);
    // It is fed by its fuse all the same, and told that nothing stops it in a crash.
    const { feeds, findings } = evaluated(document);
    expect(feeds[0]).toMatchObject({ feed: { relayId: undefined, fuseId: 'pump-fuse' } });
    expect(findings.map(({ id }) => id)).toContain('pump.inertia-switch:pump');
  });
});
