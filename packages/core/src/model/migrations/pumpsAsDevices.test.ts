import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { pumpFeedsOf } from '../../electrics/index.ts';
import { createEvaluator, referenceProblems } from '../../evaluation/index.ts';
import { sampleCatalogue } from '../../exchange/index.ts';
import { readBuild } from '../build.ts';
import type { BuildDocument } from '../document.ts';
import { storedDocument } from '../migrateDocument.ts';
import { withValueAt } from '../path.ts';
import { type Plain, plain } from './plain.ts';

const evaluator = createEvaluator();

/** A build as version 10 wrote it. */
const versionTen = (name: 'lantern' | 'kittiwake'): Plain => {
  const file = new URL(`../../../src/tests/versionTen/${name}.json`, import.meta.url);
  return JSON.parse(readFileSync(file, 'utf8')) as Plain;
};
const feedsOfTen = (document: Plain): Readonly<Record<string, Plain>> =>
  plain(plain(document['power'])['pumpFeeds']) as Readonly<Record<string, Plain>>;
const device = (document: BuildDocument, id: string | undefined) => document.devices[id ?? '']!;

describe.each(['lantern', 'kittiwake'] as const)(
  'the pumps of %s, as version 10 had them',
  (name) => {
    const ten = versionTen(name);
    const lifted = storedDocument(ten);

    test('refer to nothing that is not there, and have no feeds beside their devices', () => {
      expect(ten['version']).toBe(10);
      expect(referenceProblems(lifted, sampleCatalogue)).toEqual([]);
      expect(lifted.power).not.toHaveProperty('pumpFeeds');
    });

    test('are fed by the parts that they had, at the places where these were', () => {
      const feeds = pumpFeedsOf(readBuild(lifted));
      const old = Object.values(feedsOfTen(ten));
      expect(feeds.map(({ elementId }) => elementId).sort()).toEqual(
        old.map((feed) => feed['elementId']).sort(),
      );
      for (const feed of feeds) {
        const before = old.find(({ elementId }) => elementId === feed.elementId)!;
        const fuse = device(lifted, feed.fuseId);
        const relay = device(lifted, feed.relayId);
        const pump = device(lifted, feed.id);
        const cutOff = device(lifted, feed.cutOffId);
        expect(fuse.part).toEqual({ kind: 'fuse', item: before['fuse'] });
        expect(relay.part).toEqual({ kind: 'relay', item: before['relay'] });
        expect(fuse.placementId).toBe(before['fusePlacementId']);
        expect(relay.placementId).toBe(before['relayPlacementId']);
        expect(pump.placementId).toBe(before['pumpPlacementId']);
        expect(cutOff.placementId).toBe(before['inertiaPlacementId']);
        expect(feed.trigger).toBe(before['trigger']);
        expect(feed.triggerPin).toBe(before['triggerPin']);
        const ground = pump.connections['−'];
        expect(ground?.to === 'ground' && lifted.grounds[ground.groundId]?.placementId).toBe(
          before['groundPlacementId'],
        );
      }
    });

    test('are all supplied, and each wire ends at the two parts that it joined', () => {
      const { feeds, electrics } = evaluator.evaluate(lifted, sampleCatalogue);
      expect(feeds).toHaveLength(Object.keys(feedsOfTen(ten)).length);
      for (const feed of feeds) {
        expect(feed.seriesResistance).toBeGreaterThan(0);
        const supply = electrics.wires.find(({ wire }) => wire.id === `${feed.feed.id}~+`)!;
        expect(supply.wire.from.node).toBe(`${feed.feed.relayId}:87`);
      }
    });
  },
);

