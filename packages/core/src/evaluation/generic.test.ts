import { describe, expect, test } from 'vitest';
import {
  type BuildCommand,
  type BuildDocument,
  applyCommand,
  applyPatch,
  hashOf,
  invertPatch,
  withValueAt,
} from '../build/index.ts';
import { demoBuilds, lantern, sampleCatalogue } from '../exchange/index.ts';
import { computeFormula } from '../results/index.ts';
import { type NumericLeaf, numericLeaves } from '../testing/changeLeaf.ts';
import { createEvaluator, evaluate } from './evaluate.ts';
import { formulas } from './formulas.ts';
import { limitLadder } from './ladder.ts';
import { tripped as trippedDemo } from '../testing/trippedBuilds.ts';
import { trippedSystems } from '../testing/trippedSystems.ts';

const tripped = [...trippedDemo, ...trippedSystems];

const demos: readonly BuildDocument[] = demoBuilds.map((demo) => demo.document);

const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

describe.each(demos.map((d) => [d.name, d] as const))('working of %s', (_name, demo) => {
  const { results } = evaluate(demo, sampleCatalogue);

  test('every result names a known formula', () => {
    const unknown = results.filter((r) => !formulas.has(r.working.formula)).map((r) => r.key);
    expect(unknown).toEqual([]);
  });

  test('computing each formula again from its listed inputs gives the value', () => {
    for (const result of results) {
      const inputs = Object.fromEntries(result.working.inputs.map((i) => [i.name, i.value]));
      const again = computeFormula(formulas.get(result.working.formula)!, inputs);
      const scale = Math.max(Math.abs(result.value), 1e-12);
      expect(Math.abs(again - result.value) / scale, result.key).toBeLessThan(1e-9);
    }
  });

  test('keys are unique and every value is finite', () => {
    expect(new Set(results.map((r) => r.key)).size).toBe(results.length);
    expect(results.filter((r) => !Number.isFinite(r.value)).map((r) => r.key)).toEqual([]);
  });

  test('every input says where it comes from, and results that are named exist', () => {
    for (const result of results) {
      for (const input of result.working.inputs) {
        expect(input.from, `${result.key} ${input.name}`).toMatch(
          /^(result:|document:|catalogue:|default|case:)/,
        );
        expect(input.kind, `${result.key} ${input.name}`).toBeDefined();
      }
    }
  });
});

describe('commands', () => {
  const commands: BuildCommand[] = [
    { name: 'set', path: 'brief.boost', value: { value: 60e3, unit: 'bar' } },
    { name: 'set', path: 'brief.chargeTemperature', value: { value: 330, unit: '°C' } },
    {
      name: 'set-several',
      label: 'two',
      changes: [
        { path: 'brief.cylinders', value: 6 },
        { path: 'injectorRows.0.count', value: 6 },
      ],
    },
    { name: 'pick-demand', school: 'air', reason: 'measured air flow' },
    { name: 'choose-injector', rowId: 'primary', item: { id: 'I850', revision: 1 } },
    {
      name: 'choose-part',
      circuitId: 'main',
      elementId: 'feed',
      item: { id: 'HBP-8', revision: 1 },
    },
    { name: 'choose-fuse', feedId: 'pump-feed', item: { id: 'FB25', revision: 1 } },
    {
      name: 'choose-wire',
      wireId: 'pump-feed-relay-87~pump-+',
      size: { id: 'W10', revision: 1 },
    },
    {
      name: 'set-wire-length',
      wireId: 'pump-feed-relay-87~pump-+',
      length: { typed: { value: 5, unit: 'm' }, measured: null },
    },
    { name: 'decide', optionId: 'tank-outlet', alternativeId: 'existing' },
    {
      name: 'accept-finding',
      acceptance: {
        findingId: 'suction.head:pump',
        title: 'Pump inlet is close to boiling',
        reason: 'the van stays in the hills',
        author: 'test',
        time: '2026-11-23T10:00:00.000Z',
        measured: 6800,
      },
    },
    { name: 'use-revision', itemId: 'HBR-6', revision: 2 },
    { name: 'replace-document', document: { ...lantern, name: 'Other', options: [] } },
  ];

  test.each(commands.map((c) => [c.name, c] as const))(
    '%s: apply and invert give the same hash, and it changed something',
    (_name, command) => {
      for (const demo of [lantern]) {
        const applied = applyCommand(demo, command);
        expect(applied.patch.length).toBeGreaterThan(0);
        expect(hashOf(applied.document)).not.toBe(hashOf(demo));
        const back = applyPatch(applied.document, invertPatch(applied.patch));
        expect(hashOf(back)).toBe(hashOf(demo));
        const forth = applyPatch(back, applied.patch);
        expect(hashOf(forth)).toBe(hashOf(applied.document));
      }
    },
  );

  test('a patch survives being stored as JSON', () => {
    const { document, patch } = applyCommand(lantern, commands[4]!);
    const stored = JSON.parse(JSON.stringify(invertPatch(patch))) as typeof patch;
    expect(hashOf(applyPatch(document, stored))).toBe(hashOf(lantern));
  });
});

