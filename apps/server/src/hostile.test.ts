import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import {
  type HostileRequest,
  anyBodies,
  bombs,
  damagedFiles,
  damagedTables,
} from './attack/hostile.ts';
import { type TestServer, startTestServer } from './tests/testServer.ts';

/** `npm run attack` sends ten times as many. */
const RUNS = 250;
let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

interface Refusal {
  readonly code: string;
  readonly message: string;
  readonly issues?: readonly { readonly path: string; readonly message: string }[];
}

const send = ({ path, type, body }: HostileRequest) =>
  server.http().post(path).set('content-type', type).send(body);

describe('hostile input', () => {
  test(`${RUNS} damaged build files: taken when they hold, else 4xx with a place`, async () => {
    await fc.assert(
      fc.asyncProperty(damagedFiles(), async (request) => {
        const { status, body } = await send(request);
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
    await fc.assert(
      fc.asyncProperty(damagedTables(), async (request) => {
        const { status, body } = await send(request);
        if (status === 200) return;
        expect(status).toBe(400);
        const { issues } = body as Refusal;
        expect(issues!.length).toBeGreaterThan(0);
        for (const issue of issues!) {
          expect(issue.path).toMatch(/^(row \d+, column \d+|items\.\d+.*)$/);
        }
      }),
      { numRuns: RUNS },
    );
  }, 240_000);

  test('any body on any route that takes one is answered below 500', async () => {
    await fc.assert(
      fc.asyncProperty(anyBodies, async (request) => {
        const { status } = await send(request);
        expect(status).toBeLessThan(500);
      }),
      { numRuns: RUNS },
    );
  }, 120_000);

  test('a body that costs more than it weighs is refused, with a reason', async () => {
    for (const request of bombs()) {
      const { status, body } = await send(request);
      expect(status, request.body.slice(0, 40)).toBeGreaterThanOrEqual(400);
      expect(status, request.body.slice(0, 40)).toBeLessThan(500);
      expect((body as Refusal).message.length).toBeGreaterThan(3);
      expect(JSON.stringify(body).length).toBeLessThan(20_000);
    }
  }, 120_000);
});

describe('a body that cannot be read', () => {
  const refusalOf = async (type: string, body: string): Promise<Refusal> => {
    const { status, body: refusal } = await send({ path: '/api/builds/start', type, body });
    expect(status).toBe(400);
    return refusal as Refusal;
  };

  test.each([
    ['name=Lantern', /the request is not valid JSON/],
    ['{"name": "Lantern', /the request is not valid JSON: it ends too soon/],
    ['{"name": 1 "cylinders": 4}', /the request is not valid JSON from sign 12 on/],
  ])('%s is refused in plain words', async (body, words) => {
    const { issues } = await refusalOf('application/json', body);
    expect(issues?.[0]?.message).toMatch(words);
    expect(issues?.[0]?.message).not.toContain('token');
  });

  test('in letters that nobody knows is refused as such', async () => {
    const { status, body } = await send({
      path: '/api/builds/start',
      type: 'application/json; charset=x-unknown',
      body: '{}',
    });
    expect(status).toBe(400);
    expect((body as Refusal).issues?.[0]?.message).toBe('the request is not plain UTF-8');
  });
});