describe('what was said of a feed of version 10', () => {
  const decided = { size: { id: 'W4', revision: 1 }, length: { typed: null, measured: null } };
  const accepted = { title: 't', reason: 'r', author: 'M', time: 'x', measured: 1 };
  const withPower = (more: Plain): Plain => {
    const ten = versionTen('lantern');
    return { ...ten, power: { ...plain(ten['power']), ...more } };
  };

  test.each([
    ['power-stud~pump-feed-fuse', 'pump-feed-fuse~in'],
    ['pump-feed-fuse~pump-feed-relay-30', 'pump-feed-relay~30'],
    ['pump-feed-relay-87~pump-+', 'pump~+'],
    ['pump-−~pump-feed-ground', 'pump~−'],
    ['keyed-feed~inertia-switch', 'inertia-switch~in'],
    ['inertia-switch~pump-feed-relay-86', 'pump-feed-relay~86'],
    ['pump-feed-relay-85~ECU-B07', 'pump-feed-relay~85'],
    ['battery-+~main-fuse', 'battery-+~main-fuse'],
    ['coolant~1', 'coolant~1'],
  ])('a decision about the wire %s is one about %s', (old, now) => {
    const lifted = storedDocument(withPower({ wireDecisions: { [old]: decided } }));
    expect(lifted.power.wireDecisions).toEqual({ [now]: decided });
    const { electrics } = evaluator.evaluate(lifted, sampleCatalogue);
    const wire = electrics.wires.find((each) => each.wire.id === now)!;
    expect(wire.chosenByHand).toBe(true);
    expect(wire.size.id).toBe('W4');
  });

  test('an accepted finding stays accepted under the pump’s name', () => {
    const lifted = storedDocument({
      ...versionTen('lantern'),
      acceptances: {
        'fuse.load:pump-feed': accepted,
        'wire.voltage-drop:pump-feed-relay-87~pump-+': accepted,
        'suction.head:pump': accepted,
      },
    });
    expect(Object.keys(lifted.acceptances)).toEqual([
      'fuse.load:pump',
      'wire.voltage-drop:pump~+',
      'suction.head:pump',
    ]);
  });

  test('a decision between relays is one about the relay; one about what is gone goes', () => {
    const ten = versionTen('lantern');
    const option = (path: readonly string[], value: unknown) => ({
      order: 1000,
      name: 'Relay',
      chosen: 'a',
      alternatives: {
        a: { order: 1000, name: 'a', reason: '', values: { [path.join('/')]: { path, value } } },
      },
    });
    const relay = { id: 'RL70', revision: 1 };
    const lifted = storedDocument({
      ...ten,
      options: {
        relay: option(['power', 'pumpFeeds', 'pump-feed', 'relay'], relay),
        trigger: option(['power', 'pumpFeeds', 'pump-feed', 'trigger'], 'low-side'),
      },
    });
    expect(Object.keys(lifted.options)).toEqual(['relay']);
    const path = ['devices', 'pump-feed-relay', 'part', 'item'];
    expect(lifted.options['relay']!.alternatives['a']!.values).toEqual({
      [path.join('/')]: { path, value: relay },
    });
    expect(() => withValueAt(lifted, path, relay)).not.toThrow();
  });

  test('a coil that was fed by the ECU still is, its switch in the way to ground', () => {
    const ten = versionTen('lantern');
    const feed = feedsOfTen(ten)['pump-feed']!;
    const lifted = storedDocument(
      withPower({ pumpFeeds: { 'pump-feed': { ...feed, trigger: 'high-side' } } }),
    );
    expect(pumpFeedsOf(readBuild(lifted))).toMatchObject([
      { trigger: 'high-side', cutOffId: 'inertia-switch', controllerId: 'ecu' },
    ]);
    expect(lifted.devices['inertia-switch']!.connections).toEqual({
      out: { to: 'ground', groundId: 'pump-feed-ground' },
    });
    expect(referenceProblems(lifted, sampleCatalogue)).toEqual([]);
  });

  test('ids that are taken or too long become others', () => {
    const ten = versionTen('lantern');
    const feed = feedsOfTen(ten)['pump-feed']!;
    const long = 'a-pump-feed-with-a-name-of-forty-letters';
    const taken = plain(plain(ten['devices'])['coolant']);
    const lifted = storedDocument({
      ...withPower({ pumpFeeds: { [long]: feed } }),
      devices: { [`${long.slice(0, 40)}`]: taken, 'inertia-switch': taken },
      grounds: ten['grounds'],
    });
    expect(Object.keys(lifted.devices).every((id) => id.length <= 40)).toBe(true);
    expect(Object.keys(lifted.devices)).toHaveLength(6);
    expect(lifted.devices['inertia-switch-2']?.part).toEqual({ kind: 'cut-off' });
    const [only] = pumpFeedsOf(readBuild(lifted));
    expect(only).toMatchObject({ elementId: 'pump', cutOffId: 'inertia-switch-2' });
    expect(device(lifted, only?.relayId).part.kind).toBe('relay');
  });
});
