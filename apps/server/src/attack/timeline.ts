import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { BuildReply, RecordReply, SnapshotReply, SnapshotsReply } from '@brookrain/contract';
import { runRestore } from '../cli/restore.ts';
import { sendEntry } from './sendEntry.ts';
import { killed, startProgram } from './runningServer.ts';

const post = (url: string, body: object): Promise<Response> =>
  fetch(url, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
const read = async (url: string): Promise<BuildReply> =>
  (await (await fetch(`${url}/api/builds/lantern`)).json()) as BuildReply;
const setting = (value: string) => ({ name: 'set', path: ['description'], value });

/**
 * Two editors and a restore: one has seen revisions that a snapshot does not have, and sends what it
 * made on them after another went on from the snapshot. What was wrong, in words.
 */
export async function restoredTimeline(folder: string): Promise<string[]> {
  const wrong: string[] = [];
  let server = await startProgram(folder);
  const edit = (from: BuildReply, value: string): Promise<Response> =>
    post(`${server.url}/api/builds/lantern/commands`, {
      baseRevision: from.revision,
      generation: from.generation,
      command: setting(value),
    });
  try {
    const taken = (await (await post(`${server.url}/api/snapshots`, {})).json()) as SnapshotReply;
    for (let n = 0; n < 5; n++) await edit(await read(server.url), `before ${n}`);
    const seen = await read(server.url);
    await killed(server.process);
    const status = runRestore(join(folder, 'snapshots', taken.file), { BROOKRAIN_DATA: folder });
    if (status !== 0) wrong.push(`restore ended with ${status}`);
    server = await startProgram(folder);
    for (let n = 0; n < 5; n++) await edit(await read(server.url), `after ${n}`);
    const now = await read(server.url);
    if (now.revision !== seen.revision) wrong.push('the revisions were not made to be alike');
    const queued = await edit(seen, 'over words it never saw');
    if (queued.status !== 409) wrong.push(`an edit of before the restore: ${queued.status}`);
    const bare = await post(`${server.url}/api/builds/lantern/commands`, {
      baseRevision: now.revision,
      command: setting('says nothing of what it saw'),
    });
    if (bare.status !== 409) wrong.push(`an edit that says nothing: ${bare.status}`);
    if ((await read(server.url)).revision !== now.revision) wrong.push('something was written');
  } finally {
    await killed(server.process);
  }
  return wrong;
}

/** Entries of the record over restarts and kills: in snapshots, and missed when they are gone. */
export async function recordsKept(folder: string): Promise<string[]> {
  const wrong: string[] = [];
  const record = '/api/builds/lantern/record';
  let acknowledged = 0;
  let server = await startProgram(folder);
  const add = async (count: number): Promise<void> => {
    for (let n = 0; n < count; n++) {
      const reply = await sendEntry(`${server.url}/api/builds/lantern`, acknowledged);
      if (reply.status === 201) acknowledged += 1;
      else wrong.push(`an entry was answered ${reply.status}`);
    }
  };
  const snapshots = (): number => readdirSync(join(folder, 'snapshots')).length;
  try {
    const before = snapshots();
    await add(30);
    await killed(server.process);
    server = await startProgram(folder);
    const asked = (): Promise<SnapshotsReply> =>
      fetch(`${server.url}/api/snapshots`).then((reply) => reply.json() as Promise<SnapshotsReply>);
    const end = Date.now() + 10_000;
    while (snapshots() === before && Date.now() < end) await asked();
    if (snapshots() === before) wrong.push('30 entries and a restart: no snapshot');
    await add(30);
    const { entries } = (await (await fetch(`${server.url}${record}`)).json()) as RecordReply;
    if (entries.length !== acknowledged)
      wrong.push(`${acknowledged} acknowledged, ${entries.length} there`);
  } finally {
    await killed(server.process);
  }
  return wrong;
}
