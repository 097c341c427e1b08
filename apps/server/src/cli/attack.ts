import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { watchHealth } from '../attack/healthWatch.ts';
import {
  type HostileRequest,
  anyBodies,
  bombs,
  damagedFiles,
  damagedTables,
} from '../attack/hostile.ts';
import { killRounds } from '../attack/killRounds.ts';
import { killed, startProgram } from '../attack/runningServer.ts';

const KILLS = 200;
const REQUESTS = 10_000;
const AT_ONCE = 4;
/** Longest that the program may take to say that it is well, ms. */
const HEALTH = 200;

async function send(url: string, { path, type, body }: HostileRequest): Promise<number> {
  const reply = await fetch(`${url}${path}`, {
    method: 'POST',
    headers: { 'content-type': type },
    body,
  });
  await reply.arrayBuffer();
  return reply.status;
}

/** Sends requests a few at a time; how many were answered with each status. */
async function sendAll(
  url: string,
  requests: readonly HostileRequest[],
): Promise<ReadonlyMap<number, number>> {
  const counts = new Map<number, number>();
  let next = 0;
  const one = async (): Promise<void> => {
    for (let request = requests[next++]; request; request = requests[next++]) {
      const status = await send(url, request);
      counts.set(status, (counts.get(status) ?? 0) + 1);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, one));
  return counts;
}

const told = (counts: ReadonlyMap<number, number>): string =>
  [...counts].map(([status, count]) => `${count} × ${status}`).join(', ');

async function hostile(seed: number): Promise<boolean> {
  const folder = mkdtempSync(join(tmpdir(), 'brookrain-attack-'));
  // The limit on writes would take the attack off it.
  const server = await startProgram(folder, { BROOKRAIN_WRITES: '1000000' });
  let good = true;
  const groups: readonly (readonly [string, readonly HostileRequest[]])[] = [
    ['bodies that cost more than they weigh', bombs()],
    ['damaged build files', fc.sample(damagedFiles(), { numRuns: REQUESTS * 0.4, seed })],
    ['damaged tables', fc.sample(damagedTables(), { numRuns: REQUESTS * 0.4, seed })],
    ['any body on any route', fc.sample(anyBodies, { numRuns: REQUESTS * 0.2, seed })],
  ];
  for (const [name, requests] of groups) {
    const watch = await watchHealth(server.url);
    const counts = await sendAll(server.url, requests);
    const { longest, p99, asked, failed } = await watch.stop();
    const errors = [...counts].filter(([status]) => status >= 500).reduce((n, [, c]) => n + c, 0);
    const holds = errors === 0 && failed === 0 && longest < HEALTH;
    good &&= holds;
    console.log(
      `${holds ? 'holds ' : 'FAILED'} ${requests.length} ${name}: ${told(counts)}; health asked ${asked} times, longest ${longest.toFixed(0)} ms, p99 ${p99.toFixed(0)} ms`,
    );
  }
  await killed(server.process);
  rmSync(folder, { recursive: true, force: true });
  return good;
}

async function kills(): Promise<boolean> {
  const folder = mkdtempSync(join(tmpdir(), 'brookrain-kills-'));
  const { rounds, accepted, wrong } = await killRounds(folder, KILLS);
  rmSync(folder, { recursive: true, force: true });
  console.log(
    `${wrong.length === 0 ? 'holds ' : 'FAILED'} killed ${rounds} times while it wrote: ${accepted} edits acknowledged, ${wrong.length === 0 ? 'none lost, none made twice' : wrong.join('; ')}`,
  );
  return wrong.length === 0;
}

/** The long attack: hostile requests with the health watched, then kill upon kill. */
export async function runAttack(seed = Date.now() % 1e6): Promise<boolean> {
  console.log(`seed ${seed}`);
  const first = await hostile(seed);
  const second = await kills();
  return first && second;
}
