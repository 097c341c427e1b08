import { randomUUID } from 'node:crypto';
import type { TestServer } from './testServer.ts';

/** An entry of the record as a phone sends it. */
export const recordEntry = (n: number) => ({
  id: randomUUID(),
  kind: 'cut',
  subject: `wire-${n}`,
  said: { length: 1 },
  revision: 1,
  time: '2026-11-27T10:00:00.000Z',
});

/** Adds entries to the record of Lantern, one request each. */
export async function addEntries(server: TestServer, count: number): Promise<void> {
  for (let n = 0; n < count; n++) {
    await server
      .http()
      .post('/api/builds/lantern/record')
      .send({ entries: [recordEntry(n)] })
      .expect(201);
  }
}
