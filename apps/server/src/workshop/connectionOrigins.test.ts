import { mkdtempSync, rmSync } from 'node:fs';
import type { Server as HttpServer } from 'node:http';
import { type AddressInfo, Server as NetServer, Socket, connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { type Server, createServer } from '../createServer.ts';
import { ConnectionOrigins } from './connectionOrigins.ts';

/** A socket whose peer is at an address; undefined: one that was reset before anybody asked. */
const socketFrom = (remoteAddress: string | undefined): Socket => {
  const socket = new Socket();
  Object.defineProperties(socket, {
    remoteAddress: { value: remoteAddress },
    localAddress: { value: '::ffff:192.0.2.1' },
    localPort: { value: 4477 },
  });
  return socket;
};
const originOf = (remoteAddress: string | undefined, workshopAt?: () => string) => {
  const [server, origins, socket] = [
    new NetServer(),
    new ConnectionOrigins(),
    socketFrom(remoteAddress),
  ];
  origins.watch(server, workshopAt);
  server.emit('connection', socket);
  return origins.of(socket);
};

describe('where a connection comes from', () => {
  test.each(['127.0.0.1', '127.8.9.10', '::1', '::ffff:127.0.0.1'])(
    '%s is this machine',
    (from) => {
      expect(originOf(from).isThisMachine).toBe(true);
    },
  );

  test.each([undefined, '192.0.2.7', '::ffff:192.0.2.7', '2001:db8::1', '', '128.0.0.1', '::11'])(
    '%s is not',
    (from) => {
      expect(originOf(from)).toEqual({ isThisMachine: false, cameInAt: '192.0.2.1:4477' });
    },
  );

  test('whoever comes in at the listener of the workshop is foreign, from this machine too', () => {
    expect(originOf('127.0.0.1', () => '192.0.2.9:80')).toEqual({
      isThisMachine: false,
      cameInAt: '192.0.2.9:80',
    });
  });

  test('a connection that was never noted is foreign', () => {
    expect(new ConnectionOrigins().of(socketFrom('127.0.0.1')).isThisMachine).toBe(false);
  });
});

describe('A stranger writes nothing and keeps nobody out: one who resets the connection', () => {
  let folder: string;
  let server: Server;
  let port: number;
  beforeEach(async () => {
    folder = mkdtempSync(join(tmpdir(), 'brookrain-reset-'));
    server = await createServer({ dataFolder: folder, webFolder: folder, host: '0.0.0.0' });
    const http = server.app.getHttpServer() as HttpServer;
    // The peer of a connection that was reset is not known, though all it sent has arrived.
    http.prependListener('connection', (socket: Socket) => {
      Object.defineProperty(socket, 'remoteAddress', { value: undefined });
    });
    await server.app.listen(0, '127.0.0.1');
    ({ port } = http.address() as AddressInfo);
  });
  afterEach(async () => {
    await server.close();
    rmSync(folder, { recursive: true, force: true });
  });

  const revision = (): number =>
    server.sqlite
      .prepare("select revision from builds where id = 'lantern'")
      .pluck()
      .get() as number;

  test('writes nothing, with a request that was sent whole before the reset', async () => {
    const body = JSON.stringify({
      baseRevision: 1,
      command: { name: 'set', path: ['description'], value: 'written by a stranger' },
    });
    const head =
      `POST /api/builds/lantern/commands HTTP/1.1\r\nhost: 127.0.0.1:${port}\r\n` +
      `content-type: application/json\r\ncontent-length: ${body.length}\r\n\r\n`;
    const answer = await new Promise<string>((resolve, reject) => {
      const socket = connect(port, '127.0.0.1', () => socket.write(head + body));
      socket.once('data', (data) => {
        resolve(String(data));
        socket.resetAndDestroy();
      });
      socket.once('error', reject);
    });
    expect(answer).toMatch(/^HTTP\/1\.1 401 /);
    expect(revision()).toBe(1);
  });

  test('and is no owner without a reset either', async () => {
    const reply = await fetch(`http://127.0.0.1:${port}/api/builds`);
    expect(reply.status).toBe(401);
  });
});
