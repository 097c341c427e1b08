import { describe, expect, test } from 'vitest';
import { applyCommand, createEvaluator } from '../../evaluation/index.ts';
import { demoBuilds, sampleCatalogue, sandpiper } from '../../exchange/index.ts';
import { type BuildCommand, type BuildDocument, applyPatch } from '../../model/index.ts';

const evaluator = createEvaluator();
/** Figures of a build by their keys. */
const figuresOf = (document: BuildDocument): ReadonlyMap<string, number> =>
  new Map(evaluator.evaluate(document, sampleCatalogue).results.map((r) => [r.key, r.value]));
/** How long the way of a segment is on the map, m. */
const wayOf = (document: BuildDocument, segmentId: string): number =>
  figuresOf(document).get(`segment.${segmentId}.mapLength`)!;
const share = (value: number) => ({ value, unit: '%' });

const segments = demoBuilds.flatMap(({ document }) =>
  Object.keys(document.harness.segments)
    .slice(0, 12)
    .map((id) => [document.name, id, document] as const),
);

describe('a breakout that is put into a segment', () => {
  test.each(segments)('of %s, %s: parts it in two that are as long together', (_, id, build) => {
    const put = applyCommand(build, { name: 'put-breakout', segmentId: id, share: share(0.37) });
    const made = Object.keys(put.document.harness.segments).filter(
      (each) => !(each in build.harness.segments),
    );
    const fresh = Object.keys(put.document.harness.breakouts).filter(
      (each) => !(each in build.harness.breakouts),
    );
    expect([made.length, fresh.length]).toEqual([1, 1]);
    const whole = wayOf(build, id);
    const parts = [id, ...made].map((each) => wayOf(put.document, each));
    // A corner that is parted is not rounded any more: that is all the difference there is.
    expect(Math.abs(parts[0]! + parts[1]! - whole)).toBeLessThan(0.06 * whole + 0.02);
    expect(applyPatch(put.document, put.inverse)).toEqual(build);
  });

  test('sits so far along as was asked, on a segment without corners', () => {
    const [id, straight] = Object.entries(sandpiper.harness.segments).find(
      ([, { points }]) => Object.keys(points).length === 0,
    )!;
    expect(straight.points).toEqual({});
    const whole = wayOf(sandpiper, id);
    for (const at of [0.2, 0.5, 0.8]) {
      const { document } = applyCommand(sandpiper, {
        name: 'put-breakout',
        segmentId: id,
        share: share(at),
      });
      expect(wayOf(document, id) / whole).toBeCloseTo(at, 3);
    }
  });

  test('keeps splices where they are', () => {
    const [spliceId, site] = Object.entries(sandpiper.harness.splices).find(
      ([, { segmentId }]) => segmentId in sandpiper.harness.segments,
    )!;
    const at = wayOf(sandpiper, site.segmentId) * site.share.value;
    for (const cut of [0.05, 0.95]) {
      const { document } = applyCommand(sandpiper, {
        name: 'put-breakout',
        segmentId: site.segmentId,
        share: share(cut),
      });
      const now = document.harness.splices[spliceId]!;
      const first = wayOf(document, site.segmentId);
      const before = now.segmentId === site.segmentId ? 0 : first;
      const along = before + wayOf(document, now.segmentId) * now.share.value;
      expect(Math.abs(along - at)).toBeLessThan(0.02);
    }
  });

  test('taken out again leaves one segment as it was: no corner where the way runs straight on', () => {
    for (const id of Object.keys(sandpiper.harness.segments)) {
      const put = applyCommand(sandpiper, {
        name: 'put-breakout',
        segmentId: id,
        share: share(0.5),
      }).document;
      const breakoutId = Object.keys(put.harness.breakouts).find(
        (each) => !(each in sandpiper.harness.breakouts),
      )!;
      const { document } = applyCommand(put, { name: 'take-breakout-out', breakoutId });
      expect(Object.keys(document.harness.segments).sort()).toEqual(
        Object.keys(sandpiper.harness.segments).sort(),
      );
      expect(Object.keys(document.harness.segments[id]!.points)).toHaveLength(
        Object.keys(sandpiper.harness.segments[id]!.points).length,
      );
      // Places are kept to a tenth of a millimetre.
      expect(Math.abs(wayOf(document, id) - wayOf(sandpiper, id))).toBeLessThan(2e-4);
    }
  });

  test('carries every wire that the segment carried, each by 15 mm of slack longer at most', () => {
    const [id] = Object.keys(sandpiper.harness.segments);
    const { document } = applyCommand(sandpiper, {
      name: 'put-breakout',
      segmentId: id!,
      share: share(0.5),
    });
    const lengths = (build: BuildDocument) =>
      new Map([...figuresOf(build)].filter(([key]) => key.endsWith('.harnessLength')));
    const [before, after] = [lengths(sandpiper), lengths(document)];
    expect([...after.keys()].sort()).toEqual([...before.keys()].sort());
    for (const [key, length] of before) {
      expect(Math.abs(after.get(key)! - length), key).toBeLessThan(0.045);
    }
  });
});

