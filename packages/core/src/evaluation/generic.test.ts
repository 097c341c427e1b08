import { describe, expect, test } from 'vitest';
import {
  type BuildCommand,
  type BuildDocument,
  type Path,
  applyPatch,
  hashOf,
  isItemRef,
  readBuild,
  settledSpec,
  specAt,
  documentSpec,
  pathText,
  valueAt,
  withValueAt,
} from '../model/index.ts';
import { wireCutTo } from '../harness/index.ts';
import { applyCommand } from './commands/applyCommand.ts';
import { editInWords } from './commands/editInWords.ts';
import { commandKinds } from './commands/commandKinds.ts';
import { electricCases } from '../electrics/index.ts';
import { addCircuit, caseNames, insertCommand, layOutAs } from '../fuel/index.ts';
import { demoBuilds, lantern, sampleCatalogue } from '../exchange/index.ts';
import { type Finding, computeFormula } from '../results/index.ts';
import { fieldOf, firstOfEach, numericLeaves } from '../tests/changeLeaf.ts';
import { sameValue } from '../numerics/index.ts';
import { evaluated } from '../tests/evaluated.ts';
import { createEvaluator, evaluate } from './evaluate.ts';
import { formulas } from './formulas.ts';
import { limitLadder } from './ladder.ts';
import { rules } from './checks/rules.ts';
import { toldEvaluation } from './told/toldEvaluation.ts';
import { tripped as trippedDemo } from '../tests/trippedBuilds.ts';
import { trippedElectrics } from '../tests/trippedElectrics.ts';
import { trippedHarness } from '../tests/trippedHarness.ts';
import { trippedMaps } from '../tests/trippedMaps.ts';
import { trippedPlumbing } from '../tests/trippedPlumbing.ts';
import { trippedSystems } from '../tests/trippedSystems.ts';

const tripped = [
  ...trippedDemo,
  ...trippedMaps,
  ...trippedHarness,
  ...trippedSystems,
  ...trippedPlumbing,
  ...trippedElectrics,
];

const demos: readonly BuildDocument[] = demoBuilds.map((demo) => demo.document);

const same = (a: number, b: number): boolean =>
  Math.abs(a - b) <= 1e-9 * Math.max(Math.abs(a), Math.abs(b));

/** What is wrong with an origin of a value; undefined when it holds. */
function troubleOf(
  origin: string,
  value: number,
  values: ReadonlyMap<string, number>,
  demo: BuildDocument,
): string | undefined {
  const [kind, ...rest] = origin.split(':');
  const name = rest.join(':');
  switch (kind) {
    case 'result': {
      const linked = values.get(name);
      if (linked === undefined) return 'does not exist';
      return same(linked, value) ? undefined : `is ${linked}, not ${value}`;
    }
    case 'document': {
      const at = valueAt(demo, name);
      const entered = typeof at === 'number' ? at : (at as { value?: unknown } | undefined)?.value;
      if (typeof entered !== 'number') return 'holds no number';
      return same(entered, value) ? undefined : `is ${entered}, not ${value}`;
    }
    case 'by':
      return valueAt(demo, name) === undefined ? 'holds nothing' : undefined;
    case 'catalogue':
      return sampleCatalogue.items.some((i) => `${i.id}@${i.revision}` === name)
        ? undefined
        : 'is no item';
    case 'case':
      return [...caseNames, ...electricCases, 'pumpLost', 'map'].includes(name)
        ? undefined
        : 'is no case';
    case 'default':
      return undefined;
    default:
      return 'is no origin';
  }
}

const idOf = ({ id }: Finding): string => id;
const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

