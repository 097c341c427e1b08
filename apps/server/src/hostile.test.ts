import { demoBuilds, fileTypes, sampleCatalogue, toBuildFile } from '@brookrain/core';
import { writeItemsSheet } from '@brookrain/contract';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { type TestServer, startTestServer } from './tests/testServer.ts';

const RUNS = 1000;
let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

/** Values nobody should send. */
const hostile = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    true,
    [],
    {},
    '',
    -1,
    1e308,
    -1e-300,
    'x'.repeat(3000),
    '\u0000',
    '${7*7}',
    "'; drop table builds; --",
    [[[[]]]],
    { value: 'x', unit: 'kPa' },
    { value: 1e999, unit: 'kPa' },
    { id: 'P255', revision: 0.5 },
  ),
  fc.string({ maxLength: 30 }),
  fc.double({ noNaN: true }),
);

/** Every place in a plain value. */
function places(value: unknown, path: readonly string[] = []): (readonly string[])[] {
  if (typeof value !== 'object' || value === null) return [path];
  return [path, ...Object.entries(value).flatMap(([key, entry]) => places(entry, [...path, key]))];
}

function replaced(value: unknown, path: readonly string[], by: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return by;
  const copy = Array.isArray(value) ? [...(value as unknown[])] : { ...(value as object) };
  (copy as Record<string, unknown>)[key] = replaced(
    (value as Record<string, unknown>)[key],
    rest,
    by,
  );
  return copy;
}

interface Refusal {
  readonly code: string;
  readonly message: string;
  readonly issues?: readonly { readonly path: string; readonly message: string }[];
}

describe('hostile input', () => {
  test(`${RUNS} damaged build files: taken when they hold, else 4xx with a place`, async () => {
    const files = demoBuilds.map(({ document }) => toBuildFile(document, sampleCatalogue));
    const spots = files.map((file) => places(file).filter((path) => path.length > 0));
    await fc.assert(
      fc.asyncProperty(fc.nat(files.length - 1), fc.nat(), hostile, async (which, spot, value) => {
        const path = spots[which]![spot % spots[which]!.length]!;
        const file = JSON.stringify(replaced(files[which], path, value));
        const { status, body } = await server
          .http()
          .post('/api/builds/lantern/import/preview')
          .set('content-type', fileTypes.json)
          .send(file);
        if (status === 200) return;
        expect(status).toBe(400);
        const refusal = body as Refusal;
        expect(refusal.issues?.length).toBeGreaterThan(0);
        for (const issue of refusal.issues!) expect(issue.message.length).toBeGreaterThan(3);
        expect(refusal.issues!.some((issue) => issue.path !== '')).toBe(true);
      }),
      { numRuns: RUNS },
    );
  }, 240_000);

  test(`${RUNS} damaged tables: taken when they hold, else 4xx with row and column`, async () => {
    const sheets = (['hose', 'pump', 'injector', 'fuse', 'filter', 'ecu'] as const).map(
      (category) => ({
        category,
        lines: writeItemsSheet(
          category,
          sampleCatalogue.items.filter((i) => i.category === category).slice(0, 3),
        ).split('\r\n'),
      }),
    );
    const cell = fc.oneof(
      fc.constantFrom('', '-', 'x', '1e999', '-5', '0', '"', '=1+1', ';;;', '1,5', 'NaN', '\u0000'),
      fc.string({ maxLength: 20 }),
    );
    await fc.assert(
      fc.asyncProperty(
        fc.nat(sheets.length - 1),
        fc.nat(),
        fc.nat(),
        cell,
        async (which, row, column, text) => {
          const { category, lines } = sheets[which]!;
          const at = row % lines.length;
          const damaged = lines.map((line, i) => {
            if (i !== at) return line;
            const cells = line.split(',');
            cells[column % cells.length] = text;
            return cells.join(',');
          });
          const { status, body } = await server
            .http()
            .post(`/api/catalogue/import?format=csv&category=${category}`)
            .set('content-type', fileTypes.csv)
            .send(damaged.join('\n'));
          if (status === 200) return;
          expect(status).toBe(400);
          const { issues } = body as Refusal;
          expect(issues!.length).toBeGreaterThan(0);
          for (const issue of issues!) {
            expect(issue.path).toMatch(/^(row \d+, column \d+|items\.\d+.*)$/);
          }
        },
      ),
      { numRuns: RUNS },
    );
  }, 240_000);

  test('any body on any route that takes one is answered below 500', async () => {
    const routes = [
      '/api/builds/start',
      '/api/builds/lantern/copy',
      '/api/builds/lantern/archive',
      '/api/builds/lantern/go-back',
      '/api/builds/lantern/commands',
      '/api/builds/lantern/undo',
      '/api/catalogue/items',
      '/api/catalogue/import?format=json',
    ];
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom(...routes),
        fc.oneof(
          fc.json({ maxDepth: 3 }),
          fc.string({ maxLength: 40 }),
          fc.constantFrom('{"name":{"a":1}}', '{"item":{"category":"constructor"}}', '[', 'null'),
        ),
        async (route, body) => {
          const { status } = await server
            .http()
            .post(route)
            .set('content-type', 'application/json')
            .send(body);
          expect(status).toBeLessThan(500);
        },
      ),
      { numRuns: 400 },
    );
  }, 120_000);
});
