// npm test: everything CI does, on a machine that may have nothing. Ends with one line of counts.
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  bin,
  compiler,
  driverScript,
  ensureChromium,
  installPackages,
  root,
  testedProjects,
} from './steps.mjs';
import { processorSeconds } from './processorSeconds.mjs';

let passed = 0;
let failed = 0;
/** Processor seconds that `npm test` may use, whatever the hour. */
const MOST_SECONDS = 1500;
const used = [];
/** Notes what a part of the tests used of the processors. */
const part = (name) => {
  const before = used.reduce((sum, { seconds }) => sum + seconds, 0);
  used.push({ name, seconds: (processorSeconds() ?? 0) - before });
};
const counted = (name, ok) => {
  if (ok) passed += 1;
  else failed += 1;
  console.log(`${ok ? 'ok    ' : 'FAILED'} ${name}`);
};
/** Runs a command to its end; whether it went well. */
const ended = (command, args) =>
  new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'inherit', 'inherit'] });
    child.once('error', () => resolve(false));
    child.once('exit', (code) => resolve(code === 0));
  });
const step = async (name, command, args) => counted(name, await ended(command, args));

/** Runs tasks two at a time, for both cores, in the order in which they come. */
function twoAtATime() {
  const waiting = [];
  let running = 0;
  const next = () => {
    if (running === 2 || waiting.length === 0) return;
    running += 1;
    const { task, resolve } = waiting.shift();
    void task().then((answer) => {
      running -= 1;
      resolve(answer);
      next();
    });
  };
  return (task) =>
    new Promise((resolve) => {
      waiting.push({ task, resolve });
      next();
    });
}
/** What all that follows needs. */
const needed = async (name, command, args) => {
  if (await ended(command, args)) return;
  console.error(`${name} failed`);
  process.exit(1);
};

installPackages();
ensureChromium();
const inTurn = twoAtATime();
const node = process.execPath;
const check = (name, command, args) => inTurn(() => step(name, command, args));
const driver = inTurn(() => needed('the database driver', node, [driverScript]));
const compiled = inTurn(() => needed('compiling', node, [compiler, '-b', 'apps/server']));
const alone = [
  check('format', bin('prettier'), ['--check', '--log-level', 'warn', '.']),
  check('lint', bin('eslint'), ['.', '--max-warnings', '0']),
];
await compiled;
await Promise.all([
  driver,
  ...alone,
  inTurn(() =>
    needed('building the page', node, [
      '-e',
      "import('./scripts/steps.mjs').then(({ buildWeb }) => buildWeb())",
    ]),
  ),
  inTurn(() => needed('bundling the server', node, ['scripts/bundle.mjs'])),
  ...testedProjects.map((project) =>
    check(`types of the tests of ${project}`, node, [
      compiler,
      '-p',
      `${project}/tsconfig.tested.json`,
    ]),
  ),
  check('types of the web app', node, [compiler, '-p', 'apps/web']),
  check('types of the browser tests', node, [compiler, '-p', 'e2e']),
  check('boundaries', bin('depcruise'), [
    '--config',
    '.dependency-cruiser.cjs',
    'packages',
    'apps',
    '--output-type',
    'err',
  ]),
]);

const folder = mkdtempSync(join(tmpdir(), 'brookrain-results-'));
const readJson = (name) => JSON.parse(readFileSync(join(folder, name), 'utf8'));

/** Tests of some projects, in so many workers, each of which loads what they test once. */
async function unitTests(projects, workers) {
  const file = `${projects.join('-')}.json`;
  await ended(bin('vitest'), [
    'run',
    ...projects.flatMap((project) => ['--project', project]),
    `--maxWorkers=${workers}`,
    '--reporter=dot',
    '--reporter=json',
    `--outputFile.json=${join(folder, file)}`,
  ]);
  try {
    const unit = readJson(file);
    passed += unit.numPassedTests;
    failed += unit.numFailedTests;
    // A file that could not be loaded fails no test but must fail the run.
    failed += unit.testResults.filter(
      (f) => f.status === 'failed' && f.assertionResults.length === 0,
    ).length;
    if (unit.numTotalTests === 0) counted(`tests of ${projects.join(', ')} ran`, false);
  } catch (error) {
    console.error(error);
    counted(`tests of ${projects.join(', ')} ran`, false);
  }
}
part('install, compile and checks');
process.env.BROOKRAIN_TESTS = 'compiled';
await Promise.all([unitTests(['web'], 2), unitTests(['core', 'contract', 'server'], 2)]);
part('unit and API');

spawnSync(bin('playwright'), ['test', '--config', 'e2e/playwright.config.ts'], {
  cwd: root,
  stdio: ['ignore', 'inherit', 'inherit'],
  env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: join(folder, 'browser.json') },
});
try {
  const { stats } = readJson('browser.json');
  passed += stats.expected + stats.flaky;
  failed += stats.unexpected;
  if (stats.expected === 0) counted('browser tests ran', false);
} catch (error) {
  console.error(error);
  counted('browser tests ran', false);
}
part('browser');
rmSync(folder, { recursive: true, force: true });
const all = used.reduce((sum, { seconds }) => sum + seconds, 0);
console.log(
  `${all.toFixed(0)} processor seconds of at most ${MOST_SECONDS}: ${used
    .map(({ name, seconds }) => `${name} ${seconds.toFixed(0)}`)
    .join(', ')}`,
);
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
