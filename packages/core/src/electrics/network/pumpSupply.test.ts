import { describe, expect, test } from 'vitest';
import { createEvaluator } from '../../evaluation/index.ts';
import { demoBuilds, kittiwake, lantern, sampleCatalogue } from '../../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../../model/index.ts';
import { electricsFigure, feedScope } from '../figureNames.ts';
import { type SizedPumpFeed, groupsOf, wiresOf } from './pumpSupply.ts';
import { evaluated } from '../../tests/evaluated.ts';

const feedsOf = (document: BuildDocument): readonly SizedPumpFeed[] => evaluated(document).feeds;
const valueOf = (document: BuildDocument, key: string): number =>
  evaluated(document).results.find((r) => r.key === key)!.value;
const feedOf = (document: BuildDocument, pump: string): SizedPumpFeed =>
  feedsOf(document).find((f) => f.feed.elementId === pump)!;

/** Copper at a temperature K, with what the joints of the trade add: reckoned anew. */
const copper = (perMetre: number, kelvin: number, length: number): number =>
  perMetre * (1 + 0.00393 * (kelvin - 293.15)) * length;
const added = { plug: 5e-3, holder: 0, lug: 0.1e-3, splice: 0 } as const;

/** Ω from a pump's ground into what it is bolted to, where nobody measured it. */
const PUMP_GROUND = 0.5e-3;

const lengthsOf = (feed: SizedPumpFeed): Map<string, number> =>
  new Map(wiresOf([feed]).map((w) => [w.wire.id, w.task.length]));

describe.each(demoBuilds.map((d) => [d.id, d.document] as const))(
  'the feeds of %s',
  (_id, build) => {
    const { feeds, electrics } = evaluated(build);

    test('have one group each for pump and trigger, and share the wires before the stud', () => {
      for (const feed of feeds) {
        expect(feed.branch.length).toBeGreaterThan(0);
        expect(feed.coil.length).toBeGreaterThan(0);
        expect(new Set(groupsOf(feed)).size).toBe(groupsOf(feed).length);
        expect(feed.main).toBe(feeds[0]!.main);
        expect(feed.pumpGroup.wires.length).toBeGreaterThanOrEqual(3);
      }
      const ids = wiresOf(feeds).map((w) => w.wire.id);
      expect(new Set(ids).size).toBe(ids.length);
    });

    test('lose from battery to pump and back what wire, fuses, relay and joints lose', () => {
      const all = feeds.reduce(
        (sum, f) => sum + Math.max(...f.pump.curves.flatMap((c) => c.points.map((p) => p.current))),
        0,
      );
      /** Contacts of connectors between two of the wires. */
      const contactsPassed = (wires: SizedPumpFeed['main']['wires']) => {
        const nodes = new Set(wires.flatMap(({ wire }) => [wire.from.node, wire.to.node]));
        return electrics.netlist.parts
          .filter(({ role }) => role === 'connector')
          .flatMap(({ inside }) => inside)
          .filter(({ from, to }) => nodes.has(from) && nodes.has(to))
          .reduce((sum, each) => sum + (each.kind === 'contact' ? each.resistance : 0), 0);
      };
      for (const feed of feeds) {
        const own = Math.max(...feed.pump.curves.flatMap((c) => c.points.map((p) => p.current)));
        const resistance = (wires: SizedPumpFeed['main']['wires']) =>
          wires.reduce(
            (sum, w) =>
              sum +
              copper(w.size.resistancePerMetre, w.temperature, w.task.length) +
              [w.wire.from, w.wire.to].reduce(
                (joints, end) => joints + 1e-9 / w.size.area + added[end.joint],
                0,
              ),
            0,
          );
        // The negative cable and the battery’s own ground, where the build has them.
        const back = electrics.wires.filter(({ wire }) => wire.id === 'battery~−');
        const ground = back.length > 0 ? 0.5e-3 : 0;
        const shared =
          resistance(feed.main.wires) + 0.1 / feed.mainFuse.rating + resistance(back) + ground;
        // The pumps that share its ground lose in it together.
        const groundOf = (each: SizedPumpFeed) =>
          each.pumpGroup.wires.find(({ wire }) => wire.role === 'ground')?.wire.to.node;
        const beside = feeds
          .filter((other) => groundOf(other) === groundOf(feed))
          .reduce(
            (sum, f) =>
              sum + Math.max(...f.pump.curves.flatMap((c) => c.points.map((p) => p.current))),
            0,
          );
        const alone =
          resistance([...feed.branch, ...feed.back].flatMap(({ wires }) => wires)) +
          resistance(feed.pumpGroup.wires) +
          0.1 / feed.fuse!.fuse.rating +
          feed.relay!.contactResistance +
          contactsPassed(feed.pumpGroup.wires);
        expect(feed.seriesResistance).toBeCloseTo(
          alone + (all / own) * shared + (beside / own) * PUMP_GROUND,
          9,
        );
      }
    });

    test('carry their load in every wire, at no more than its class less 10 K', () => {
      for (const sized of wiresOf(feeds)) {
        expect(sized.temperature).toBeGreaterThanOrEqual(sized.task.ambient);
        if (sized.criteria.some((c) => c.name === 'current' && c.verdict === 'fails')) continue;
        expect(sized.temperature).toBeLessThanOrEqual(sized.size.insulationClass - 10 + 1e-6);
        if (sized.task.forSeconds !== undefined || !sized.task.protection) continue;
        expect(sized.ampacity).toBeGreaterThanOrEqual(sized.task.protection.rating);
      }
    });

    test('lose in a group what its wires lose', () => {
      for (const group of feeds.flatMap(groupsOf)) {
        const drop = group.wires.reduce((sum, w) => sum + w.task.load * w.resistance, 0);
        expect(group.drop).toBeCloseTo(drop, 12);
        for (const { size, fails } of group.candidates) {
          const chosen = group.wires[0];
          if (!chosen || chosen.chosenByHand || size.id !== chosen.size.id) continue;
          const failing = new Set(
            group.wires.flatMap((w) =>
              w.criteria.filter((c) => c.verdict === 'fails').map((c) => c.name),
            ),
          );
          expect(new Set(fails)).toEqual(failing);
        }
      }
    });

    test('draw through the coil what its resistance lets through', () => {
      feeds.forEach((feed, i) => {
        const volts = build.limits.voltageRunning.value;
        expect(feed.coilCurrent).toBeCloseTo(volts / feed.relay!.coilResistance, 12);
        const { key } = electricsFigure('relay.coilCurrent', feedScope(i, feed.feed.id));
        expect(valueOf(build, key)).toBeCloseTo(feed.coilCurrent, 12);
      });
    });

    test('do not ask what the pumps draw where they work: another fuel changes no wire', () => {
      const fuel = Object.keys(build.fuels)[0]!;
      expect(build.fuels[fuel]!.kind).toBe('petrol-ethanol');
      const other = withValueAt(build, ['fuels', fuel, 'ethanol'], { value: 0.33, unit: '%' });
      expect(feedsOf(other).map((f) => f.seriesResistance)).toEqual(
        feeds.map((f) => f.seriesResistance),
      );
    });
  },
);

