import {
  type BuildDocument,
  createEvaluator,
  lantern,
  limitLadder,
  quantity,
  type StartAnswers,
  sampleCatalogue,
  startBuild,
  sweepMap,
  withValueAt,
} from '@brookrain/core';

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

interface Row {
  readonly work: string;
  readonly goal: string;
  readonly milliseconds: number;
}

/** Best and median of many runs, ms; the median is printed. */
function median(runs: number, work: (run: number) => void): number {
  for (let k = 0; k < Math.min(10, runs); k++) work(k);
  const times: number[] = [];
  for (let k = 0; k < runs; k++) {
    const start = performance.now();
    work(k);
    times.push(performance.now() - start);
  }
  return times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!;
}

const boosted = (run: number): BuildDocument =>
  withValueAt(lantern, 'brief.boost', { value: 85e3 + (run % 97), unit: 'bar' });
const dropped = (run: number): BuildDocument => withValueAt(lantern, 'description', `run ${run}`);

/** Prints those figures of the performance table that exist, on the demo build. */
export async function runBench(): Promise<void> {
  const cold: number[] = [];
  for (let k = 0; k < 3; k++) {
    const start = performance.now();
    createEvaluator().evaluate(boosted(k), sampleCatalogue);
    cold.push(performance.now() - start);
  }
  const evaluator = createEvaluator();
  const checked = evaluator.check(lantern, sampleCatalogue);
  const circuit = checked.design.circuits[0]!;
  const points = checked.design.demand.map.speeds.length * checked.design.demand.map.loads.length;
  const map = median(40, () => void sweepMap(checked.design, circuit));
  const rows: Row[] = [
    {
      work: `one network solve, ${circuit.circuit.elements.length} elements, on the map, with reading off`,
      goal: '< 0.15',
      milliseconds: map / points,
    },
    {
      work: `demand map ${points} points with coupled pump wiring`,
      goal: '< 40',
      milliseconds: map,
    },
    { work: 'full evaluation, first in a process', goal: '< 200', milliseconds: cold[0]! },
    {
      work: 'evaluation after an edit that touches the fluid',
      goal: '< 80',
      milliseconds: median(40, (k) => void evaluator.evaluate(boosted(k), sampleCatalogue)),
    },
    {
      work: 'evaluation after an edit that does not',
      goal: '< 30',
      milliseconds: median(40, (k) => void evaluator.evaluate(dropped(k), sampleCatalogue)),
    },
    {
      work: 'limit ladder',
      goal: '< 400',
      milliseconds: median(30, () => void limitLadder(checked)),
    },
    {
      work: 'first design of the guided start',
      goal: '< 500',
      milliseconds: median(8, () => void startBuild(startAnswers, sampleCatalogue)),
    },
  ];
  const server = await benchServer();
  rows.push(
    {
      work: 'read of a build of 300 edits, 20 clients, median',
      goal: '',
      milliseconds: server.median,
    },
    { work: 'the same, 99 of 100 are faster than', goal: '< 50', milliseconds: server.p99 },
  );
  console.log('Demo build Lantern; milliseconds, median of warm runs');
  for (const row of rows) {
    console.log(
      `${row.milliseconds.toFixed(3).padStart(10)}  goal ${row.goal.padEnd(7)} ${row.work}`,
    );
  }
}
