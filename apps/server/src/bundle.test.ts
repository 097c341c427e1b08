import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { type RunningServer, bundledMain, killed, startProgram } from './attack/runningServer.ts';
import { programFolder } from './serverFolder.ts';

let folder: string;
let server: RunningServer;
beforeAll(async () => {
  const made = spawnSync(
    process.execPath,
    ['-e', "import('./scripts/steps.mjs').then(({ bundleServer }) => bundleServer())"],
    { cwd: programFolder, encoding: 'utf8' },
  );
  expect(made.stderr).not.toContain('error');
  folder = mkdtempSync(join(tmpdir(), 'brookrain-bundle-'));
  server = await startProgram(folder, {}, bundledMain);
}, 60_000);
afterAll(async () => {
  await killed(server.process);
  rmSync(folder, { recursive: true, force: true });
});

const read = async (path: string): Promise<Response> => fetch(`${server.url}/api/${path}`);

describe('the bundled server', () => {
  test('finds its migrations, the demo builds and the schemas of its messages', async () => {
    const builds = (await (await read('builds')).json()) as { name: string }[];
    expect(builds.map(({ name }) => name)).toContain('Lantern');
    const described = (await (await read('openapi.json')).json()) as { components: object };
    expect(JSON.stringify(described.components)).toContain('BuildSummary');
  });

  test('edits in its thread of documents and writes papers in that of long work', async () => {
    const command = { name: 'set', path: ['description'], value: 'Bundled' };
    const edited = await fetch(`${server.url}/api/builds/lantern/commands`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ baseRevision: 1, command }),
    });
    expect(edited.status).toBe(200);
    const { document } = (await (await read('builds/lantern')).json()) as {
      document: { description: string };
    };
    expect(document.description).toBe('Bundled');
    const paper = await read('builds/lantern/schematic.pdf');
    expect(paper.headers.get('content-type')).toContain('application/pdf');
    expect((await paper.arrayBuffer()).byteLength).toBeGreaterThan(10_000);
  });
});
