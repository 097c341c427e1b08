import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { type Server, createServer } from '../createServer.ts';

let folder: string;
let server: Server;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'brookrain-writes-'));
  server = await createServer({ dataFolder: folder, webFolder: folder, writes: 5 });
});
afterEach(async () => {
  await server.close();
  rmSync(folder, { recursive: true, force: true });
});

const http = () => request(server.app.getHttpServer());
const edit = (baseRevision: number) =>
  http()
    .post('/api/builds/lantern/commands')
    .send({
      baseRevision,
      command: { name: 'set', path: ['description'], value: `edit ${baseRevision}` },
    });

test('what writes more often than people do is held up, and nothing of it is made', async () => {
  for (let revision = 1; revision <= 5; revision++) await edit(revision).expect(200);
  const { body } = await edit(6).expect(429);
  expect((body as { message: string }).message).toContain('was not made');
  const { body: build } = await http().get('/api/builds/lantern').expect(200);
  expect((build as { revision: number }).revision).toBe(6);
});

test('reading is not counted, and one kind of writing does not hold up another', async () => {
  for (let revision = 1; revision <= 5; revision++) await edit(revision).expect(200);
  for (let n = 0; n < 30; n++) await http().get('/api/builds').expect(200);
  await http().post('/api/builds/lantern/copy').send({ name: 'Another' }).expect(201);
});

test('snapshots are taken a few times a minute, not hundreds of times', async () => {
  const answers: number[] = [];
  for (let n = 0; n < 24; n++) answers.push((await http().post('/api/snapshots').send({})).status);
  expect(answers.filter((status) => status === 201)).toHaveLength(20);
  expect(answers.filter((status) => status === 429)).toHaveLength(4);
});
