import { describe, expect, test } from 'vitest';
import { applyCommand } from '../../evaluation/index.ts';
import { demoBuilds, kittiwake, sampleCatalogue, sandpiper } from '../../exchange/index.ts';
import { type BuildDocument, readBuild, withValueAt } from '../../model/index.ts';
import { finished } from '../../numerics/index.ts';
import { type HarnessProgress, proposeHarness } from './proposeHarness.ts';
import { proposedSplices } from './proposedSplices.ts';
import { evaluated } from '../../tests/evaluated.ts';

function proposed(document: BuildDocument): HarnessProgress {
  const build = readBuild(document);
  const { electrics, map } = evaluated(document);
  const search = proposeHarness({
    electrics,
    harness: build.harness,
    placements: build.placements,
    rootPlacementId: build.power.ecuPlacementId,
    around: map.around,
    mountingLines: build.mountingLines,
    vehicle: build.vehicle,
    catalogue: sampleCatalogue,
  });
  return finished(search);
}

const withHarness = (document: BuildDocument, { best }: HarnessProgress): BuildDocument => ({
  ...document,
  harness: {
    ...document.harness,
    breakouts: best!.breakouts,
    segments: best!.segments,
    splices: {},
  },
});

describe.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
  'a harness proposed for %s',
  (_name, document) => {
    const found = proposed(document);
    const built = withHarness(document, found);
    const { led, results, findings } = evaluated(built);

    test('joins every place at which wires end, as a tree', () => {
      expect(found.best!.unreached).toEqual([]);
      expect(led.unled).toEqual([]);
      expect(led.loops).toEqual([]);
      expect(led.broken).toEqual([]);
    });

    test('says its own distance from the lower bound, and is nowhere below it', () => {
      const ratio = results.find(({ key }) => key === 'harness.lowerBoundRatio')!.value;
      const { wayLength, lowerBound } = found.best!;
      expect(wayLength).toBeGreaterThan(lowerBound);
      expect(ratio).toBeGreaterThan(1);
      expect(wayLength / lowerBound / ratio).toBeGreaterThan(0.85);
      expect(wayLength / lowerBound / ratio).toBeLessThan(1.15);
    });

    test('is the same when it is looked for again', () => {
      expect(proposed(document)).toEqual(found);
    });

    test('runs through nothing but what its ends stand in or behind', () => {
      const stops = findings.filter(
        ({ rule, severity }) => severity === 'stop' && rule.startsWith('segment.'),
      );
      const ends = new Set(['wheel-fl', 'wheel-fr', 'tail']);
      for (const { where } of stops) {
        const id = 'segment' in where ? where.segment : '';
        const { from, to } = built.harness.segments[id ?? '']!;
        const placed = [from, to].some((end) => end.at === 'place' && ends.has(end.placementId));
        expect(placed, id).toBe(true);
      }
      expect(stops.length).toBeLessThanOrEqual(document === kittiwake ? 3 : 0);
    });
  },
);

describe('splices put where copper is least', () => {
  const { led, electrics } = evaluated(sandpiper);
  const { harness } = readBuild(sandpiper);
  const sites = proposedSplices({ led, electrics, harness });
  const withSites = (shift: number): BuildDocument =>
    withValueAt(
      sandpiper,
      'harness.splices',
      Object.fromEntries(
        Object.entries(sites).map(([id, { segmentId, share }]) => [
          id,
          { segmentId, share: { value: Math.min(1, Math.max(0, share + shift)), unit: '%' } },
        ]),
      ),
    );
  const copper = (document: BuildDocument): number => {
    const { electrics: sized } = evaluated(document);
    return sized.wires.reduce((sum, { size, task }) => sum + size.area * task.length, 0);
  };

  test('have every splice of the netlist but those of a bus, and nothing against them', () => {
    const splices = electrics.netlist.parts.filter(({ sort }) => sort === 'splice');
    expect(Object.keys(sites).sort()).toEqual(splices.map(({ id }) => id).sort());
    const rules = evaluated(withSites(0)).findings.map(({ rule }) => rule);
    expect(rules).not.toContain('splice.site');
  });

  test('take less copper than at their plugs, and hardly more than the demo', () => {
    const nowhere = withValueAt(sandpiper, 'harness.splices', {});
    expect(copper(withSites(0))).toBeLessThan(copper(nowhere));
    expect(copper(withSites(0))).toBeLessThan(copper(sandpiper) * 1.02);
  });
});

