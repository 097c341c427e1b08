import type { BuildReply, RecordReply, RevisionReply } from '@brookrain/contract';
import { sendEntry } from './sendEntry.ts';
import { type RunningServer, killed, startProgram } from './runningServer.ts';

/** Adds an entry to the record; undefined where no answer came. */
const note = (url: string, n: number): Promise<Response | undefined> =>
  sendEntry(url, n).catch(() => undefined);

/** What came of killing the program again and again. */
export interface KillOutcome {
  readonly rounds: number;
  readonly accepted: number;
  /** entries of the record that were acknowledged */
  readonly entries: number;
  /** acknowledged edits that were not there afterwards, edits made twice, and what else was wrong */
  readonly wrong: readonly string[];
}

const post = (url: string, baseRevision: number, n: number): Promise<Response> =>
  fetch(`${url}/commands`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      baseRevision,
      editId: `edit-${String(n).padStart(8, '0')}`,
      command: { name: 'set', path: ['description'], value: `edit ${n}` },
    }),
  });

/**
 * Edits Lantern on a data folder and kills the program while it writes, so many times. Each round asks
 * for every edit that was acknowledged, and sends the one that was on its way once more.
 */
export async function killRounds(folder: string, rounds: number): Promise<KillOutcome> {
  const wrong: string[] = [];
  let accepted = 0;
  let entries = 0;
  let server: RunningServer | undefined;
  try {
    for (let round = 0; round < rounds; round++) {
      server = await startProgram(folder);
      const url = `${server.url}/api/builds/lantern`;
      const now = (await (await fetch(url)).json()) as BuildReply;
      // Every accepted edit is there; the one that was on its way may be, too.
      const made = Number(/edit (\d+)/.exec(now.document.description)?.[1] ?? 0);
      if (made < accepted) wrong.push(`round ${round}: ${accepted - made} edits lost`);
      if (made > accepted + 1) wrong.push(`round ${round}: ${made} made, ${accepted} acknowledged`);
      if (now.revision !== 1 + made) wrong.push(`round ${round}: revision ${now.revision}`);
      const record = (await (await fetch(`${url}/record`)).json()) as RecordReply;
      if (record.entries.length < entries) {
        wrong.push(`round ${round}: ${entries - record.entries.length} entries lost`);
      }
      if (record.entries.length > entries + 1) wrong.push(`round ${round}: entries kept twice`);
      entries = record.entries.length;
      // Sent again with the same id the one on its way is made exactly once.
      const again = (await (await post(url, 1 + accepted, accepted + 1)).json()) as BuildReply;
      if (again.revision !== 2 + accepted) wrong.push(`round ${round}: made twice or not at all`);
      accepted += 1;
      const killAfter = accepted + 1 + (round % 4);
      for (;;) {
        const noted = note(url, entries);
        const answer = post(url, 1 + accepted, accepted + 1);
        if (accepted + 1 === killAfter) server.process.kill('SIGKILL');
        const reply = await answer.catch(() => undefined);
        if ((await noted)?.status === 201) entries += 1;
        if (reply === undefined) break;
        if (reply.status !== 200) wrong.push(`round ${round}: answered ${reply.status}`);
        accepted += 1;
      }
      await killed(server.process);
    }
    server = await startProgram(folder);
    const { revision } = (await (
      await fetch(`${server.url}/api/builds/lantern`)
    ).json()) as BuildReply;
    if (revision - 1 < accepted) wrong.push(`${accepted} acknowledged, revision ${revision}`);
    const newest = (await (
      await fetch(`${server.url}/api/builds/lantern/revisions`)
    ).json()) as RevisionReply[];
    if (new Set(newest.map(({ number }) => number)).size !== newest.length) {
      wrong.push('revisions stand in the history twice');
    }
  } finally {
    if (server) await killed(server.process);
  }
  return { rounds, accepted, entries, wrong };
}