describe('dead inputs', () => {
  /** Leaves that are notes for people and move no result, with the reason. */
  const notes: readonly RegExp[] = [
    // The format's own version and the revisions of catalogue references are not quantities.
    /^version$/,
    /\.revision$/,
    // The alternative that is not chosen is put in place by a decision.
    /^options\./,
    // A record of what a person accepted.
    /^acceptances\./,
    // Parts at hand count when a set is searched for.
    /^shelf\./,
  ];
  /** Without boost the curve that shares it out has nothing to share. */
  const withoutBoost = (demo: BuildDocument): readonly RegExp[] =>
    demo.brief.boost.value === 0 ? [/^brief\.boostCurve\./] : [];

  /** Of fields that stand many times over in a large build the first few are tried. */
  const OF_EACH = 4;
  const firstOfEach = (leaves: readonly NumericLeaf[]): NumericLeaf[] => {
    const seen = new Map<string, number>();
    return leaves.filter(({ path }) => {
      const field = path.replace(/\d+/g, '#');
      seen.set(field, (seen.get(field) ?? 0) + 1);
      return seen.get(field)! <= OF_EACH;
    });
  };

  test.each(demos.map((d) => [d.name, d] as const))(
    'numbers of %s move a result or a finding',
    (_name, demo) => {
      const evaluator = createEvaluator();
      const fingerprint = (document: BuildDocument): string => {
        const evaluation = evaluator.evaluate(document, sampleCatalogue);
        return JSON.stringify([
          evaluation.results.map((r) => [r.key, r.value]),
          evaluation.findings.map((f) => [f.id, f.measured]),
          evaluation.demandMap.massFlow,
          evaluation.pumpCandidates['pump']?.map((c) => c.reasons),
        ]);
      };
      const rungs = (document: BuildDocument): string =>
        JSON.stringify(limitLadder(evaluator.check(document, sampleCatalogue)).rungs);
      const before = fingerprint(demo);
      const rungsBefore = rungs(demo);
      /** The ladder is climbed only where nothing else has moved. */
      const moves = (document: BuildDocument): boolean =>
        fingerprint(document) !== before || rungs(document) !== rungsBefore;
      const leaves = demo === lantern ? numericLeaves(demo) : firstOfEach(numericLeaves(demo));
      const dead = leaves
        .filter((leaf) => ![...notes, ...withoutBoost(demo)].some((n) => n.test(leaf.path)))
        .filter((leaf) => {
          const whole = Number.isInteger(leaf.value) && !leaf.path.endsWith('.value');
          // A limit that is far away may only be felt when it comes nearer.
          const tried = whole
            ? [leaf.value + 1]
            : [leaf.value * 1.31 + (leaf.value === 0 ? 7e3 : 0), leaf.value * 0.4];
          return tried.every((next) => !moves(withValueAt(demo, leaf.path, next)));
        })
        .map((leaf) => leaf.path);
      expect(dead).toEqual([]);
    },
    120_000,
  );
});

