import { fileTypes } from '@brookrain/core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { type TestServer, startTestServer } from '../tests/testServer.ts';
import { type Knock, refusalOf } from './requestDoor.ts';

const own: Knock = {
  method: 'POST',
  path: '/api/builds/start',
  host: '127.0.0.1:4477',
  origin: undefined,
  fetchSite: undefined,
  fetchMode: undefined,
  contentType: 'application/json',
};
const status = (knock: Partial<Knock>, servedOn = '127.0.0.1'): number | undefined =>
  refusalOf({ ...own, ...knock }, servedOn)?.status;

describe("Only this machine's own page writes", () => {
  test('the page itself, and programs that are no page', () => {
    expect(status({})).toBeUndefined();
    expect(status({ origin: 'http://127.0.0.1:4477', fetchSite: 'same-origin' })).toBeUndefined();
    expect(status({ host: 'localhost:4477', origin: 'http://localhost:4477' })).toBeUndefined();
    expect(status({ host: '[::1]:4477' })).toBeUndefined();
    expect(status({ method: 'GET', path: '/', contentType: undefined })).toBeUndefined();
  });

  test.each([
    'evil.test:4477',
    'evil.test',
    '127.0.0.1.evil.test:4477',
    'localhost.evil.test',
    '192.168.1.20:4477',
    '',
    undefined,
  ])('not under the name %s', (host) => {
    expect(status({ host })).toBe(403);
    expect(status({ host, method: 'GET', path: '/' })).toBe(403);
  });

  test('under the name or address that it was told to serve on, or any address but no name', () => {
    expect(status({ host: 'bench.workshop:4477' }, 'bench.workshop')).toBeUndefined();
    expect(status({ host: '192.168.1.20:4477' }, '0.0.0.0')).toBeUndefined();
    expect(status({ host: '[fe80::1]:4477' }, '::')).toBeUndefined();
    expect(status({ host: 'evil.test:4477' }, '0.0.0.0')).toBe(403);
  });

  test.each(['http://evil.test', 'http://127.0.0.1:9999', 'https://127.0.0.1', 'null', 'file://'])(
    'no write from a page at %s',
    (origin) => {
      expect(status({ origin })).toBe(403);
    },
  );

  test.each(['cross-site', 'same-site'])('nothing that a browser says is %s', (fetchSite) => {
    expect(status({ fetchSite })).toBe(403);
    expect(status({ fetchSite, method: 'GET', path: '/api/builds', fetchMode: 'cors' })).toBe(403);
    expect(status({ fetchSite, method: 'GET', path: '/API/builds', fetchMode: 'cors' })).toBe(403);
    expect(status({ fetchSite, method: 'GET', path: '/api/builds', fetchMode: 'no-cors' })).toBe(
      403,
    );
  });

  test('a link from elsewhere may be followed', () => {
    const visit = { method: 'GET', fetchSite: 'cross-site', fetchMode: 'navigate' } as const;
    expect(status({ ...visit, path: '/builds/lantern' })).toBeUndefined();
    expect(status({ ...visit, path: '/api/builds/lantern/parts.csv' })).toBeUndefined();
    expect(status({ ...visit, method: 'POST' })).toBe(403);
  });

  test.each([
    undefined,
    '',
    'text/plain',
    'text/plain;charset=UTF-8',
    'application/x-www-form-urlencoded',
    'multipart/form-data; boundary=x',
  ])('no write that a form or a simple request can send: %s', (contentType) => {
    expect(status({ contentType })).toBe(415);
    expect(status({ contentType, method: 'DELETE' })).toBe(415);
  });

  test.each(['application/json; charset=utf-8', fileTypes.json, fileTypes.csv])(
    'but %s',
    (type) => {
      expect(status({ contentType: type })).toBeUndefined();
    },
  );
});

describe('the door of the server', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await startTestServer();
  });
  afterAll(() => server.close());

  test('stands before every route, and says why', async () => {
    const refused = await server
      .http()
      .post('/api/snapshots')
      .set('host', 'evil.test')
      .send({})
      .expect(403);
    expect(refused.body).toMatchObject({ code: 'refused' });
    await server.http().get('/api/builds').set('host', 'evil.test').expect(403);
    await server.http().post('/api/snapshots').expect(415);
    const plain = await server
      .http()
      .post('/api/builds/lantern/commands')
      .set('content-type', 'text/plain')
      .send('{"baseRevision":1}')
      .expect(415);
    expect((plain.body as { message: string }).message).toContain('application/json');
    expect((await server.read()).revision).toBe(1);
  });

  test('a build file still comes in, as a file', async () => {
    const file = await server.http().get('/api/builds/sandpiper/build.json').expect(200);
    await server
      .http()
      .post('/api/builds/import')
      .set('content-type', fileTypes.json)
      .send(JSON.stringify(file.body))
      .expect(201);
  });
});
