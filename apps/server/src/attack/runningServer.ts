import { type ChildProcess, spawn } from 'node:child_process';
import { join } from 'node:path';
import { freePort } from '../freePort.ts';
import { serverFolder } from '../serverFolder.ts';

/** The compiled program, also where this is run from its source. */
export const compiledMain = join(serverFolder, 'dist/main.js');

/** The program as `npm start` runs it, bundled by `scripts/bundle.mjs`. */
export const bundledMain = join(serverFolder, 'bundle/main.js');

/** A server as a process of its own. */
export interface RunningServer {
  readonly process: ChildProcess;
  readonly url: string;
}

/** Starts the server on a data folder and waits until it says that it is ready. */
export async function startProgram(
  folder: string,
  settings: Readonly<Record<string, string>> = {},
  main = compiledMain,
): Promise<RunningServer> {
  const port = await freePort();
  return new Promise((resolve, reject) => {
    const started = spawn(process.execPath, [main], {
      env: {
        ...process.env,
        ...settings,
        BROOKRAIN_DATA: folder,
        BROOKRAIN_PORT: String(port),
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let said = '';
    started.stderr.on('data', (text: Buffer) => (said += text.toString()));
    started.stdout.on('data', (text: Buffer) => {
      if (text.toString().includes('ready')) {
        resolve({ process: started, url: `http://127.0.0.1:${port}` });
      }
    });
    started.on('exit', (code) => reject(new Error(`the server ended with ${code}: ${said}`)));
  });
}

/** Ends a process at once and waits until it is gone. */
export const killed = (child: ChildProcess): Promise<void> =>
  child.exitCode !== null || child.signalCode !== null
    ? Promise.resolve()
    : new Promise((resolve) => {
        child.once('exit', () => resolve());
        child.kill('SIGKILL');
      });