describe.each(demos.map((d) => [d.name, d] as const))('working of %s', (_name, demo) => {
  const { results } = evaluate(demo, sampleCatalogue);

  test('every result names a known formula', () => {
    const unknown = results.filter((r) => !formulas.has(r.working.formula)).map((r) => r.key);
    expect(unknown).toEqual([]);
  });

  test('computing each formula again from its listed inputs gives the value', () => {
    const others = results.filter(({ value, working }) => {
      const inputs = Object.fromEntries(working.inputs.map((i) => [i.name, i.value]));
      const again = computeFormula(formulas.get(working.formula)!, inputs);
      return !(Math.abs(again - value) / Math.max(Math.abs(value), 1e-12) < 1e-9);
    });
    expect(others.map(({ key }) => key)).toEqual([]);
  });

  test('keys are unique and every value is finite', () => {
    expect(new Set(results.map((r) => r.key)).size).toBe(results.length);
    expect(results.filter((r) => !Number.isFinite(r.value)).map((r) => r.key)).toEqual([]);
  });

  test('every input names its origin, and what it links to is there with that value', () => {
    const values = new Map(results.map((r) => [r.key, r.value]));
    const wrong: string[] = [];
    let followed = 0;
    for (const { key, working } of results) {
      for (const { name, value, from, kind } of working.inputs) {
        expect(kind, `${key} ${name}`).toBeDefined();
        const parts = typeof value === 'number' ? [value] : value;
        const origins = typeof from === 'string' ? parts.map(() => from) : from;
        expect(origins, `${key} ${name}`).toHaveLength(parts.length);
        origins.forEach((origin, i) => {
          const trouble = troubleOf(origin, parts[i]!, values, demo);
          if (trouble) wrong.push(`${key} ${name}: ${origin} ${trouble}`);
          followed += 1;
        });
      }
    }
    expect(wrong).toEqual([]);
    expect(followed).toBeGreaterThan(results.length);
  });
});

