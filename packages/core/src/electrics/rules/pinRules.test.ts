import { expect, test } from 'vitest';
import { lantern } from '../../index.ts';
import { evaluated } from '../../tests/evaluated.ts';

test('outputs that lack many times over are told once', () => {
  const relay = lantern.devices['fan-2-relay']!;
  const more = Object.fromEntries(
    ['a', 'b', 'c'].map((each, index) => [
      `relay-${each}`,
      { ...relay, name: `Relay ${each}`, order: 90_000 + index },
    ]),
  );
  const crowded = { ...lantern, devices: { ...lantern.devices, ...more } };
  const ids = evaluated(crowded).findings.map(({ id }) => id);
  expect(ids.filter((id) => id === 'pin.too-few:ecu/high-side')).toHaveLength(1);
  expect(new Set(ids).size).toBe(ids.length);
});
