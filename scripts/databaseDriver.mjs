// Puts the database driver's binary in place: fetched ready-made where it can be, else compiled.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const modules = fileURLToPath(new URL('../node_modules', import.meta.url));
const driver = join(modules, 'better-sqlite3');
const binary = join(driver, 'build/Release/better_sqlite3.node');
const TOLD_EVERY = 15_000;

/** Whether the driver opens a database on this machine. */
const works = () =>
  existsSync(binary) &&
  spawnSync(process.execPath, ['-e', "new (require('better-sqlite3'))(':memory:').close()"], {
    cwd: driver,
    stdio: 'ignore',
  }).status === 0;

function fetched() {
  const prebuild = join(modules, '.bin', 'prebuild-install');
  if (!existsSync(prebuild)) return false;
  return spawnSync(prebuild, [], { cwd: driver, stdio: 'ignore', timeout: 60_000 }).status === 0;
}

/** Its own -O3 takes twice as long to compile; what is stored here is small. */
const QUICKLY = '-O1';

async function compiled() {
  const began = Date.now();
  const npm = spawn('npm', ['rebuild', 'better-sqlite3', '--loglevel=error'], {
    cwd: join(modules, '..'),
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      CFLAGS: QUICKLY,
      CXXFLAGS: QUICKLY,
      JOBS: '2',
      npm_config_build_from_source: 'true',
    },
  });
  const told = setInterval(
    () => console.error(`  compiling for ${Math.round((Date.now() - began) / 1000)} s`),
    TOLD_EVERY,
  );
  await new Promise((resolve) => npm.once('exit', resolve));
  clearInterval(told);
}

if (!works()) {
  if (fetched() && works()) {
    console.error('Database driver: fetched ready-made for this machine');
  } else {
    console.error(
      'Database driver: no ready-made file can be fetched here, so it is compiled; that takes a minute, or two',
    );
    await compiled();
  }
}
if (!works()) {
  console.error('The database driver could not be compiled. It needs python3, make and g++:');
  console.error('  apt-get install python3 make g++');
  process.exit(1);
}
