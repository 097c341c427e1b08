import { fileTypes } from '@brookrain/core';
import { sampleCatalogue } from '@brookrain/core';
import type { BuildReply } from '@brookrain/contract';
import { CORNERS, largestFile, largestHarness } from './largeBuilds.ts';
import { mainThreadSeconds } from './mainThread.ts';
import type { RunningServer } from './runningServer.ts';

/** What one heavy request cost. */
export interface HeavyOutcome {
  readonly name: string;
  readonly status: number;
  /** processor time of the main thread, ms */
  readonly main: number;
  /** until the answer, ms */
  readonly wall: number;
}

const JSON_TYPE = 'application/json';

/** Requests that are as large as the limits accept, or larger, one after another. */
export async function heavyRequests(server: RunningServer): Promise<HeavyOutcome[]> {
  const outcomes: HeavyOutcome[] = [];
  const pid = server.process.pid!;
  const send = async (
    name: string,
    path: string,
    body: string,
    type = JSON_TYPE,
    method = 'POST',
  ): Promise<unknown> => {
    const [before, start] = [mainThreadSeconds(pid), performance.now()];
    const reply = await fetch(`${server.url}/api${path}`, {
      method,
      ...(method === 'GET' ? {} : { headers: { 'content-type': type }, body }),
    });
    const text = await reply.text();
    outcomes.push({
      name,
      status: reply.status,
      main: (mainThreadSeconds(pid) - before) * 1e3,
      wall: performance.now() - start,
    });
    return JSON.parse(text.startsWith('{') ? text : '{}') as unknown;
  };
  const get = (name: string, path: string) => send(name, path, '', JSON_TYPE, 'GET');

  // The threads are begun by what comes first.
  await fetch(`${server.url}/api/builds/lantern/state`).then((reply) => reply.text());
  await send(
    'import of a harness beyond the size of a build',
    '/builds/import',
    largestFile(CORNERS.most),
    fileTypes.json,
  );
  const made = (await send(
    'import of the largest harness',
    '/builds/import',
    largestFile(),
    fileTypes.json,
  )) as BuildReply;
  const at = `/builds/${made.id}`;
  let { revision } = made;
  const edit = async (name: string, command: object, base = revision): Promise<void> => {
    const body = JSON.stringify({ baseRevision: base, command });
    const reply = (await send(name, `${at}/commands`, body)) as BuildReply;
    if (reply.document) revision = reply.revision;
  };
  await edit('an edit of it', { name: 'set', path: ['description'], value: 'large' });
  await get('reading it', at);
  await get('its file', `${at}/build.json`);
  await get('an earlier revision of it', `${at}/revisions/1`);
  await send('copying it', `${at}/copy`, JSON.stringify({ name: 'Copy of the largest' }));
  await edit('a stale edit of it', { name: 'set', path: ['description'], value: 'stale' }, 1);
  const back = await send(
    'going back',
    `${at}/go-back`,
    JSON.stringify({ baseRevision: revision, revision: 1 }),
  );
  revision = (back as BuildReply).revision;
  const undone = await send('undo', `${at}/undo`, JSON.stringify({ baseRevision: revision }));
  revision = (undone as BuildReply).revision;
  await send(
    'what a file would change of it',
    `${at}/import/preview`,
    largestFile(),
    fileTypes.json,
  );
  await edit('a document beyond the size of a build', {
    name: 'replace-document',
    document: largestHarness(CORNERS.most),
  });
  const { harness } = largestHarness();
  const several = Array.from({ length: 200 }, () => ({
    path: ['harness'],
    value: harness.breakouts,
  }));
  await edit('200 × a collection at once', { name: 'set-several', changes: several });
  await edit('a whole document of the largest size', {
    name: 'replace-document',
    document: largestHarness(),
  });
  const empty = Object.fromEntries(Array.from({ length: 2998 }, (_, i) => [`e${i}`, {}]));
  await edit('2998 empty entries', { name: 'set', path: ['placements'], value: empty });
  const few = Object.fromEntries(
    Object.keys(made.document.placements)
      .slice(0, 1)
      .map((id) => [id, made.document.placements[id]]),
  );
  await edit('a collection nearly emptied', { name: 'set', path: ['placements'], value: few });
  const entry = {
    id: 'x'.repeat(10),
    kind: 'cut',
    subject: 's',
    said: {},
    revision: 1,
    time: '2026-01-01T00:00:00Z',
  };
  await send(
    '20 000 entries of the record',
    `${at}/record`,
    JSON.stringify({ entries: Array.from({ length: 20_000 }, () => entry) }),
  );
  await send(
    '20 000 empty entries of the record',
    `${at}/record`,
    JSON.stringify({ entries: Array.from({ length: 19_999 }, () => ({})) }),
  );
  const ecu = sampleCatalogue.items.find(({ category }) => category === 'ecu');
  const pins = Array.from({ length: 19_999 }, (_, i) => ({ id: `p${i}` }));
  await send(
    'an item with 19 999 pins',
    '/catalogue/items',
    JSON.stringify({ item: { ...ecu, id: 'MANY', pins } }),
  );
  return outcomes;
}
