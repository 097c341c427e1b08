import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { freePort } from '../freePort.ts';

const CLIENTS = 20;
const READS = 50;
const EDITS = 300;
const main = fileURLToPath(new URL('../main.js', import.meta.url));

/** Times of reads by 20 clients at once, ms. */
export interface ServerTimes {
  readonly median: number;
  readonly p99: number;
}

async function edits(url: string): Promise<void> {
  for (let n = 1; n <= EDITS; n++) {
    await fetch(`${url}/commands`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        baseRevision: n,
        command: { name: 'set', path: 'description', value: `edit ${n}` },
      }),
    });
  }
}

/** A server of its own with a build of 300 edits, read by 20 clients, 50 times each. */
export async function benchServer(): Promise<ServerTimes> {
  const folder = mkdtempSync(join(tmpdir(), 'brookrain-bench-'));
  const port = await freePort();
  const child = spawn(process.execPath, [main], {
    env: { ...process.env, BROOKRAIN_DATA: folder, BROOKRAIN_PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  try {
    await new Promise<void>((resolve, reject) => {
      child.stdout.on('data', (text: Buffer) => text.toString().includes('ready') && resolve());
      child.once('exit', () => reject(new Error('the server did not start')));
    });
    const url = `http://127.0.0.1:${port}/api/builds/kittiwake`;
    await edits(url);
    const times: number[] = [];
    const client = async (): Promise<void> => {
      for (let n = 0; n < READS; n++) {
        const start = performance.now();
        await (await fetch(n % 5 === 4 ? `${url}/revisions` : url)).arrayBuffer();
        times.push(performance.now() - start);
      }
    };
    await Promise.all(Array.from({ length: CLIENTS }, client));
    times.sort((a, b) => a - b);
    const at = (share: number): number => times[Math.floor(share * (times.length - 1))]!;
    return { median: at(0.5), p99: at(0.99) };
  } finally {
    child.kill('SIGKILL');
    rmSync(folder, { recursive: true, force: true });
  }
}
