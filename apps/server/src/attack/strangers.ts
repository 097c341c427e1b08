import { connect } from 'node:net';
import { networkInterfaces } from 'node:os';
import type { BuildReply, PairingReply } from '@brookrain/contract';
import { type RunningServer, startProgram, killed } from './runningServer.ts';

const RESETS = 200;
const STRANGERS = 6;

/** An address of this machine that is not its own; undefined where it is in no network. */
export const foreignAddress = (): string | undefined =>
  Object.values(networkInterfaces())
    .flatMap((addresses) => addresses ?? [])
    .find(({ family, internal }) => family === 'IPv4' && !internal)?.address;

const post = (url: string, body: object): Promise<Response> =>
  fetch(url, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });

/** Sends a request and resets the connection at once, as it is sent from a foreign address. */
const sendAndReset = (address: string, port: number, path: string, body: string): Promise<void> =>
  new Promise((resolve) => {
    const socket = connect({ host: address, port, localAddress: address }, () => {
      socket.write(
        `POST ${path} HTTP/1.1\r\nhost: ${address}:${port}\r\ncontent-type: application/json\r\n` +
          `content-length: ${Buffer.byteLength(body)}\r\n\r\n${body}`,
        () => socket.resetAndDestroy(),
      );
    });
    socket.on('error', () => undefined).on('close', () => resolve());
  });

/** What strangers got in by resetting connections: writes that were made; undefined: not tried. */
export async function resetConnections(folder: string): Promise<number | undefined> {
  const address = foreignAddress();
  if (address === undefined) return undefined;
  const server = await startProgram(folder, { BROOKRAIN_HOST: '0.0.0.0' });
  try {
    const port = Number(new URL(server.url).port);
    const revision = async (): Promise<number> =>
      ((await (await fetch(`${server.url}/api/builds/lantern`)).json()) as BuildReply).revision;
    const before = await revision();
    for (let n = 0; n < RESETS; n++) {
      const command = { name: 'set', path: ['description'], value: `stranger ${n}` };
      const body = JSON.stringify({ baseRevision: before, command });
      await sendAndReset(address, port, '/api/builds/lantern/commands', body);
      await sendAndReset(address, port, '/api/builds/lantern/archive', '{"archived":true}');
      await sendAndReset(address, port, '/api/workshop/codes', '{}');
    }
    const builds = (await (await fetch(`${server.url}/api/builds`)).json()) as {
      archived: boolean;
    }[];
    return (await revision()) - before + builds.filter(({ archived }) => archived).length;
  } finally {
    await killed(server.process);
  }
}

/** Whether the owner still pairs a device after strangers at several addresses sent wrong codes. */
export async function lockOut(server: RunningServer): Promise<boolean> {
  const port = new URL(server.url).port;
  const stranger = (n: number) => `http://127.0.0.2:${port}/api/pair#${n}`;
  for (let n = 0; n < STRANGERS * 5; n++) {
    await post(stranger(n), { code: `WRONG${10 + n}`, name: 'stranger' });
  }
  const { code } = (await (
    await post(`${server.url}/api/workshop/codes`, {})
  ).json()) as PairingReply;
  const paired = await post(`http://127.0.0.2:${port}/api/pair`, { code, name: 'Phone' });
  return paired.status === 201;
}
