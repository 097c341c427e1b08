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
import { heavyRequests } from '../attack/heavyRequests.ts';
import { killRounds } from '../attack/killRounds.ts';
import { type RunningServer, killed, startProgram } from '../attack/runningServer.ts';
import { lockOut, resetConnections } from '../attack/strangers.ts';
import { recordsKept, restoredTimeline } from '../attack/timeline.ts';

const KILLS = 200;
const REQUESTS = 10_000;
const AT_ONCE = 4;
/** Most processor time of the main thread that one request may take, ms. */
const BLOCK = 100;
/** Longest that the program may take to say that it is well, ms of the clock. */
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

async function hostile(seed: number): Promise<Line[]> {
  const folder = mkdtempSync(join(tmpdir(), 'brookrain-attack-'));
  // The limit on writes would take the attack off it.
  const server = await startProgram(folder, { BROOKRAIN_WRITES: '1000000' });
  const lines: Line[] = [];
  const groups: readonly (readonly [string, readonly HostileRequest[]])[] = [
    ['bodies that cost more than they weigh', bombs()],
    ['damaged build files', fc.sample(damagedFiles(), { numRuns: REQUESTS * 0.4, seed })],
    ['damaged tables', fc.sample(damagedTables(), { numRuns: REQUESTS * 0.4, seed })],
    ['any body on any route', fc.sample(anyBodies, { numRuns: REQUESTS * 0.2, seed })],
  ];
  for (const [name, requests] of groups) {
    const watch = await watchHealth(server.url);
    const counts = await sendAll(server.url, requests);
    const { longest, p99, failed } = await watch.stop();
    const errors = [...counts].filter(([status]) => status >= 500).reduce((n, [, c]) => n + c, 0);
    lines.push({
      what: `${requests.length} ${name}`,
      goal: `no 5xx, < ${HEALTH} ms`,
      measured: `${told(counts)}; health longest ${longest.toFixed(0)} ms, p99 ${p99.toFixed(0)} ms`,
      holds: errors === 0 && failed === 0 && longest < HEALTH,
    });
  }
  await killed(server.process);
  rmSync(folder, { recursive: true, force: true });
  return lines;
}

/** One line of the table. */
interface Line {
  readonly what: string;
  readonly goal: string;
  readonly measured: string;
  readonly holds: boolean;
}

async function inFolder<Result>(act: (folder: string) => Promise<Result>): Promise<Result> {
  const folder = mkdtempSync(join(tmpdir(), 'brookrain-attack-'));
  try {
    return await act(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const wrongOrNone = (what: string, wrong: readonly string[]): Line => ({
  what,
  goal: 'nothing wrong',
  measured: wrong.length === 0 ? 'nothing wrong' : wrong.join('; '),
  holds: wrong.length === 0,
});

async function kills(): Promise<Line[]> {
  const { rounds, accepted, entries, wrong } = await inFolder((folder) =>
    killRounds(folder, KILLS),
  );
  const what = `${rounds} kills while it wrote ${accepted} edits and ${entries} entries`;
  return [wrongOrNone(what, wrong)];
}

/** A program on new data that no limit on writes takes the attack off. */
const onNewData = <Result>(act: (server: RunningServer) => Promise<Result>): Promise<Result> =>
  inFolder(async (folder) => {
    const server = await startProgram(folder, { BROOKRAIN_WRITES: '1000000' });
    try {
      return await act(server);
    } finally {
      await killed(server.process);
    }
  });

/**
 * Requests as large as the limits accept: what each costs the main thread, and, once more with somebody
 * asking, the health meanwhile: each question costs processor time, too.
 */
const heavy = async (): Promise<Line[]> => {
  const outcomes = await onNewData(heavyRequests);
  const { longest } = await onNewData(async (server) => {
    const watch = await watchHealth(server.url);
    await heavyRequests(server);
    return watch.stop();
  });
  return [
    ...outcomes.map(({ name, status, main, wall }): Line => ({
      what: name,
      goal: `< ${BLOCK} ms main`,
      measured: `${main.toFixed(0)} ms of the main thread, ${wall.toFixed(0)} ms in all, ${status}`,
      holds: main < BLOCK && status < 500,
    })),
    {
      what: 'health meanwhile, on a machine whose cores are all at work',
      goal: 'not judged',
      measured: `longest ${longest.toFixed(0)} ms`,
      holds: true,
    },
  ];
};

const strangers = (): Promise<Line[]> =>
  inFolder(async (folder) => {
    const written = await resetConnections(folder);
    const server = await startProgram(folder, { BROOKRAIN_WORKSHOP: '127.0.0.2' });
    await fetch(`${server.url}/api/workshop`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: '{"open":true}',
    });
    const paired = await lockOut(server);
    await killed(server.process);
    return [
      {
        what: 'requests of strangers followed by a reset',
        goal: 'nothing let in',
        measured: written === undefined ? 'not tried: in no network' : `${written} writes made`,
        holds: written === undefined || written === 0,
      },
      {
        what: 'a device paired after wrong codes of strangers',
        goal: 'paired',
        measured: paired ? 'paired' : 'locked out',
        holds: paired,
      },
    ];
  });

const timelines = async (): Promise<Line[]> => [
  wrongOrNone('edits of two editors over a restore', await inFolder(restoredTimeline)),
  wrongOrNone('entries of the record over restarts and kills', await inFolder(recordsKept)),
];

/** The long attack; prints one table of goal and measured. */
export async function runAttack(seed = Date.now() % 1e6): Promise<boolean> {
  console.log(`seed ${seed}`);
  const lines: Line[] = [];
  for (const part of [strangers, timelines, heavy, () => hostile(seed), kills]) {
    lines.push(...(await part()));
  }
  const width = Math.max(...lines.map(({ what }) => what.length));
  for (const { what, goal, measured, holds } of lines) {
    console.log(
      `${holds ? 'holds ' : 'FAILED'} ${what.padEnd(width)}  ${goal.padEnd(16)}  ${measured}`,
    );
  }
  return lines.every(({ holds }) => holds);
}
