import { describe, expect, test } from 'vitest';
import { applyCommand } from '../../evaluation/index.ts';
import { lantern, sandpiper } from '../../exchange/index.ts';
import { type BuildDocument, applyPatch, readBuild, withValueAt } from '../../model/index.ts';
import type { Aspiration } from '../model.ts';
import { evaluated } from '../../tests/evaluated.ts';

const choose = (build: BuildDocument, aspiration: Aspiration) =>
  applyCommand(build, { name: 'choose-induction', aspiration });
const need = (build: BuildDocument): number =>
  evaluated(build).results.find((r) => r.key === 'demand.byAir.atPower.massFlow')!.value;
const zeroed = (build: BuildDocument): BuildDocument =>
  Object.keys(build.brief.boostCurve).reduce(
    (doc, point) => withValueAt(doc, `brief.boostCurve.${point}.value`, { value: 0, unit: '%' }),
    build,
  );

describe('changing how an engine breathes', () => {
  test('a natural engine that gets a turbocharger gets a curve, and boost counts', () => {
    const natural = zeroed(choose(lantern, 'natural').document);
    const boosted = withValueAt(choose(natural, 'turbo').document, 'brief.boost', {
      value: 60e3,
      unit: 'bar',
    });
    expect(readBuild(boosted).brief.boostCurve.some((p) => p.value.value > 0)).toBe(true);
    expect(need(boosted)).toBeGreaterThan(1.2 * need(natural));
    const ids = evaluated(boosted).findings.map((f) => f.id);
    expect(ids.filter((id) => id.startsWith('induction.'))).toEqual([]);
  });

  test('a curve that somebody drew stays', () => {
    const { document } = choose(lantern, 'supercharged');
    expect(document.brief.boostCurve).toEqual(lantern.brief.boostCurve);
    expect(document.brief.boost).toEqual(lantern.brief.boost);
  });

  test('a natural engine has no boost, in the unit it was typed in; undo brings it back', () => {
    const { document, inverse } = choose(lantern, 'natural');
    expect(document.brief.boost).toEqual({ value: 0, unit: lantern.brief.boost.unit });
    expect(applyPatch(document, inverse)).toEqual(lantern);
  });

  test('boost by hand on a natural engine is a stop', () => {
    const wrong = withValueAt(sandpiper, 'brief', {
      ...sandpiper.brief,
      aspiration: 'natural',
      boost: { value: 110e3, unit: 'psi' },
    });
    const found = evaluated(wrong).findings.filter((f) => f.severity === 'stop');
    expect(found.map((f) => f.id)).toContain('induction.boost-without-compressor');
  });
});
