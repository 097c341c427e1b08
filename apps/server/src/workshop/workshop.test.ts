import { mkdtempSync, rmSync } from 'node:fs';
import { get } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { PairingReply, RecordReply, WorkshopReply } from '@brookrain/contract';
import request from 'supertest';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { type Server, createServer } from '../createServer.ts';
import { WRONG_OF_ONE } from './pairingCodes.ts';

/** The address at which other devices find the program here. */
const OUTSIDE = '127.0.0.2';
let folder: string;
let server: Server;
let port: number;

const start = async (): Promise<void> => {
  server = await createServer({
    dataFolder: folder,
    webFolder: join(folder, 'no-web'),
    workshop: OUTSIDE,
  });
  port = await server.listen(0, '127.0.0.1');
};
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'brookrain-workshop-'));
  await start();
});
afterEach(async () => {
  await server.close();
  rmSync(folder, { recursive: true, force: true });
});

const own = () => request(`http://127.0.0.1:${port}`);
const outside = () => request(`http://${OUTSIDE}:${port}`);
const open = (isOpen = true) => own().put('/api/workshop').send({ open: isOpen }).expect(200);
const codeFor = async (): Promise<PairingReply> =>
  (await own().post('/api/workshop/codes').send({}).expect(201)).body as PairingReply;
/** Pairs a device; the cookie that it keeps. */
const paired = async (name = 'Phone'): Promise<string> => {
  const { code } = await codeFor();
  const reply = await outside().post('/api/pair').send({ code, name }).expect(201);
  return String(reply.headers['set-cookie']).split(';')[0]!;
};
/** Whether anything answers at the address of the workshop. */
const answers = (): Promise<boolean> =>
  new Promise((resolve) => {
    get(`http://${OUTSIDE}:${port}/`, (reply) => {
      reply.resume();
      resolve(true);
    }).on('error', () => resolve(false));
  });