describe('what pumps share before the stud', () => {
  test('counts for each in the measure of what the others draw', () => {
    const feeds = feedsOf(kittiwake);
    expect(feeds.length).toBeGreaterThan(1);
    const alone = feedsOf({
      ...kittiwake,
      devices: Object.fromEntries(
        Object.entries(kittiwake.devices).filter(
          ([id, { part }]) => part.kind !== 'pump' || id === feeds[0]!.feed.id,
        ),
      ),
    })[0]!;
    const among = feeds.find((f) => f.feed.id === alone.feed.id)!;
    expect(among.seriesResistance).toBeGreaterThan(alone.seriesResistance);
  });

  test('is the same whichever feed comes first', () => {
    const turned = {
      ...kittiwake,
      devices: Object.fromEntries(
        Object.entries(kittiwake.devices).map(([id, device]) => [
          id,
          device.part.kind === 'pump' ? { ...device, order: -device.order } : device,
        ]),
      ),
    };
    expect(feedsOf(turned).map((f) => f.feed.id)).toEqual(
      feedsOf(kittiwake)
        .map((f) => f.feed.id)
        .reverse(),
    );
    for (const feed of feedsOf(kittiwake)) {
      const there = feedOf(turned, feed.feed.elementId);
      expect(there.seriesResistance).toBeCloseTo(feed.seriesResistance, 12);
      expect(
        wiresOf([there])
          .map((w) => w.wire.id)
          .sort(),
      ).toEqual(
        wiresOf([feed])
          .map((w) => w.wire.id)
          .sort(),
      );
    }
  });
});

describe('a wire', () => {
  const feed = feedOf(lantern, 'pump');
  const supply = feed.pumpGroup.wires[0]!;
  const decided = (length: number): BuildDocument =>
    withValueAt(lantern, 'power.wireDecisions', {
      [supply.wire.id]: {
        size: { id: supply.size.id, revision: supply.size.revision },
        length: { typed: null, measured: { value: length, unit: 'm' } },
      },
    });

  test('that was measured longer resists more, by just its own resistance', () => {
    const [short, long] = [feedOf(decided(1), 'pump'), feedOf(decided(3), 'pump')];
    const lengths = lengthsOf(long);
    expect(lengths.get(supply.wire.id)).toBe(3);
    const wireIn = (of: SizedPumpFeed) => wiresOf([of]).find((w) => w.wire.id === supply.wire.id)!;
    expect(wireIn(long).resistance / wireIn(short).resistance).toBeCloseTo(3, 9);
  });

  test('is told by its drop as soon as the limit is below it', () => {
    const drop = feed.pumpGroup.drop;
    const id = `wire.voltage-drop:${supply.wire.id}`;
    const build = (volt: number) =>
      withValueAt(decided(lengthsOf(feed).get(supply.wire.id)!), 'limits.pumpFeedDrop', {
        value: volt,
        unit: 'V',
      });
    const evaluator = createEvaluator();
    const told = (volt: number) =>
      evaluator
        .evaluate(build(volt), sampleCatalogue)
        .findings.filter((f) => f.rule === 'wire.size' && f.id === id);
    expect(told(Math.min(3, 4 * drop))).toEqual([]);
    const sizes = feedsOf(build(0.05))[0]!.pumpGroup;
    if (sizes.drop > 0.05) expect(told(0.05)[0]!.measured!.value).toBeCloseTo(sizes.drop, 12);
    else expect(told(0.05)).toEqual([]);
  });

  test('in a hotter place runs hotter and may carry less', () => {
    const hot = withValueAt(lantern, 'brief.ambientHot', { value: 323.15, unit: '°C' });
    const there = wiresOf(feedsOf(hot));
    for (const here of wiresOf(feedsOf(lantern))) {
      const same = there.find((w) => w.wire.id === here.wire.id)!;
      expect(same.task.ambient).toBeGreaterThanOrEqual(here.task.ambient);
      if (same.size.id !== here.size.id) continue;
      expect(same.temperature).toBeGreaterThanOrEqual(here.temperature);
      expect(same.ampacity).toBeLessThanOrEqual(here.ampacity + 1e-9);
    }
  });
});