describe('commands', () => {
  const build = readBuild(lantern);
  const commands: BuildCommand[] = [
    { name: 'set', path: ['brief', 'boost'], value: { value: 60e3, unit: 'bar' } },
    { name: 'set', path: ['brief', 'chargeTemperature'], value: { value: 330, unit: '°C' } },
    {
      name: 'set-several',
      label: 'two',
      changes: [
        { path: ['brief', 'cylinders'], value: 6 },
        { path: ['injectorRows', 'primary', 'count'], value: 6 },
      ],
    },
    { name: 'take-off-map', slice: 'otherLines', id: 'vent' },
    { name: 'put-breakout', segmentId: 'trunk', share: { value: 0.4, unit: '%' } },
    {
      name: 'put-connector',
      segmentId: 'forward',
      share: { value: 0.5, unit: '%' },
      item: { id: 'DV-BH24', revision: 1 },
    },
    { name: 'take-segment-out', segmentId: 'trunk' },
    { name: 'take-breakout-out', breakoutId: 'middle' },
    {
      name: 'mark-cut',
      wireId: 'pump~+',
      wireName: 'Fuel pump, supply',
      cut: wireCutTo({ value: 3.2, unit: 'mm' }),
    },
    { name: 'pull-map-true' },
    {
      name: 'lay-out-vehicle',
      kind: 'pick-up',
      wheelbase: { value: 3.1, unit: 'mm' },
      frontOverhang: { value: 0.9, unit: 'mm' },
      rearOverhang: { value: 1.2, unit: 'mm' },
      width: { value: 1.85, unit: 'mm' },
      height: { value: 1.8, unit: 'mm' },
    },
    { name: 'pick-demand', school: 'air', reason: 'measured air flow' },
    { name: 'choose-induction', aspiration: 'natural' },
    { name: 'choose-injector', rowId: 'primary', item: { id: 'I850', revision: 1 } },
    {
      name: 'choose-part',
      circuitId: 'main',
      elementId: 'feed',
      item: { id: 'HBP-8', revision: 1 },
    },
    {
      name: 'put-devices',
      label: 'Add a fuse',
      devices: {
        'fuse-99': {
          order: 1,
          name: 'Fuse',
          part: { kind: 'fuse', item: null },
          placementId: 'panel',
          state: 'new',
          replacedBy: '',
          loadedTogether: 2,
          cylinder: null,
          positionLimit: null,
          seat: 'there',
          connections: { in: { to: 'part', partId: 'stud', pin: 'stud' } },
          ways: {},
        },
      },
      placements: {},
    },
    { name: 'remove-device', deviceId: 'fuse-coils' },
    {
      name: 'connect-pin',
      owner: { kind: 'device', id: 'fan-1' },
      pin: '−',
      connection: { to: 'ground', groundId: 'panel-stud' },
    },
    {
      name: 'assign-pins',
      controllerId: 'ecu',
      devices: { coolant: { '1': 'A17' }, 'charge-air': { '1': 'A16' } },
    },
    { name: 'wire-pump-coil', pumpId: 'pump', side: 'high-side', cutOff: true },
    { name: 'choose-fuse', deviceId: 'pump-fuse', item: { id: 'FB25', revision: 1 } },
    {
      name: 'choose-wire',
      wireId: 'pump~+',
      wireName: 'The wire',
      size: { id: 'W10', revision: 1 },
    },
    {
      name: 'set-wire-length',
      wireId: 'pump~+',
      wireName: 'The wire',
      length: { typed: { value: 5, unit: 'm' }, measured: null },
    },
    { name: 'decide', optionId: 'tank-outlet', alternativeId: 'existing', assemblies: {} },
    {
      name: 'accept-finding',
      findingId: 'suction.head:pump',
      acceptance: {
        title: 'Pump inlet is close to boiling',
        reason: 'the van stays in the hills',
        author: 'test',
        time: '2026-11-23T10:00:00.000Z',
        measured: 6800,
      },
    },
    { name: 'use-revision', itemId: 'HBR-6', revision: 2 },
    { name: 'replace-document', document: { ...lantern, name: 'Other', options: {} } },
    { name: 'remove', path: ['options', 'tank-outlet'] },
    { name: 'withdraw-acceptance', findingId: 'accepted' },
    insertCommand({
      document: build,
      circuit: build.fuelCircuits[0]!,
      catalogue: sampleCatalogue,
      afterId: 'feed',
      kind: 'pump',
    })!,
    { name: 'remove-element', circuitId: 'main', elementId: 'coarse', assemblies: {} },
    {
      name: 'move-element',
      circuitId: 'main',
      elementId: 'coarse',
      direction: 'towards-engine',
      assemblies: {},
    },
    layOutAs({
      document: build,
      circuitId: 'main',
      architecture: 'surge-tank',
      catalogue: sampleCatalogue,
    }),
    { name: 'remove-circuit', circuitId: 'second' },
  ];
  /** Lantern with something accepted and a second circuit, so that both can go again. */
  const start = (() => {
    // A place that the tape found elsewhere, for the map to be pulled to.
    const off = withValueAt(lantern, 'hardPoints.battery.x', { value: 2.33, unit: 'mm' });
    const accepted = applyCommand(off, {
      name: 'accept-finding',
      findingId: 'accepted',
      acceptance: {
        title: 'Something',
        reason: 'as agreed',
        author: 'test',
        time: '2026-11-23T10:00:00.000Z',
        measured: null,
      },
    }).document;
    const fuel = { id: 'methanol', kind: 'methanol', name: 'Methanol' } as const;
    const second = addCircuit({
      document: build,
      catalogue: sampleCatalogue,
      fuel,
      architecture: 'return-after-rail',
    });
    return applyCommand(accepted, second).document;
  })();

  test('every kind of edit is in this list', () => {
    const listed = new Set<string>(commands.map((c) => c.name));
    expect(commandKinds.map((kind) => kind.name).filter((name) => !listed.has(name))).toEqual([]);
  });

  test.each(commands.map((c) => [c.name, c] as const))(
    '%s: apply and invert give the same hash, and it changed something',
    (_name, command) => {
      const applied = applyCommand(start, command);
      expect(applied.patch.length).toBeGreaterThan(0);
      expect(hashOf(applied.document)).not.toBe(hashOf(start));
      const back = applyPatch(applied.document, applied.inverse);
      expect(hashOf(back)).toBe(hashOf(start));
      const forth = applyPatch(back, applied.patch);
      expect(hashOf(forth)).toBe(hashOf(applied.document));
    },
  );

  test.each(commands.map((c) => [c.name, c] as const))(
    '%s: is told in words that a person reads, not by ids',
    (_name, command) => {
      // An id that is a single word may be one of the language as well.
      const ids = new Set<string>();
      JSON.stringify(start, (key, value: unknown) => {
        if (/[-~]/.test(key)) ids.add(key);
        return value;
      });
      const words = editInWords(start, command);
      expect(words).not.toBe('');
      expect(words.split(/[\s,“”"]+/).filter((word) => ids.has(word) || /~/.test(word))).toEqual(
        [],
      );
    },
  );

  test('a patch survives being stored as JSON', () => {
    const { document, inverse } = applyCommand(lantern, commands[4]!);
    const stored = JSON.parse(JSON.stringify(inverse)) as typeof inverse;
    expect(hashOf(applyPatch(document, stored))).toBe(hashOf(lantern));
  });
});

describe('dead inputs', () => {
  /** Leaves that are notes for people and move no result, with the reason. */
  const standsInItemRef = (document: BuildDocument, path: Path): boolean => {
    const owner = path.slice(0, -1);
    const spec = specAt(documentSpec, owner, document);
    const settled = spec && settledSpec(spec, valueAt(document, owner));
    return settled !== undefined && isItemRef(settled);
  };
  const isNote = (document: BuildDocument, path: Path): boolean =>
    // The format's own version, and where a thing stands among others, are not quantities.
    path[0] === 'version' ||
    path.at(-1) === 'order' ||
    // Revisions of catalogue references are not quantities.
    standsInItemRef(document, path) ||
    // The alternative that is not chosen is put in place by a decision; acceptances are a record
    // of what a person said; parts at hand count when a set is searched for.
    ['options', 'acceptances', 'shelf'].includes(path[0]!) ||
    // What was measured on a wire says whether it is live: network.test.ts tries both sides of that.
    (path[0] === 'vehicleSignals' && path.at(-1) === 'value') ||
    // Which button of a keypad is pressed: the module is set by it, and the list says it.
    path.at(-1) === 'button' ||
    // In which order outputs are best kept; pins are looked for by another call.
    path.at(-1) === 'cylinder' ||
    // What a start heats keeps its heat, whatever lies beside it.
    (path.at(-1) === 'loadedTogether' && ['starter', 'isolator'].includes(path[1]!)) ||
    // What goes, and what nobody may touch, has no wires.
    (path[0] === 'devices' &&
      (valueAt(document, ['devices', path[1]!, 'state']) === 'removed' ||
        Object.keys(valueAt(document, ['devices', path[1]!, 'connections']) as object).length ===
          0)) ||
    // Without boost there is nothing to share out, and nothing for a cooler to cool.
    (document.brief.boost.value === 0 &&
      path[0] === 'brief' &&
      ['boostCurve', 'coolerEffectiveness'].includes(path[1]!));

  const inLantern = new Set(numericLeaves(lantern).map(({ path }) => fieldOf(lantern, path)));

  test.each(demos.map((d) => [d.name, d] as const))(
    'numbers of %s move a result or a finding',
    (_name, demo) => {
      const evaluator = createEvaluator();
      const figures = (document: BuildDocument): unknown => {
        const { results, findings, demandMap } = evaluator.evaluate(document, sampleCatalogue);
        return [
          results.map((r) => [r.key, r.value]),
          findings.map((f) => [f.id, f.measured]),
          demandMap.massFlow,
        ];
      };
      const candidates = (document: BuildDocument): unknown =>
        evaluator
          .evaluate(document, sampleCatalogue)
          .candidates.pumps()
          ['pump']?.map((c) => c.reasons);
      const rungs = (document: BuildDocument): unknown =>
        limitLadder(evaluator.check(document, sampleCatalogue)).rungs;
      // What takes longer is asked only where nothing else has moved.
      const answers = [figures, candidates, rungs].map((ask) => {
        const before = ask(demo);
        return (document: BuildDocument): boolean => !sameValue(ask(document), before);
      });
      const moves = (document: BuildDocument): boolean =>
        answers.some((differs) => differs(document));
      const quantities = numericLeaves(demo).filter(({ path }) => !isNote(demo, path));
      // Of each field the first two of Lantern; of the others what Lantern has nothing of.
      const leaves = firstOfEach(demo, quantities, demo === lantern ? 2 : 1).filter(
        ({ path }) => demo === lantern || !inLantern.has(fieldOf(demo, path)),
      );
      const dead = leaves
        .filter((leaf) => {
          const whole = Number.isInteger(leaf.value) && leaf.path.at(-1) !== 'value';
          // A limit that is far away may only be felt when it comes nearer.
          const tried = whole
            ? [leaf.value + 1]
            : [leaf.value * 1.31 + (leaf.value === 0 ? 7e3 : 0), leaf.value * 0.4];
          return tried.every((next) => !moves(withValueAt(demo, leaf.path, next)));
        })
        .map((leaf) => pathText(leaf.path));
      expect(dead).toEqual([]);
    },
    120_000,
  );
});

describe('cures', () => {
  const cases = tripped.map((t) => [t.finding, t] as const);
  const findingsOf = (build: BuildDocument, catalogue = sampleCatalogue): readonly Finding[] =>
    evaluated(build, catalogue).findings;
  const sound = new Map<BuildDocument, ReadonlySet<string>>();
  const soundFindings = (build: BuildDocument): ReadonlySet<string> => {
    const ids = sound.get(build) ?? new Set(evaluate(build, sampleCatalogue).findings.map(idOf));
    sound.set(build, ids);
    return ids;
  };

  test.each(cases)('%s is not there on the sound build', (_id, { finding, soundBuild }) => {
    expect(soundFindings(soundBuild)).not.toContain(finding);
  });

  test.each(cases)(
    '%s is tripped by its build, told in whole sentences, and every cure removes it and makes no new stop',
    (id, { build, curable, catalogue }) => {
      const findings = findingsOf(build, catalogue);
      for (const finding of findings) {
        for (const [, name] of finding.because.matchAll(/\{(\w+)\}/g)) {
          expect(finding.numbers[name!], `${finding.id} {${name}}`).toBeDefined();
        }
      }
      expect(findings.map(idOf)).toContain(id);
      const cures = findings.find((f) => f.id === id)!.cures();
      const commands = cures.flatMap((cure) => (cure.command ? [cure.command] : []));
      expect(cures.length).toBeGreaterThan(0);
      expect(commands.length > 0).toBe(curable);
      const stopsBefore = new Set(findings.filter((f) => f.severity === 'stop').map(idOf));
      for (const command of commands) {
        const cured = findingsOf(applyCommand(build, command as BuildCommand).document, catalogue);
        expect(cured.map(idOf)).not.toContain(id);
        const newStops = cured.filter((f) => f.severity === 'stop' && !stopsBefore.has(f.id));
        expect(newStops.map(idOf)).toEqual([]);
      }
    },
  );

  test('every rule is tripped by a build of this table', () => {
    const covered = new Set(tripped.map((t) => t.rule));
    expect(rules.map((rule) => rule.id).filter((id) => !covered.has(id))).toEqual([]);
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
    const thin = withValueAt(lantern, 'limits.pumpFeedDrop', { value: 0.05, unit: 'V' });
    expect(evaluator.evaluate(thin, sampleCatalogue).fluids).not.toBe(first.fluids);
  });

  test('does not change its inputs', () => {
    const before = hashOf(lantern);
    evaluate(lantern, sampleCatalogue);
    limitLadder(createEvaluator().check(lantern, sampleCatalogue));
    expect(hashOf(lantern)).toBe(before);
  });

  test('what screens are told of it crosses a worker as plain data', () => {
    const told = toldEvaluation(evaluate(lantern, sampleCatalogue));
    expect(structuredClone(told)).toEqual(told);
  });
});