describe('the door to the workshop', () => {
  test('is closed until it is opened, opens again after a restart, and closes at once', async () => {
    expect(await answers()).toBe(false);
    await own().post('/api/workshop/codes').send({}).expect(409);
    const { body } = await open();
    expect((body as WorkshopReply).urls).toEqual([`http://${OUTSIDE}:${port}`]);
    expect(await answers()).toBe(true);
    await server.close();
    await start();
    expect(await answers()).toBe(true);
    await open(false);
    expect(await answers()).toBe(false);
  });

  test('shows a device that is not paired the pairing page, whatever it asks for', async () => {
    await open();
    const { body: api } = await own().get('/api/openapi.json').expect(200);
    const { paths } = api as { paths: Record<string, Record<string, unknown>> };
    const routes = Object.entries(paths).flatMap(([path, methods]) =>
      Object.keys(methods).flatMap((method) =>
        path === '/api/pair' ? [] : [[method, path.replace(/\{[^}]+\}/g, 'lantern')] as const],
      ),
    );
    expect(routes.length).toBeGreaterThan(40);
    for (const [method, path] of [
      ...routes,
      ['get', '/api/openapi.json'] as const,
      ['get', '/api/events'] as const,
      ['get', '/api/builds/lantern'] as const,
    ]) {
      const asked = outside()[method as 'get' | 'post' | 'put'](path);
      const reply = await (method === 'get' ? asked : asked.send({}));
      expect(reply.status, `${method} ${path}`).toBe(401);
      expect(reply.text, path).not.toContain('Lantern');
    }
    for (const path of ['/', '/builds/lantern', '/assets/index.js', '/offline.js', '/index.html']) {
      const reply = await outside().get(path);
      expect(reply.status).toBe(401);
      expect(reply.text).toContain('Pair this device');
    }
    await outside().get('/pair.js').expect(200);
  });

  test('lets in a device with a code, which works once', async () => {
    await open();
    const { code, address, picture } = await codeFor();
    expect(address).toBe(`http://${OUTSIDE}:${port}/pair`);
    expect(picture).toContain('<svg');
    const reply = await outside().post('/api/pair').send({ code, name: 'Phone' }).expect(201);
    const cookie = String(reply.headers['set-cookie']);
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    const kept = cookie.split(';')[0]!;
    await outside().get('/api/builds').set('cookie', kept).expect(200);
    await outside()
      .post('/api/builds/lantern/commands')
      .set('cookie', kept)
      .send({ baseRevision: 1, command: { name: 'set', path: ['name'], value: 'Lantern two' } })
      .expect(200);
    await outside().post('/api/pair').send({ code, name: 'Another' }).expect(403);
    const { body } = await own().get('/api/workshop').expect(200);
    expect((body as WorkshopReply).devices).toMatchObject([{ name: 'Phone' }]);
  });

  test('two phones write one record at once: each entry once, told by whom, both see both', async () => {
    await open();
    const phones = [await paired('Bench'), await paired('Vehicle')] as const;
    const record = '/api/builds/lantern/record';
    const entry = (id: string, subject: string) => ({
      id,
      kind: 'cut',
      subject,
      said: { length: 1 },
      revision: 1,
      time: '2026-11-27T10:00:00.000Z',
    });
    const send = (phone: 0 | 1, entries: readonly object[]) =>
      outside().post(record).set('cookie', phones[phone]).send({ entries });
    const numbers = Array.from({ length: 12 }, (_, i) => i);
    // Each sends its own twice, as after a lost answer, and both cut the same wire.
    const replies = await Promise.all(
      numbers.flatMap((i) =>
        ([0, 1, 0, 1] as const).map((phone) =>
          send(phone, [entry(`entry-${phone}-${i}`, `wire-${i}`)]),
        ),
      ),
    );
    expect(new Set(replies.map(({ status }) => status))).toEqual(new Set([201]));
    const seen = await Promise.all(
      phones.map((cookie) => outside().get(record).set('cookie', cookie).expect(200)),
    );
    const [first, second] = seen.map(({ body }) => (body as RecordReply).entries);
    expect(first).toEqual(second);
    expect(first!.map(({ id }) => id).sort()).toEqual(
      numbers.flatMap((i) => [`entry-0-${i}`, `entry-1-${i}`]).sort(),
    );
    for (const { id, device } of first!) {
      expect(device).toBe(id.startsWith('entry-0') ? 'Bench' : 'Vehicle');
    }
  });

  test('leaves what is of this machine alone to it', async () => {
    await open();
    const cookie = await paired();
    for (const path of ['/api/workshop', '/api/snapshots', '/Api/Workshop', '/API/SNAPSHOTS/']) {
      await outside().get(path).set('cookie', cookie).expect(403);
    }
    for (const path of [
      '/api/workshop/codes',
      '/api/Workshop/Codes',
      '/API/workshop/codes',
      '/api/snapshots',
      '/api/demo/reset',
    ]) {
      await outside().post(path).set('cookie', cookie).send({}).expect(403);
    }
    await outside().put('/api/workshop').set('cookie', cookie).send({ open: false }).expect(403);
  });

  test('cannot be guessed open', async () => {
    await open();
    const { code } = await codeFor();
    for (let i = 0; i < WRONG_OF_ONE; i += 1) {
      await outside()
        .post('/api/pair')
        .send({ code: `GUESS${i}`, name: 'x' })
        .expect(403);
    }
    await outside().post('/api/pair').send({ code, name: 'x' }).expect(429);
    await outside().post('/api/pair').send({ code: 'no code', name: 'x' }).expect(400);
    await outside()
      .post('/api/pair')
      .send({ code, name: 'x'.repeat(41) })
      .expect(400);
    await outside()
      .post('/api/pair')
      .send({ code, name: 'x', more: 'y'.repeat(5000) })
      .expect(400);
  });

  test.each(['evil.test', 'localhost', '127.0.0.1', `${OUTSIDE}.evil.test`])(
    'is not asked under the name %s',
    async (name) => {
      await open();
      const cookie = await paired();
      await outside()
        .get('/api/builds')
        .set('host', `${name}:${port}`)
        .set('cookie', cookie)
        .expect(403);
      await outside().get('/').set('host', `${name}:${port}`).expect(403);
    },
  );

  test('is not opened, used or paired through by another page', async () => {
    await open();
    const cookie = await paired();
    const { code } = await codeFor();
    const from = { origin: 'http://evil.test', 'sec-fetch-site': 'cross-site' };
    await own().put('/api/workshop').set(from).send({ open: true }).expect(403);
    await outside().post('/api/pair').set(from).send({ code, name: 'x' }).expect(403);
    await outside().get('/api/builds').set(from).set('cookie', cookie).expect(403);
    await outside()
      .post('/api/pair')
      .set('content-type', 'text/plain')
      .send(JSON.stringify({ code, name: 'x' }))
      .expect(415);
    // Nobody used the code up.
    await outside().post('/api/pair').send({ code, name: 'x' }).expect(201);
  });

  test('knows a device by what it keeps, and by nothing else', async () => {
    await open();
    const cookie = await paired();
    const [id, secret] = cookie.split('=')[1]!.split('.') as [string, string];
    const forged = [
      `${id}.${secret.slice(0, -1)}${secret.endsWith('A') ? 'B' : 'A'}`,
      `${id}.`,
      `.${secret}`,
      id,
      `${id}.${secret}.${secret}`,
      `00000000-0000-4000-8000-000000000000.${secret}`,
      'x'.repeat(5000),
    ];
    for (const text of forged) {
      await outside().get('/api/builds').set('cookie', `brookrain_device=${text}`).expect(401);
    }
    const rows = server.sqlite.prepare('select * from devices_paired').all();
    expect(JSON.stringify(rows)).toContain(id);
    expect(JSON.stringify(rows)).not.toContain(secret);
    await server.close();
    await start();
    await outside().get('/api/builds').set('cookie', cookie).expect(200);
  });

  test('a device that is dropped loses what it has open, and is a stranger', async () => {
    await open();
    const [first, second] = [await paired('Phone'), await paired('Tablet')];
    const { body } = await own().get('/api/workshop').expect(200);
    const phone = (body as WorkshopReply).devices.find(({ name }) => name === 'Phone')!;
    const stream = (cookie: string) =>
      new Promise<{ ended: Promise<void>; destroy: () => void }>((resolve) => {
        get(`http://${OUTSIDE}:${port}/api/events`, { headers: { cookie } }, (reply) => {
          const ended = new Promise<void>((done) => {
            reply.on('close', done);
            reply.on('error', () => done());
          });
          reply.resume();
          resolve({ ended, destroy: () => reply.destroy() });
        });
      });
    const [events, others] = [await stream(first), await stream(second)];
    await own().post(`/api/workshop/devices/${phone.id}/drop`).send({}).expect(200);
    await events.ended;
    await outside().get('/api/builds').set('cookie', first).expect(401);
    await outside().get('/api/builds').set('cookie', second).expect(200);
    others.destroy();
    await own().post(`/api/workshop/devices/${phone.id}/drop`).send({}).expect(404);
  });

  test('started on another address it is open anyway, and its settings cannot close that', async () => {
    await server.close();
    server = await createServer({ dataFolder: folder, webFolder: folder, host: '127.0.0.3' });
    port = await server.listen(0, '127.0.0.3');
    const at = request(`http://127.0.0.3:${port}`);
    const { body } = await at.get('/api/workshop').expect(200);
    expect(body).toMatchObject({ urls: [`http://127.0.0.3:${port}`], canBeClosed: false });
    await at.put('/api/workshop').send({ open: false }).expect(200);
    await at.post('/api/workshop/codes').send({}).expect(201);
  });
});
