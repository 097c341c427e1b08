import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { deserialize, serialize } from 'node:v8';
import {
  type BuildDocument,
  type Catalogue,
  CompiledCircuit,
  type KeptAnswers,
  type StartAnswers,
  applyCommand,
  createEvaluator,
  deltaOf,
  demoBuilds,
  entryAt,
  firstOf,
  grownBuild,
  limitLadder,
  quantity,
  sampleCatalogue,
  startBuild,
  supplyNetwork,
  sweepMap,
  toldEvaluation,
  withValueAt,
} from '@brookrain/core';
import { editIssues } from '@brookrain/contract';
import { type EditTimes, mapTimes } from './benchMap.ts';
import { benchServer } from './benchServer.ts';

const startAnswers: StartAnswers = {
  name: 'Bench',
  vehicle: '',
  engine: '',
  use: 'road',
  displacement: quantity(2, 'volume', 'L'),
  cylinders: 4,
  aspiration: 'turbo',
  boost: quantity(0.7, 'pressure', 'bar'),
  power: quantity(150, 'power', 'kW'),
  powerSpeed: quantity(5800, 'rotation', 'rpm'),
  limiterSpeed: quantity(6500, 'rotation', 'rpm'),
  fuelKind: 'petrol-ethanol',
  ethanol: quantity(10, 'ratio', '%'),
  pumpMounting: 'external',
  runLength: quantity(3.5, 'length', 'm'),
};

/** A measured figure beside its goal; in ms unless it says otherwise. */
interface Row {
  readonly work: string;
  readonly goal: string;
  readonly value: number;
}

interface BenchBuild {
  readonly name: string;
  readonly document: BuildDocument;
  readonly catalogue: Catalogue;
}

/** Every build that is measured: the demos, and one grown to the size of a whole vehicle. */
function benchBuilds(): BenchBuild[] {
  const demos = demoBuilds.map(({ document }) => ({
    name: document.name,
    document,
    catalogue: sampleCatalogue,
  }));
  const grown = grownBuild();
  return [...demos, { name: grown.document.name, ...grown }];
}

/** The median of many runs, ms. */
function median(runs: number, work: (run: number) => void): number {
  for (let k = 0; k < Math.min(6, runs); k++) work(k);
  const times: number[] = [];
  for (let k = 0; k < runs; k++) {
    const start = performance.now();
    work(k);
    times.push(performance.now() - start);
  }
  return entryAt(
    times.sort((a, b) => a - b),
    Math.floor(times.length / 2),
  );
}

const self = fileURLToPath(import.meta.url);

/**
 * The first evaluation of a fresh process, ms: the median of three processes. From nothing, or
 * from a file of what an earlier one kept, which is read within the time.
 */
function coldEvaluation(index: number, keptFile?: string): number {
  const parameters = [self, 'cold', String(index), ...(keptFile === undefined ? [] : [keptFile])];
  const times = [1, 2, 3].map(() =>
    Number(spawnSync(process.execPath, parameters, { encoding: 'utf8' }).stdout),
  );
  return entryAt(
    times.sort((a, b) => a - b),
    1,
  );
}

/** The first evaluation of a fresh process in which a build is opened again, ms. */
function openedAgain({ document, catalogue }: BenchBuild, index: number): number {
  const folder = mkdtempSync(join(tmpdir(), 'brookrain-bench-'));
  try {
    const keptFile = join(folder, 'answers');
    const evaluator = createEvaluator();
    evaluator.evaluate(document, catalogue);
    writeFileSync(keptFile, serialize(evaluator.keep()));
    return coldEvaluation(index, keptFile);
  } finally {
    rmSync(folder, { recursive: true });
  }
}

