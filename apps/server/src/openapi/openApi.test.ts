import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { type TestServer, startTestServer } from '../tests/testServer.ts';

interface Schema {
  readonly additionalProperties?: unknown;
  readonly description?: string;
  readonly properties?: Readonly<Record<string, unknown>>;
  readonly type?: string;
  readonly $ref?: string;
}
interface Operation {
  readonly summary?: string;
  readonly tags?: readonly string[];
  readonly requestBody?: { readonly description?: string };
  readonly responses: Readonly<Record<string, { readonly description: string }>>;
}
interface OpenApi {
  readonly paths: Readonly<Record<string, Readonly<Record<string, Operation>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, Schema>> };
}

let server: TestServer;
let document: OpenApi;
beforeAll(async () => {
  server = await startTestServer();
  document = (await server.http().get('/api/openapi.json').expect(200)).body as OpenApi;
});
afterAll(() => server.close());

const operations = (): [string, Operation][] =>
  Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, operation]): [string, Operation] => [
      `${method} ${path}`,
      operation,
    ]),
  );

describe('the description of the API', () => {
  test('has every route that the server has', () => {
    const router = server.server.app.getHttpAdapter().getInstance() as unknown as {
      router: { stack: { route?: { path: string; methods: Record<string, boolean> } }[] };
    };
    const routes = router.router.stack
      .flatMap(({ route }) =>
        route
          ? Object.keys(route.methods).map(
              (method) => `${method} ${route.path.replace(/:(\w+)/g, '{$1}')}`,
            )
          : [],
      )
      .filter((route) => !route.startsWith('_all'));
    expect(routes.length).toBeGreaterThan(20);
    const described = operations().map(([name]) => name);
    expect(routes.filter((route) => !described.includes(route))).toEqual([]);
  });

  test('says what each route does, takes and gives', () => {
    for (const [name, operation] of operations()) {
      expect(operation.summary?.length ?? 0, name).toBeGreaterThan(5);
      expect(operation.tags?.length, name).toBe(1);
      const good = Object.entries(operation.responses).filter(([status]) => status < '300');
      expect(good, name).toHaveLength(1);
      for (const { description } of Object.values(operation.responses)) {
        expect(description.length, name).toBeGreaterThan(2);
      }
    }
  });

  test('describes every message, and none is empty', () => {
    const names = Object.keys(document.components.schemas);
    expect(names.length).toBeGreaterThan(60);
    for (const [name, schema] of Object.entries(document.components.schemas)) {
      expect(schema.description?.length ?? 0, name).toBeGreaterThan(5);
      // What is said by name has no properties that are known before.
      const named = Object.keys(schema.properties ?? {}).length > 0 || schema.additionalProperties;
      const empty = schema.type === 'object' && !named;
      expect(empty, name).toBe(false);
    }
  });

  test('refers to nothing that is not there', () => {
    const names = new Set(Object.keys(document.components.schemas));
    const refs = [...JSON.stringify(document).matchAll(/"#\/components\/schemas\/([^"]+)"/g)];
    expect(refs.length).toBeGreaterThan(100);
    expect(refs.map(([, name]) => name!).filter((name) => !names.has(name))).toEqual([]);
  });

  test('is generated from the contract as it stands', async () => {
    const script = new URL('../../../../scripts/messageSchemas.mjs', import.meta.url);
    const { messageSchemas } = (await import(/* @vite-ignore */ fileURLToPath(script))) as {
      messageSchemas: () => string;
    };
    const kept = fileURLToPath(new URL('../../openapi/schemas.json', import.meta.url));
    expect(JSON.parse(readFileSync(kept, 'utf8')), 'run npm run generate').toEqual(
      JSON.parse(messageSchemas()),
    );
  });
});