describe('a connector that is set into a segment', () => {
  const inline = sampleCatalogue.items.find(({ id }) => id === 'DV-BH24')!;
  const command = (segmentId: string): BuildCommand => ({
    name: 'put-connector',
    segmentId,
    share: share(0.5),
    item: { id: inline.id, revision: inline.revision },
  });

  test('is a device of its own that sits on its way', () => {
    for (const id of Object.keys(sandpiper.harness.segments).slice(0, 6)) {
      const put = applyCommand(sandpiper, command(id));
      const [deviceId] = Object.keys(put.document.devices).filter(
        (each) => !(each in sandpiper.devices),
      );
      const device = put.document.devices[deviceId!]!;
      expect(device.part).toMatchObject({ kind: 'item', item: { id: 'DV-BH24' } });
      expect(put.document.placements[device.placementId!]).toBeDefined();
      // Halfway along its corners: what is left of it is no longer than half of the unrounded way.
      expect(wayOf(put.document, id)).toBeLessThan(0.75 * wayOf(sandpiper, id));
      expect(applyPatch(put.document, put.inverse)).toEqual(sandpiper);
    }
  });
});

describe('a segment that is taken out', () => {
  test('takes the splices that sit in it along, and nothing else', () => {
    for (const [id, { segmentId }] of Object.entries(sandpiper.harness.splices)) {
      if (!(segmentId in sandpiper.harness.segments)) continue;
      const { document, inverse } = applyCommand(sandpiper, {
        name: 'take-segment-out',
        segmentId,
      });
      expect(document.harness.splices[id]).toBeUndefined();
      expect(document.harness.segments[segmentId]).toBeUndefined();
      expect(Object.keys(document.harness.breakouts)).toEqual(
        Object.keys(sandpiper.harness.breakouts),
      );
      expect(document.devices).toBe(sandpiper.devices);
      expect(applyPatch(document, inverse)).toEqual(sandpiper);
    }
  });

  test('leaves wires that went through it without a way, and says so', () => {
    const [id] = Object.keys(sandpiper.harness.segments);
    const { document } = applyCommand(sandpiper, { name: 'take-segment-out', segmentId: id! });
    const { findings } = evaluator.evaluate(document, sampleCatalogue);
    expect(findings.map(({ rule }) => rule)).toContain('harness.unled');
  });
});

describe('an edit of the harness that cannot be', () => {
  test.each([
    [{ name: 'take-segment-out', segmentId: 'nowhere' }, /segment/],
    [{ name: 'take-breakout-out', breakoutId: 'nowhere' }, /breakout/],
    [{ name: 'put-breakout', segmentId: 'nowhere', share: share(0.5) }, /segment/],
  ] as const)('%o is refused in words', (command, words) => {
    expect(() => applyCommand(sandpiper, command as BuildCommand)).toThrow(words);
  });
});
