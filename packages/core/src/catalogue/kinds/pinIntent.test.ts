import { describe, expect, test } from 'vitest';
import { sampleCatalogue } from '../../exchange/index.ts';
import { deviceRoleEntries, deviceRoleOf } from './deviceRoles.ts';
import { capabilities, capabilityOf, pinCapabilities, stampOf } from './pinCapabilities.ts';
import type { PinIntent } from './pinIntent.ts';
import { pinUseEntries, pinUseOf, pinUses } from './pinUses.ts';

const intents: readonly (readonly [string, PinIntent])[] = [
  ...Object.entries(capabilities),
  ...Object.entries(pinUseEntries),
];

describe('what a pin is there for', () => {
  test.each(intents)('%s stands at a voltage, and reaches something if it must', (_, intent) => {
    const [low, high] = intent.voltage;
    expect(low).toBeLessThan(high);
    expect(intent.reach.length).toBeGreaterThan(0);
    if (intent.need === 'required') expect(intent.reach).not.toContain('nothing');
    if (typeof intent.current === 'number') expect(intent.current).toBeGreaterThanOrEqual(0);
  });

  test('reversal damages what carries a supply, not what carries a signal', () => {
    for (const [key, { nature, polarity }] of intents) {
      const feeds = nature === 'supply' || nature === 'reference' || nature === 'ground';
      expect(polarity === 'damaged by reversal', key).toBe(feeds);
    }
  });

  test('a ground stays within 0.3 V, a sensor ground within 0.1 V', () => {
    for (const [key, { nature, voltage }] of intents) {
      if (nature === 'ground' || nature === 'case') expect(voltage, key).toEqual([-0.3, 0.3]);
      if (nature === 'sensor ground') expect(voltage, key).toEqual([-0.1, 0.1]);
    }
  });
});

describe('a capability', () => {
  test.each(pinCapabilities)('%s has the stamp of its nature', (capability) => {
    const { nature, stamp } = capabilityOf(capability);
    const expected = {
      'signal in': ['input', 'pull-up'],
      'output low': ['low side'],
      'output high': ['high side'],
      'output push-pull': ['logic'],
      'output h-bridge': ['half bridge'],
      'output stepper phase': ['half bridge'],
      'bus line': ['bus'],
      reference: ['reference'],
      'sensor ground': ['sensor ground'],
      ground: ['power ground'],
      supply: ['supply', 'constant supply'],
    };
    expect(expected[nature as keyof typeof expected]).toContain(stamp.kind);
  });

  test('has words of its own', () => {
    const words = pinCapabilities.map((each) => capabilityOf(each).words);
    expect(new Set(words).size).toBe(words.length);
    for (const each of words) expect(each).toMatch(/^an? /);
  });

  test('of several gives a pin the stamp that its circuit has', () => {
    expect(stampOf(['low-side', 'high-side']).kind).toBe('high side');
    expect(stampOf(['logic-out', 'low-side']).kind).toBe('low side');
    expect(stampOf(['digital', 'analogue-pull-up']).kind).toBe('pull-up');
    expect(stampOf(['h-bridge', 'pwm']).kind).toBe('low side');
    expect(stampOf([]).kind).toBe('input');
  });
});

describe('the sample catalogue', () => {
  const devices = sampleCatalogue.items.filter((item) => item.category === 'device');
  const controllers = sampleCatalogue.items.filter((item) => item.category === 'ecu');

  test('has no device pin that works beyond what its use says', () => {
    for (const { designation, pins } of devices) {
      for (const { name, use, voltage } of pins) {
        const [low, high] = pinUseOf(use).voltage;
        if (voltage === 0) continue;
        expect(voltage, `${designation} ${name}`).toBeGreaterThanOrEqual(low);
        expect(voltage, `${designation} ${name}`).toBeLessThanOrEqual(high);
      }
    }
  });

  test('has something for every use, and controllers that can do what its devices ask', () => {
    const uses = new Set(devices.flatMap(({ pins }) => pins.map(({ use }) => use)));
    expect(pinUses.filter((use) => !uses.has(use))).toEqual([]);
    const able = new Set(controllers.flatMap(({ pins }) => pins.flatMap((p) => p.capabilities)));
    for (const { designation, pins } of devices) {
      for (const { capability } of pins) {
        if (capability !== 'none') expect(able.has(capability), designation).toBe(true);
      }
    }
  });

  test('has every controller supplied and grounded', () => {
    for (const { designation, pins } of controllers) {
      if (pins.length === 0) continue;
      const natures = pins.flatMap((pin) => pin.capabilities.map((c) => capabilityOf(c).nature));
      expect(natures, designation).toContain('supply');
      expect(natures, designation).toContain('ground');
    }
  });
});

describe('a role', () => {
  const roles = Object.keys(deviceRoleEntries) as (keyof typeof deviceRoleEntries)[];

  test('that breaks a circuit is drawn as a switch, and the other way round', () => {
    for (const role of roles) {
      const { sort, symbol } = deviceRoleOf(role);
      expect(sort === 'switch', role).toBe(symbol === 'switch');
    }
  });

  test('opens in a crash where it is an inertia switch or a tip-over sensor', () => {
    expect(roles.filter((role) => deviceRoleOf(role).opensInCrash)).toEqual([
      'tip-over',
      'inertia switch',
    ]);
  });

  test('has advice on its seat only where something is screwed in', () => {
    const seated = new Set(
      sampleCatalogue.items.flatMap((item) =>
        item.category === 'device' && item.seat !== 'none' ? [item.role] : [],
      ),
    );
    for (const role of roles) {
      if (deviceRoleOf(role).seatAdvice !== '') expect(seated.has(role), role).toBe(true);
    }
  });
});
