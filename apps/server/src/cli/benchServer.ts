import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { entryAt, grownBuild, toBuildFile, fileTypes } from '@brookrain/core';
import { freePort } from '../freePort.ts';

const CLIENTS = 20;
const READS = 50;
const EDITS = 300;
const main = fileURLToPath(new URL('../main.js', import.meta.url));

/** Times of edits one after another and of reads by 20 clients at once, ms. */
export interface ServerTimes {
  readonly edit: number;
  /** the second thousand reads */
  readonly median: number;
  readonly p99: number;
  /** the first thousand, with connections being opened and code not yet compiled */
  readonly firstP99: number;
}

/** Makes edits one after another; the median time of one, ms. */
async function edits(url: string): Promise<number> {
  const times: number[] = [];
  for (let n = 1; n <= EDITS; n++) {
    const start = performance.now();
    const reply = await fetch(`${url}/commands`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        baseRevision: n,
        command: {
          name: 'set',
          path: ['brief', 'power'],
          value: { value: 500e3 - n, unit: 'kW' },
        },
      }),
    });
    await reply.arrayBuffer();
    if (reply.status !== 200) throw new Error(`an edit was answered with ${reply.status}`);
    times.push(performance.now() - start);
  }
  return median(times);
}

const median = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? NaN;

/** Brings the grown build in as a build of its own; its address. */
async function bringIn(server: string): Promise<string> {
  const { document, catalogue } = grownBuild();
  const reply = await fetch(`${server}/api/builds/import`, {
    method: 'POST',
    headers: { 'content-type': fileTypes.json },
    body: JSON.stringify(toBuildFile(document, catalogue)),
  });
  if (reply.status !== 201) throw new Error(await reply.text());
  const { id } = (await reply.json()) as { id: string };
  return `${server}/api/builds/${id}`;
}

/** Reads by 20 clients at once, 50 each, every fifth the history; times of one, ms. */
async function reads(url: string): Promise<{ median: number; p99: number }> {
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
  const at = (share: number): number => entryAt(times, Math.floor(share * (times.length - 1)));
  return { median: at(0.5), p99: at(0.99) };
}

/** A server of its own with a grown build of 300 edits, read by 20 clients, 50 times each. */
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
    const url = await bringIn(`http://127.0.0.1:${port}`);
    const edit = await edits(url);
    const first = await reads(url);
    const then = await reads(url);
    return { edit, median: then.median, p99: then.p99, firstP99: first.p99 };
  } finally {
    child.kill('SIGKILL');
    rmSync(folder, { recursive: true, force: true });
  }
}
