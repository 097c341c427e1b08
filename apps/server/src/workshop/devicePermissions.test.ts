import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { type TestServer, startTestServer } from '../tests/testServer.ts';
import { devicePermissions, permissionFor } from './devicePermissions.ts';

const may = (method: string, path: string): boolean =>
  permissionFor(method, path)?.allowed === true;

describe('what a paired device may do', () => {
  test.each([
    ['GET', '/api/builds'],
    ['HEAD', '/api/builds/lantern'],
    ['GET', '/api/builds/lantern/work-sheet.pdf'],
    ['POST', '/api/builds/lantern/commands'],
    ['POST', '/api/builds/lantern/undo'],
    ['POST', '/api/builds/lantern/redo'],
    ['POST', '/API/builds/lantern/record/'],
    ['GET', '/api/catalogue'],
    ['GET', '/api/events'],
  ])('%s %s', (method, path) => {
    expect(may(method, path)).toBe(true);
  });

  test.each([
    ['POST', '/api/builds/start'],
    ['POST', '/api/builds/import'],
    ['POST', '/api/builds/lantern/copy'],
    ['POST', '/api/builds/lantern/archive'],
    ['POST', '/api/builds/lantern/go-back'],
    ['POST', '/api/builds/lantern/import'],
    ['POST', '/api/builds/lantern/import/preview'],
    ['POST', '/api/catalogue/items'],
    ['POST', '/api/catalogue/import'],
    ['GET', '/api/Snapshots/'],
    ['POST', '/api/snapshots/lost/understood'],
    ['PUT', '/api/workshop'],
    ['POST', '/api/workshop/codes'],
    ['POST', '/api/demo/reset'],
    ['DELETE', '/api/builds/lantern'],
    ['PATCH', '/api/builds/lantern/commands'],
    ['GET', '/api/a-route-of-tomorrow'],
    ['GET', '/api'],
  ])('not %s %s', (method, path) => {
    expect(may(method, path)).toBe(false);
  });
});

describe('the table', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await startTestServer();
  });
  afterAll(() => server.close());

  test('decides on every route of the API by a row of its own', async () => {
    const { body } = await server.http().get('/api/openapi.json').expect(200);
    const { paths } = body as { paths: Record<string, Record<string, unknown>> };
    const undecided = Object.entries(paths).flatMap(([path, methods]) =>
      Object.keys(methods)
        .filter((method) => !permissionFor(method.toUpperCase(), path.replace(/\{[^}]+\}/g, 'x')))
        .map((method) => `${method} ${path}`),
    );
    expect(undecided.filter((route) => route !== 'post /api/pair')).toEqual([]);
  });

  test('is printed in the description of what is promised', () => {
    const page = readFileSync(
      fileURLToPath(new URL('../../../../docs/safety-of-data.md', import.meta.url)),
      'utf8',
    );
    const printed = page
      .split('\n')
      .filter((line) => line.startsWith('|') && line.includes('`/api/'))
      .map((line) =>
        line
          .split('|')
          .slice(1, -1)
          .map((cell) => cell.trim()),
      );
    expect(printed).toEqual(
      devicePermissions.map(({ methods, route, allowed, reason }) => [
        methods.length > 1 ? 'any' : methods[0],
        `\`${route}\``,
        allowed ? 'yes' : 'no',
        reason,
      ]),
    );
  });
});