describe('edits of a harness', () => {
  const length = (document: BuildDocument): number =>
    evaluated(document).led.segments.reduce((sum, segment) => sum + segment.mapLength.value, 0);

  test('a breakout put into a segment parts it where it is, and taken out joins it again', () => {
    const put = applyCommand(sandpiper, {
      name: 'put-breakout',
      segmentId: 'front',
      share: { value: 0.4, unit: '%' },
    }).document;
    const [id] = Object.keys(put.harness.breakouts).filter(
      (b) => !(b in sandpiper.harness.breakouts),
    );
    expect(Object.keys(put.harness.segments)).toHaveLength(
      Object.keys(sandpiper.harness.segments).length + 1,
    );
    expect(length(put)).toBeCloseTo(length(sandpiper), 2);
    expect(evaluated(put).led.unled).toEqual([]);
    const back = applyCommand(put, { name: 'take-breakout-out', breakoutId: id! }).document;
    expect(Object.keys(back.harness.segments).sort()).toEqual(
      Object.keys(sandpiper.harness.segments).sort(),
    );
    expect(length(back)).toBeCloseTo(length(sandpiper), 1);
  });

  test('a breakout put beside splices leaves each of them where it was', () => {
    const put = applyCommand(sandpiper, {
      name: 'put-breakout',
      segmentId: 'over',
      share: { value: 0.4, unit: '%' },
    }).document;
    const far = (document: BuildDocument, spliceId: string): number => {
      const { segmentId, share } = document.harness.splices[spliceId]!;
      const { led } = evaluated(document);
      const segment = led.segments.find((s) => s.id === segmentId)!;
      const before = segmentId === 'over' ? 0 : 0.4 * 0.27;
      return before + share.value * segment.mapLength.value;
    };
    expect(put.harness.splices['splice ecu:A04']!.segmentId).toBe('over');
    expect(put.harness.splices['splice ecu:A06']!.segmentId).not.toBe('over');
    expect(far(put, 'splice ecu:A04')).toBeCloseTo(far(sandpiper, 'splice ecu:A04'), 1);
  });

  test('a breakout taken out leaves the splices of both segments where they were', () => {
    const put = applyCommand(sandpiper, {
      name: 'put-breakout',
      segmentId: 'over',
      share: { value: 0.4, unit: '%' },
    }).document;
    const [id] = Object.keys(put.harness.breakouts).filter(
      (b) => !(b in sandpiper.harness.breakouts),
    );
    const back = applyCommand(put, { name: 'take-breakout-out', breakoutId: id! }).document;
    for (const spliceId of ['splice ecu:A04', 'splice ecu:A06']) {
      const [before, after] = [sandpiper, back].map((d) => d.harness.splices[spliceId]!);
      expect(after!.segmentId).toBe('over');
      expect(after!.share.value, spliceId).toBeCloseTo(before!.share.value, 2);
    }
    expect(back.harness.segments['over']!.loop.value).toBeCloseTo(0.08, 9);
  });

  test('a segment taken out takes its splices along; what is not there is refused', () => {
    const { document } = applyCommand(sandpiper, { name: 'take-segment-out', segmentId: 'over' });
    expect(Object.values(document.harness.splices).map(({ segmentId }) => segmentId)).not.toContain(
      'over',
    );
    expect(() =>
      applyCommand(sandpiper, { name: 'take-segment-out', segmentId: 'nowhere' }),
    ).toThrow(/no segment/);
    expect(() =>
      applyCommand(sandpiper, { name: 'take-breakout-out', breakoutId: 'nowhere' }),
    ).toThrow(/no breakout/);
  });
});