describe('cures', () => {
  const cases = tripped.map((t) => [t.finding, t] as const);

  test.each(cases)('%s is tripped by its build', (_id, { build, finding }) => {
    const { findings } = evaluate(build, sampleCatalogue);
    expect(findings.map((f) => f.id)).toContain(finding);
  });

  test.each(cases)('%s is not there on the sound build', (_id, { finding, soundBuild }) => {
    const { findings } = evaluate(soundBuild, sampleCatalogue);
    expect(findings.map((f) => f.id)).not.toContain(finding);
  });

  test.each(cases)('every cure of %s removes it and makes no new stop', (_id, entry) => {
    const { findings } = evaluate(entry.build, sampleCatalogue);
    const finding = findings.find((f) => f.id === entry.finding)!;
    const commands = finding.cures.flatMap((cure) => (cure.command ? [cure.command] : []));
    expect(finding.cures.length).toBeGreaterThan(0);
    expect(commands.length > 0).toBe(entry.curable);
    const stopsBefore = new Set(findings.filter((f) => f.severity === 'stop').map((f) => f.id));
    for (const command of commands) {
      const cured = evaluate(applyCommand(entry.build, command).document, sampleCatalogue);
      expect(cured.findings.map((f) => f.id)).not.toContain(entry.finding);
      const newStops = cured.findings.filter(
        (f) => f.severity === 'stop' && !stopsBefore.has(f.id),
      );
      expect(newStops.map((f) => f.id)).toEqual([]);
    }
  });

  test('every rule with a finding in this table is covered, whatever its severity', () => {
    const covered = new Set(tripped.map((t) => t.rule));
    for (const { build } of tripped) {
      for (const finding of evaluate(build, sampleCatalogue).findings) {
        expect(covered, finding.id).toContain(finding.rule);
      }
    }
  });

  test('sentences have a number for every placeholder', () => {
    for (const { build } of tripped) {
      for (const finding of evaluate(build, sampleCatalogue).findings) {
        for (const [, name] of finding.because.matchAll(/\{(\w+)\}/g)) {
          expect(finding.numbers[name!], `${finding.id} {${name}}`).toBeDefined();
        }
      }
    }
  });
});

describe('evaluation', () => {
  test('is the same byte for byte, however it was reached', () => {
    const evaluator = createEvaluator();
    const other = withValueAt(lantern, 'brief.boost', { value: 50e3, unit: 'bar' });
    evaluator.evaluate(other, sampleCatalogue);
    const afterOther = evaluator.evaluate(lantern, sampleCatalogue);
    const alone = evaluate(plain(lantern) as BuildDocument, sampleCatalogue);
    expect(JSON.stringify(afterOther)).toBe(JSON.stringify(alone));
  });

  test('runs a stage again only when its input changed', () => {
    const evaluator = createEvaluator();
    const first = evaluator.evaluate(lantern, sampleCatalogue);
    const renamed = evaluator.evaluate({ ...lantern, description: 'x' }, sampleCatalogue);
    expect(renamed.fluids).toBe(first.fluids);
    expect(renamed.feeds).toBe(first.feeds);
    const drop = withValueAt(lantern, 'limits.pumpFeedDrop', { value: 0.3, unit: 'V' });
    expect(evaluator.evaluate(drop, sampleCatalogue).fluids).not.toBe(first.fluids);
  });

  test('does not change its inputs', () => {
    const before = hashOf(lantern);
    evaluate(lantern, sampleCatalogue);
    limitLadder(createEvaluator().check(lantern, sampleCatalogue));
    expect(hashOf(lantern)).toBe(before);
  });

  test('crosses a worker as plain data', () => {
    const evaluation = evaluate(lantern, sampleCatalogue);
    expect(() => structuredClone(evaluation)).not.toThrow();
  });
});
