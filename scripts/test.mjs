// npm test: everything CI does, on a machine that may have nothing. Ends with one line of counts.
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  bin,
  buildWeb,
  compile,
  compiler,
  driverScript,
  ensureChromium,
  installPackages,
  root,
  testedProjects,
} from './steps.mjs';

let passed = 0;
let failed = 0;
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

installPackages();
ensureChromium();
// Two things at a time: the driver is compiled beside what does not need it.
const driver = ended(process.execPath, [driverScript]);
await step('format', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
compile();
await Promise.all([
  (async () => {
    await step('lint', bin('eslint'), ['.', '--max-warnings', '0']);
    await step('types of the web app', process.execPath, [compiler, '-p', 'apps/web']);
    for (const project of testedProjects) {
      const config = `${project}/tsconfig.tested.json`;
      await step(`types of the tests of ${project}`, process.execPath, [compiler, '-p', config]);
    }
  })(),
  (async () => {
    if (!(await driver)) process.exit(1);
    await step('boundaries', bin('depcruise'), [
      '--config',
      '.dependency-cruiser.cjs',
      'packages',
      'apps',
      '--output-type',
      'err',
    ]);
    await step('types of the browser tests', process.execPath, [compiler, '-p', 'e2e']);
  })(),
]);
buildWeb();

const folder = mkdtempSync(join(tmpdir(), 'brookrain-results-'));
const readJson = (name) => JSON.parse(readFileSync(join(folder, name), 'utf8'));

spawnSync(
  bin('vitest'),
  ['run', '--reporter=dot', '--reporter=json', `--outputFile.json=${join(folder, 'unit.json')}`],
  {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, BROOKRAIN_TESTS: 'compiled' },
  },
);
try {
  const unit = readJson('unit.json');
  passed += unit.numPassedTests;
  failed += unit.numFailedTests;
  // A file that could not be loaded fails no test but must fail the run.
  failed += unit.testResults.filter(
    (f) => f.status === 'failed' && f.assertionResults.length === 0,
  ).length;
  if (unit.numTotalTests === 0) counted('unit tests ran', false);
} catch (error) {
  console.error(error);
  counted('unit tests ran', false);
}

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
rmSync(folder, { recursive: true, force: true });
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