function rowsOf(build: BenchBuild, index: number): Row[] {
  const { document, catalogue } = build;
  const evaluator = createEvaluator();
  const checked = evaluator.check(document, catalogue);
  const circuit = firstOf(checked.design.circuits);
  const { map: axes } = checked.design.demand;
  const points = axes.speeds.length * axes.loads.length;
  const map = median(30, () => void sweepMap(checked.design, circuit));
  const edited = (path: string, value: (run: number) => unknown) =>
    median(24, (k) => void evaluator.evaluate(withValueAt(document, path, value(k)), catalogue));
  const power = (k: number) => ({ value: document.brief.power.value - k - 1, unit: 'kW' });
  const before = toldEvaluation(evaluator.evaluate(document, catalogue));
  const after = toldEvaluation(
    evaluator.evaluate(withValueAt(document, 'brief.power', power(0)), catalogue),
  );
  const command = { name: 'set', path: ['brief', 'power'] } as const;
  return [
    {
      work: 'first evaluation of a fresh process, opened before',
      goal: '< 200',
      value: openedAgain(build, index),
    },
    {
      work: 'first evaluation of a fresh process, never opened',
      goal: '< 200',
      value: coldEvaluation(index),
    },
    {
      work: 'after an edit that touches no stage',
      goal: '< 3',
      value: edited('description', (k) => `run ${k}`),
    },
    {
      work: 'after an edit that does not touch the fluid',
      goal: '< 30',
      value: edited('limits.pumpMargin', (k) => ({ value: 0.15 + k / 1000, unit: '%' })),
    },
    {
      work: 'after an edit that touches the fluid',
      goal: '< 80',
      value: edited('brief.power', power),
    },
    {
      work: 'checking one edit, page and server',
      goal: '< 5',
      value: median(24, (k) => {
        const made = applyCommand(document, { ...command, value: power(k) });
        editIssues(made.document, made.patch, catalogue);
      }),
    },
    {
      work: `demand map, ${points} points, ${circuit.circuit.elements.length} elements, pump wiring coupled`,
      goal: '< 40',
      value: map,
    },
    { work: 'one network solve on that map', goal: '< 0.15', value: map / points },
    {
      work: 'limit ladder',
      goal: '< 400',
      value: median(12, () => void limitLadder(checked)),
    },
    {
      work: 'answer to the screen after an edit of the power, kB',
      goal: '< 100',
      value: serialize(deltaOf(before, after)).length / 1e3,
    },
    ...mapRows(document, catalogue),
  ];
}

/** An edit once the program has been in use, and among the first of its kind. */
const editRows = (work: string, { soon, inUse }: EditTimes): Row[] => [
  { work, goal: '< 80', value: inUse },
  { work: 'the same, among the first of its kind', goal: '', value: soon },
];

function mapRows(document: BuildDocument, catalogue: Catalogue): Row[] {
  const { move, corner, breakout, dragged, firstWay, allWays } = mapTimes(document, catalogue);
  return [
    ...editRows('after a place on the map was moved', move),
    ...editRows('after a corner of a line was moved', corner),
    ...editRows('after a breakout of the harness was moved', breakout),
    { work: 'lengths while a breakout is dragged', goal: '< 80', value: dragged },
    {
      work: 'ways of its longest line, until the first is offered',
      goal: '< 700',
      value: firstWay,
    },
    { work: 'until all ways are', goal: '< 2000', value: allWays },
  ];
}

/** One solution of a circuit whose pattern is known. */
function circuitRows(): Row[] {
  const goals = [
    [200, '< 0.3'],
    [400, '< 1'],
  ] as const;
  return goals.map(([nodes, goal]) => {
    const circuit = new CompiledCircuit(supplyNetwork(1, nodes, false));
    return {
      work: `a circuit of ${nodes} nodes solved`,
      goal,
      value: median(200, () => void circuit.solve()),
    };
  });
}

function print(title: string, rows: readonly Row[]): void {
  console.log(`\n${title}`);
  for (const { value, goal, work } of rows) {
    console.log(`${value.toFixed(3).padStart(10)}  goal ${goal.padEnd(7)} ${work}`);
  }
}

/** Prints the measured figures beside their goals, for the demos and a grown build. */
export async function runBench(): Promise<void> {
  console.log('Milliseconds, median of warm runs, unless it says otherwise');
  benchBuilds().forEach((build, i) => print(build.name, rowsOf(build, i)));
  print('Circuits', circuitRows());
  const server = await benchServer();
  print('Server, Kittiwake grown, 300 edits', [
    {
      work: 'one edit: checked, applied, stored, answered',
      goal: '< 15',
      value: server.edit,
    },
    { work: 'one read, 20 clients at once', goal: '', value: server.median },
    { work: 'the same, 99 of 100 are faster than', goal: '< 50', value: server.p99 },
    { work: 'the same, in the first thousand reads', goal: '', value: server.firstP99 },
  ]);
  print('New builds', [
    {
      work: 'first design of the guided start',
      goal: '< 500',
      value: median(8, () => void startBuild(startAnswers, sampleCatalogue)),
    },
  ]);
}

if (process.argv[2] === 'cold') {
  const build = entryAt(benchBuilds(), Number(process.argv[3]));
  const keptFile = process.argv[4];
  const start = performance.now();
  const kept = keptFile && (deserialize(readFileSync(keptFile)) as KeptAnswers);
  createEvaluator(kept || undefined).evaluate(build.document, build.catalogue);
  console.log(performance.now() - start);
}
