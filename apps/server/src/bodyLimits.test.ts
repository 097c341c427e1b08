import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { isEditRoute, jsonLimit } from './bodyLimits.ts';
import { type TestServer, startTestServer } from './tests/testServer.ts';

describe('how large a request may be', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await startTestServer();
  });
  afterAll(() => server.close());

  const sized = (path: string, bytes: number) => {
    const empty = JSON.stringify({ filler: '' });
    return server
      .http()
      .post(path)
      .send({ filler: 'x'.repeat(bytes - empty.length) });
  };

  test.each([
    ['/api/builds/start', 64_000],
    ['/api/builds/lantern/copy', 64_000],
    ['/api/builds/lantern/record', 600_000],
    ['/api/catalogue/items', 300_000],
  ])('%s takes up to its limit', async (path, limit) => {
    expect(jsonLimit(path)).toBe(limit);
    await sized(path, limit).expect(400);
    const { body } = await sized(path, limit + 1).expect(413);
    expect((body as { message: string }).message).toBe(
      `the request is larger than ${limit / 1000} kB`,
    );
  });

  test('an edit may be as large as a file, and is read where it is made', async () => {
    expect(isEditRoute('POST', '/API/builds/lantern/commands/')).toBe(true);
    expect(isEditRoute('GET', '/api/builds/lantern/commands')).toBe(false);
    expect(isEditRoute('POST', '/api/builds/lantern/commands/more')).toBe(false);
    await sized('/api/builds/lantern/commands', 1_000_000).expect(400);
    await sized('/api/builds/lantern/commands', 10_600_000).expect(413);
  });
});
