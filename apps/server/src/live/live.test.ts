import type { AddressInfo } from 'node:net';
import type { LiveEvent } from '@brookrain/contract';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { type TestServer, startTestServer } from '../tests/testServer.ts';

let server: TestServer;
const streams: AbortController[] = [];
beforeEach(async () => {
  server = await startTestServer();
  await server.server.app.listen(0, '127.0.0.1');
});
afterEach(async () => {
  streams.splice(0).forEach((stream) => stream.abort());
  await server.close();
});

/** Opens the stream and gives its events one by one. */
async function listen(): Promise<() => Promise<LiveEvent>> {
  const { port } = server.server.app.getHttpServer().address() as AddressInfo;
  const stream = new AbortController();
  streams.push(stream);
  const reply = await fetch(`http://127.0.0.1:${port}/api/events`, { signal: stream.signal });
  expect(reply.headers.get('content-type')).toContain('text/event-stream');
  const reader = reply.body!.getReader();
  const decoder = new TextDecoder();
  let kept = '';
  return async () => {
    for (;;) {
      const match = /^data: (.*)\n/m.exec(kept);
      if (match) {
        kept = kept.slice(match.index + match[0].length);
        return JSON.parse(match[1]!) as LiveEvent;
      }
      const { value, done } = await reader.read();
      if (done) throw new Error('the stream ended');
      kept += decoder.decode(value, { stream: true });
    }
  };
}

test('every window hears of every change, in order', async () => {
  const [bench, vehicle] = [await listen(), await listen()];
  expect(await bench()).toEqual({ type: 'alive' });
  expect(await vehicle()).toEqual({ type: 'alive' });
  const edit = (baseRevision: number, cylinders: number) =>
    server
      .http()
      .post('/api/builds/lantern/commands')
      .send({
        baseRevision,
        author: 'Mika',
        command: { name: 'set', path: ['brief', 'cylinders'], value: cylinders },
      })
      .expect(200);
  await edit(1, 5);
  await edit(2, 6);
  for (const next of [bench, vehicle]) {
    expect(await next()).toEqual({
      type: 'build',
      id: 'lantern',
      revision: 2,
      author: 'Mika',
      words: 'Cylinders 4 → 5',
    });
    expect(await next()).toMatchObject({ type: 'build', revision: 3 });
  }
});

test('lists and catalogue are told of; what is refused or changes nothing is not', async () => {
  const next = await listen();
  await next();
  const http = server.http();
  await http.post('/api/builds/lantern/commands').send({ baseRevision: 1, command: {} });
  await http.post('/api/catalogue/items').send({ item: {} });
  const { body } = await http.get('/api/catalogue');
  await http.post('/api/catalogue/items').send({ item: body.items[0] });
  await http.post('/api/builds/lantern/copy').send({ name: 'Copy' }).expect(201);
  expect(await next()).toEqual({ type: 'builds' });
  await http.post('/api/catalogue/items').send({ item: { ...body.items[0], price: 5 } });
  expect(await next()).toEqual({ type: 'catalogue' });
});

test('an open stream does not keep the server from closing', async () => {
  const next = await listen();
  await next();
  await server.server.close();
  await expect(next()).rejects.toThrow();
  await server.open();
});
