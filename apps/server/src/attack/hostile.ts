import { demoBuilds, fileTypes, sampleCatalogue, toBuildFile } from '@brookrain/core';
import { writeItemsSheet } from '@brookrain/contract';
import fc from 'fast-check';

/** A request that nobody should send. */
export interface HostileRequest {
  readonly path: string;
  readonly type: string;
  readonly body: string;
}

const JSON_TYPE = 'application/json';

/** Values nobody should send. */
const hostileValue = fc.oneof(
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

/** The file of a demo build with one place in it replaced. */
export function damagedFiles(): fc.Arbitrary<HostileRequest> {
  const files = demoBuilds.map(({ document }) => toBuildFile(document, sampleCatalogue));
  const spots = files.map((file) => places(file).filter((path) => path.length > 0));
  return fc
    .record({ which: fc.nat(files.length - 1), spot: fc.nat(), value: hostileValue })
    .map(({ which, spot, value }) => {
      const own = spots[which]!;
      return {
        path: '/api/builds/lantern/import/preview',
        type: fileTypes.json,
        body: JSON.stringify(replaced(files[which], own[spot % own.length]!, value)),
      };
    });
}

/** A table of the catalogue with one cell in it replaced. */
export function damagedTables(): fc.Arbitrary<HostileRequest> {
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
  return fc
    .record({ which: fc.nat(sheets.length - 1), row: fc.nat(), column: fc.nat(), text: cell })
    .map(({ which, row, column, text }) => {
      const { category, lines } = sheets[which]!;
      const damaged = lines.map((line, i) => {
        if (i !== row % lines.length) return line;
        const cells = line.split(',');
        cells[column % cells.length] = text;
        return cells.join(',');
      });
      return {
        path: `/api/catalogue/import?format=csv&category=${category}`,
        type: fileTypes.csv,
        body: damaged.join('\n'),
      };
    });
}

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

/** Any body on any route that takes one. */
export const anyBodies: fc.Arbitrary<HostileRequest> = fc.record({
  path: fc.constantFrom(...routes),
  type: fc.constant(JSON_TYPE),
  body: fc.oneof(
    fc.json({ maxDepth: 3 }),
    fc.string({ maxLength: 40 }),
    fc.constantFrom('{"name":{"a":1}}', '{"item":{"category":"constructor"}}', '[', 'null'),
  ),
});

const keys = (count: number): Record<string, number> =>
  Object.fromEntries(Array.from({ length: count }, (_, i) => [`key${i}`, i]));
const nested = (depth: number): string => '['.repeat(depth) + ']'.repeat(depth);

/** Bodies that are small for what they cost where nobody counts first, up to the largest taken. */
export function bombs(): readonly HostileRequest[] {
  const edit = (value: unknown): HostileRequest => ({
    path: '/api/builds/lantern/commands',
    type: JSON_TYPE,
    body: JSON.stringify({
      baseRevision: 1,
      command: { name: 'set', path: ['description'], value },
    }),
  });
  const table = (body: string): HostileRequest => ({
    path: '/api/catalogue/import?format=csv&category=hose',
    type: fileTypes.csv,
    body,
  });
  const file = (body: string): HostileRequest => ({
    path: '/api/builds/lantern/import/preview',
    type: fileTypes.json,
    body,
  });
  return [
    edit(keys(80_000)),
    edit('x'.repeat(9_000_000)),
    { path: '/api/builds/start', type: JSON_TYPE, body: JSON.stringify(keys(80_000)) },
    {
      path: '/api/catalogue/items',
      type: JSON_TYPE,
      body: JSON.stringify({ item: { category: 'hose', ...keys(40_000) } }),
    },
    {
      path: '/api/catalogue/items',
      type: JSON_TYPE,
      body: `{"item":${nested(8000)}}`,
    },
    { path: '/api/builds/start', type: JSON_TYPE, body: '{"constructor":1}' },
    { path: '/api/builds/start', type: JSON_TYPE, body: `[${'1,'.repeat(4_000_000)}1]` },
    table(`${'('.repeat(100_000)}\n1`),
    table(`${' '.repeat(80_000)}\n${' '.repeat(80_000)}`),
    table(`id\n"${'x'.repeat(9_000_000)}`),
    table(`id${',id'.repeat(300_000)}\n1`),
    table('id,name\n'.repeat(1_000_000)),
    table('"'.repeat(9_000_000)),
    file(nested(2_000_000)),
    file(`{"format":"${'x'.repeat(9_000_000)}"}`),
    file(JSON.stringify(keys(400_000))),
    file('{'.repeat(9_000_000)),
    file(' '.repeat(9_900_000)),
  ];
}
