import { describe, expect, test } from 'vitest';
import { applyCommand, withEndsAlong, createEvaluator } from '../../evaluation/index.ts';
import { kittiwake, lantern, sampleCatalogue } from '../../exchange/index.ts';
import { type BuildDocument, readBuild } from '../../model/index.ts';
import { pumpFeedsOf } from '../../electrics/index.ts';
import { layOutAs } from './layOut.ts';

const withSurgeTank = (document: BuildDocument): BuildDocument =>
  applyCommand(
    document,
    withEndsAlong(
      document,
      layOutAs({
        document: readBuild(document),
        circuitId: 'main',
        architecture: 'surge-tank',
        catalogue: sampleCatalogue,
      }),
      sampleCatalogue,
    ),
  ).document;

describe('the feed of a pump that a layout adds', () => {
  test.each([
    ['Lantern', lantern],
    ['Kittiwake', kittiwake],
  ])('is fused and switched like the first of %s', (_name, build) => {
    const laid = readBuild(withSurgeTank(build));
    const first = pumpFeedsOf(readBuild(build))[0]!;
    const added = pumpFeedsOf(laid).find((f) => f.elementId === 'lift-pump')!;
    const partOf = (id: string | undefined) => laid.devices.find((each) => each.id === id)?.part;
    expect(partOf(added.fuseId)).toEqual(partOf(first.fuseId));
    expect(partOf(added.relayId)).toEqual(partOf(first.relayId));
    expect(added.trigger).toBe(first.trigger);
    expect(added.cutOffId).toBe(first.cutOffId);
  });

  test('leaves Kittiwake no stop that one click after another would not take away', () => {
    const evaluator = createEvaluator();
    let document = withSurgeTank(kittiwake);
    for (let n = 0; n < 12; n++) {
      const stop = evaluator
        .evaluate(document, sampleCatalogue)
        .findings.find((f) => f.severity === 'stop');
      if (!stop) break;
      const cure = stop.cures().find((c) => c.command);
      expect(cure, stop.id).toBeDefined();
      document = applyCommand(document, cure!.command!).document;
    }
    const { findings } = evaluator.evaluate(document, sampleCatalogue);
    expect(findings.filter((f) => f.severity === 'stop')).toEqual([]);
  });
});
