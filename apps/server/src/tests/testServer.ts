import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BuildReply } from '@brookrain/contract';
import type { BuildCommand } from '@brookrain/core';
import request from 'supertest';
import { type Server, createServer } from '../createServer.ts';

/** A real server on a real SQLite file in a folder of its own. */
export interface TestServer {
  readonly folder: string;
  readonly server: Server;
  http(): ReturnType<typeof request>;
  read(id?: string): Promise<BuildReply>;
  edit(baseRevision: number, command: BuildCommand | object, id?: string): request.Test;
  /** Opens it on the same folder after it was closed. */
  open(): Promise<void>;
  /** Closes and opens it again on the same folder. */
  restart(): Promise<void>;
  close(): Promise<void>;
}

export async function startTestServer(): Promise<TestServer> {
  const folder = mkdtempSync(join(tmpdir(), 'brookrain-test-'));
  const open = () => createServer({ dataFolder: folder, webFolder: join(folder, 'no-web') });
  let server = await open();
  const http = () => request(server.app.getHttpServer());
  return {
    folder,
    get server() {
      return server;
    },
    http,
    read: async (id = 'lantern') =>
      (await http().get(`/api/builds/${id}`).expect(200)).body as BuildReply,
    edit: (baseRevision, command, id = 'lantern') =>
      http().post(`/api/builds/${id}/commands`).send({ baseRevision, command }),
    open: async () => {
      server = await open();
    },
    restart: async () => {
      await server.close();
      server = await open();
    },
    close: async () => {
      await server.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
