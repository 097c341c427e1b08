import { describe, expect, test } from 'vitest';
import { grownBuild, kittiwake, lantern, sampleCatalogue } from '../exchange/index.ts';
import {
  type BuildDocument,
  type Path,
  documentSpec,
  hashOf,
  pathText,
  specAt,
  valueAt,
  withValueAt,
} from '../model/index.ts';
import { firstOfEach } from '../tests/changeLeaf.ts';
import { createEvaluator } from './evaluate.ts';
import type { Source } from './runner/source.ts';
import { slices } from './slices.ts';
import { stages } from './stages.ts';

/** Stages that may run after a change of some slices: those that read them, and what follows. */
function mayRun(changed: readonly Source<unknown>[]): Set<string> {
  const reached = new Set<Source<unknown>>(changed);
  for (const stage of Object.values(stages)) {
    if (Object.values(stage.reads).some((source) => reached.has(source as Source<unknown>))) {
      reached.add(stage as Source<unknown>);
    }
  }
  return new Set([...reached].filter((s) => s.type === 'stage').map((s) => s.name));
}

const named = [
  'map',
  'around',
  'harness',
  'routedLengths',
  'namedDesign',
  'judgedDesign',
  'fluids',
  'fuelFigures',
  'lengthFigures',
  'ventLengths',
  'tanks',
  'madeLines',
  'parts',
  'buying',
  'results',
  'lineNames',
  'engineChecks',
  'fuelChecks',
  'electricChecks',
  'vehicleChecks',
  'plumbingChecks',
  'harnessChecks',
  'checked',
  'findings',
];
const everyStage = Object.values(stages).map((stage) => stage.name);

/** Stages that a change of a leaf may run, by where it stands. */
function expectedOf(path: Path): readonly string[] {
  const [part, id, field] = path;
  const last = path.at(-1)!;
  switch (part) {
    case 'name':
    case 'description':
    case 'options':
    case 'shelf':
    case 'displayUnits':
    case 'currency':
    case 'format':
    case 'version':
      return [];
    case 'offcuts':
      return [...mayRun([slices.offcuts])];
    case 'acceptances':
      return ['findings'];
    case 'assemblies':
      return field === 'slack' || field === 'asMade'
        ? [...mayRun([slices.assemblies])]
        : everyStage;
    case 'placements':
      return field === 'name' ? [] : [...mayRun([slices.places])];
    case 'routes':
      return [...mayRun([slices.routes])];
    case 'tanks':
      return [...mayRun([slices.tanks])];
    case 'solids':
      return [...mayRun([slices.vehicle, slices.solids])];
    case 'hardPoints':
      return [...mayRun([slices.vehicle, slices.hardPoints])];
    case 'vehicle':
    case 'sheets':
    case 'hotRuns':
    case 'movingZones':
    case 'edges':
    case 'mountingLines':
    case 'spaces':
    case 'otherLines':
      return [...mayRun([slices.vehicle])];
    case 'demand':
      return id === 'reason' ? [] : [...mayRun([slices.school])];
    case 'brief':
      if (id === 'vehicle' || id === 'engine') return [];
      if (id === 'firingOrder') return [...mayRun([slices.judgedBrief])];
      if (id === 'use') return [...mayRun([slices.judgedBrief, slices.use])];
      if (id === 'cruisePower' || id === 'cruiseRoadSpeed') {
        return [...mayRun([slices.judgedBrief, slices.road])];
      }
      return everyStage;
    case 'limits':
      return [
        ...mayRun([slices.limits]),
        ...mayRun([slices.supplyLimits]),
        ...mayRun([slices.thermostat]),
        ...(id === 'designFactor' ? everyStage : []),
        ...(id!.startsWith('voltage') ? everyStage : []),
        ...(id === 'pumpFeedDrop' ? everyStage : []),
      ];
    case 'fuels':
    case 'fuelCircuits':
    case 'injectorRows':
      // What a thing is called is read where it is told, nowhere else.
      return last === 'name' ? named : everyStage;
    default:
      return everyStage;
  }
}

interface Leaf {
  readonly path: Path;
  readonly value: string | number | boolean;
}

function leavesOf(value: unknown, path: Path = []): Leaf[] {
  if (typeof value === 'object' && value !== null) {
    return Object.entries(value).flatMap(([key, part]) => leavesOf(part, [...path, key]));
  }
  return value === null || value === undefined ? [] : [{ path, value: value as Leaf['value'] }];
}

