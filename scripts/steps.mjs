// Shared steps of the commands: install, compile, browser. Each runs only when it is needed.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url)).replace(/\/$/, '');
export const chromiumPath = '/usr/bin/chromium';

/** Runs a command; `quiet` sends its output to standard error, so that standard output stays clean. */
export function run(command, args, options = {}) {
  const { quiet = false, env = {}, allowFailure = false } = options;
  const result = spawnSync(command, args, {
    cwd: root,
    stdio: ['ignore', quiet ? 2 : 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  if (result.status !== 0 && !allowFailure) {
    console.error(`${command} ${args.join(' ')} failed`);
    process.exit(result.status ?? 1);
  }
  return result.status ?? 1;
}

export const bin = (name) => join(root, 'node_modules', '.bin', name);

/** The native compiler; lint and the schemas need the one with an interface for programs. */
export const compiler = join(root, 'node_modules', 'typescript-native', 'bin', 'tsc');

/** Installs from the lock file when it changed since the last time, or never was. */
export function install() {
  installPackages();
  run(process.execPath, [driverScript], { quiet: true });
}

/** Puts the database driver's binary in place: the only package with a binary of its own. */
export const driverScript = 'scripts/databaseDriver.mjs';

/** Installs all but the database driver's binary, which {@link driverScript} puts in place. */
export function installPackages() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = join(root, 'node_modules', '.brookrain-lock');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.error('Installing packages');
  run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error'], {
    quiet: true,
  });
  writeFileSync(stamp, lock);
}

/** Compiles core, contract and server. */
export function compile(options = {}) {
  run(process.execPath, [compiler, '-b', 'apps/server'], { quiet: options.quiet ?? false });
}

/** Bundles server and command line unless what is bundled is newer than all that was compiled. */
export function bundleServer(options = {}) {
  const main = join(root, 'apps/server/bundle/main.js');
  const made = existsSync(main) ? statSync(main).mtimeMs : 0;
  const compiled = ['packages/core/dist', 'packages/contract/dist', 'apps/server/dist'];
  if ([...compiled, 'scripts/bundle.mjs', 'package-lock.json'].every((path) => made > newest(path)))
    return;
  run(process.execPath, ['scripts/bundle.mjs'], { quiet: options.quiet ?? false });
}

/** Where tests are compiled with what they test, into a folder of their own beside the source. */
export const testedProjects = ['packages/core', 'packages/contract', 'apps/server'];

/** Builds the web app unless what is built is newer than every source. */
export function buildWeb() {
  const page = join(root, 'apps/web/dist/index.html');
  const built = existsSync(page) ? statSync(page).mtimeMs : 0;
  if (
    built > newest('apps/web/src') &&
    built > newest('apps/web/index.html') &&
    built > newest('apps/web/vite.config.ts') &&
    built > newest('packages/core/package.json') &&
    built > newest('packages/core/dist') &&
    built > newest('packages/contract/dist')
  )
    return;
  run(bin('vite'), ['build', 'apps/web', '--logLevel', 'warn']);
  run(process.execPath, ['scripts/serviceWorker.mjs']);
}

function newest(path) {
  const found = spawnSync('find', [join(root, path), '-type', 'f', '-printf', '%T@\n'], {
    encoding: 'utf8',
    maxBuffer: 64e6,
  }).stdout;
  return Math.max(0, ...found.split('\n').filter(Boolean).map(Number)) * 1000;
}

/** Chromium for browser tests: installed from Debian's packages when missing and allowed. */
export function ensureChromium() {
  if (existsSync(chromiumPath)) return;
  console.error('Installing Chromium from Debian’s packages');
  if (process.getuid?.() === 0) {
    run('apt-get', ['update', '-q'], { quiet: true, allowFailure: true });
    run('apt-get', ['install', '-y', '-q', '--no-install-recommends', 'chromium'], {
      quiet: true,
      allowFailure: true,
      env: { DEBIAN_FRONTEND: 'noninteractive' },
    });
  }
  if (!existsSync(chromiumPath)) {
    console.error('Browser tests need Chromium at /usr/bin/chromium: apt-get install chromium');
    process.exit(1);
  }
}

export function folder(path) {
  mkdirSync(dirname(join(root, path)), { recursive: true });
  return join(root, path);
}