/** Another value that may stand there: of a choice another one, of text other letters. */
function otherValue({ path, value }: Leaf): unknown {
  const spec = specAt(documentSpec, path, lantern);
  if (typeof value === 'boolean') return !value;
  if (typeof value === 'number') {
    if (spec?.type === 'whole') return value + 1;
    return value === 0 ? 7e3 : value * 1.01;
  }
  if (spec?.type === 'choice') return spec.choices.find((c) => c !== value);
  return spec?.type === 'text' ? `${value} other` : undefined;
}

/** References lead to other things, not to other values; catalogue items have their own test. */
const isChangeable = ({ path, value }: Leaf): boolean => {
  const spec = specAt(documentSpec, path, lantern);
  return (
    typeof value !== 'string' ||
    (spec?.type === 'text' && path.at(-1) !== 'id') ||
    spec?.type === 'choice'
  );
};

/** Numbers that are changed together before a fresh evaluation is asked. */
const AT_A_TIME = 8;

const settled = (document: BuildDocument): string =>
  hashOf(createEvaluator().evaluate(document, sampleCatalogue));

describe('the table of stages', () => {
  const rows = Object.entries(stages);

  test('calls each stage by its key, and says what it gives', () => {
    for (const [key, { name, gives }] of rows) {
      expect(name).toBe(key);
      expect(gives.length, key).toBeGreaterThan(10);
    }
  });

  test('has each stage after all that it reads, and every slice is read', () => {
    const known = new Set<unknown>(Object.values(slices));
    const read = new Set<unknown>();
    for (const [key, row] of rows) {
      for (const [as, source] of Object.entries(row.reads)) {
        expect(known.has(source), `${key} reads ${as}`).toBe(true);
        read.add(source);
      }
      known.add(row);
    }
    for (const [key, slice] of Object.entries(slices)) expect(read.has(slice), key).toBe(true);
  });

  test('is the order in which an evaluation runs them', () => {
    const evaluator = createEvaluator();
    evaluator.evaluate(lantern, sampleCatalogue);
    expect(evaluator.ran).toEqual(Object.keys(stages));
  });
});

describe('stages', () => {
  const leaves = firstOfEach(lantern, leavesOf(lantern).filter(isChangeable), 1).filter(
    ({ path }) => path.at(-1) !== 'revision' && path[0] !== 'version',
  );

  const changeable = leaves.filter((leaf) => otherValue(leaf) !== undefined);

  test('every field of a demo runs only the stages that read it, and gives what a fresh one gives', () => {
    const evaluator = createEvaluator();
    const wrong: string[] = [];
    let tried = 0;
    let present = lantern;
    for (const leaf of changeable.filter(({ path }) => expectedOf(path) !== everyStage)) {
      const other = otherValue(leaf);
      // Numbers change on and on; what another choice or name leads to is taken back.
      const numeric = typeof leaf.value === 'number';
      const changed = withValueAt(present, leaf.path, other);
      evaluator.evaluate(present, sampleCatalogue);
      let answer;
      try {
        answer = evaluator.evaluate(changed, sampleCatalogue);
      } catch {
        // A pump that is no longer where its layout needs it: refused before it gets here.
        continue;
      }
      tried += 1;
      const allowed = new Set(expectedOf(leaf.path));
      const strayed = evaluator.ran.filter((name) => !allowed.has(name));
      if (strayed.length > 0) wrong.push(`${pathText(leaf.path)} ran ${strayed.join(', ')}`);
      if (tried % 20 === 0 && hashOf(answer) !== settled(changed)) {
        wrong.push(`${pathText(leaf.path)} gives another answer than a fresh evaluation`);
      }
      if (numeric) present = changed;
    }
    expect(wrong).toEqual([]);
    expect(tried).toBeGreaterThan(120);
  }, 300_000);

  test('numbers that may run every stage give what a fresh evaluation gives, a few at a time', () => {
    const evaluator = createEvaluator();
    const numbers = changeable.filter(
      ({ path, value }) => expectedOf(path) === everyStage && typeof value === 'number',
    );
    const wrong: string[] = [];
    let tried = 0;
    let present = lantern;
    evaluator.evaluate(present, sampleCatalogue);
    for (let first = 0; first < numbers.length; first += AT_A_TIME) {
      const some = numbers.slice(first, first + AT_A_TIME);
      const changed = some.reduce(
        (doc, leaf) => withValueAt(doc, leaf.path, otherValue(leaf)),
        present,
      );
      let answer;
      try {
        answer = evaluator.evaluate(changed, sampleCatalogue);
      } catch {
        continue;
      }
      tried += some.length;
      if (hashOf(answer) !== settled(changed)) {
        wrong.push(some.map(({ path }) => pathText(path)).join(', '));
      }
      present = changed;
    }
    expect(wrong).toEqual([]);
    expect(tried).toBeGreaterThan(70);
    expect(tried).toBeGreaterThan(0.9 * numbers.length);
  });

  test.each([
    ['a description', ['description'], []],
    ['a renamed place', ['placements', 'pump', 'name'], []],
    ['words of the vehicle', ['brief', 'vehicle'], []],
    ['the reason of a pick', ['demand', 'reason'], []],
    ['the name of a decision', ['options', 'tank-outlet', 'title'], []],
  ] as const)('%s runs nothing', (_what, path, stagesRun) => {
    const evaluator = createEvaluator();
    const before = evaluator.evaluate(lantern, sampleCatalogue);
    const renamed = withValueAt(lantern, path, `${String(valueAt(lantern, path))} other`);
    const after = evaluator.evaluate(renamed, sampleCatalogue);
    expect(evaluator.ran).toEqual(stagesRun);
    expect(after.findings).toBe(before.findings);
    expect(after.results).toBe(before.results);
  });

  test('a place that is moved up and nothing hangs on moves no further than its own stage', () => {
    const evaluator = createEvaluator();
    evaluator.evaluate(lantern, sampleCatalogue);
    const path = ['placements', 'inertia', 'zone'];
    evaluator.evaluate(withValueAt(lantern, path, 'cabin'), sampleCatalogue);
    expect(evaluator.ran).toEqual([]);
    const lower = withValueAt(kittiwake, ['description'], 'x');
    evaluator.evaluate(kittiwake, sampleCatalogue);
    evaluator.evaluate(lower, sampleCatalogue);
    expect(evaluator.ran).toEqual([]);
  });

  test('a renamed element solves nothing again', () => {
    const evaluator = createEvaluator();
    evaluator.evaluate(kittiwake, sampleCatalogue);
    const path = ['fuelCircuits', 'main', 'elements', 'feed', 'name'];
    const { results } = evaluator.evaluate(
      withValueAt(kittiwake, path, 'Long line'),
      sampleCatalogue,
    );
    expect(evaluator.ran).not.toContain('solvedFluids');
    expect(evaluator.ran).not.toContain('candidates');
    expect(results.some((r) => r.label.startsWith('Long line'))).toBe(true);
  });

  describe('of a grown build', () => {
    const { document, catalogue } = grownBuild();
    const evaluator = createEvaluator();
    const ranAfter = (path: string, value: unknown): readonly string[] => {
      evaluator.evaluate(document, catalogue);
      evaluator.evaluate(withValueAt(document, path, value), catalogue);
      return evaluator.ran;
    };

    test('what is there for its size moves no figure', () => {
      const values = (of: BuildDocument, from: typeof catalogue) =>
        createEvaluator()
          .evaluate(of, from)
          .results.map((r) => [r.key, r.value]);
      expect(values(document, catalogue)).toEqual(values(kittiwake, sampleCatalogue));
    });

    test('a place that nothing stands at runs the stages that read places, and no more', () => {
      expect(ranAfter('placements.place-7.z', { value: 0.5, unit: 'mm' })).toEqual([
        'components',
        'map',
        'geometry',
        'routedHarness',
        'electrics',
        'lengthFigures',
        'tanks',
        'harnessChecks',
        'checked',
      ]);
      expect(evaluator.rulesRan).toEqual([]);
      expect(ranAfter('placements.place-7.name', 'Place of its own')).toEqual([]);
    });

    test('a decision about a wire that is not there runs the electrics, and no fuel', () => {
      const path = 'power.wireDecisions.device-3-a~splice-3.length';
      const length = { typed: { value: 1, unit: 'm' }, measured: null };
      const ran = ranAfter(path, length);
      expect(ran).toContain('electrics');
      expect(ran).not.toContain('feeds');
      expect(ran).not.toContain('solvedFluids');
    });

    test('a part on the shelf runs nothing', () => {
      expect(ranAfter('shelf.SP-3.item.revision', 2)).toEqual([]);
    });
  });
});
