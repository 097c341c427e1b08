import { afterEach, describe, expect, test, vi } from 'vitest';
import { ApiError, api } from './client.ts';

const answer = (status: number, body: unknown): void => {
  vi.stubGlobal(
    'fetch',
    vi.fn(() => Promise.resolve(new Response(JSON.stringify(body), { status }))),
  );
};
afterEach(() => vi.unstubAllGlobals());

const failure = async (work: Promise<unknown>): Promise<ApiError> => {
  const error: unknown = await work.then(
    () => undefined,
    (e: unknown) => e,
  );
  expect(error).toBeInstanceOf(ApiError);
  return error as ApiError;
};

describe('talking to the server', () => {
  test('an edit carries the revision it started from', async () => {
    answer(200, { id: 'x', revision: 4 });
    const head = { baseRevision: 3, generation: 'g1', editId: 'e-0000001', author: 'Mika' };
    await api.edit('a build', head, { name: 'set', path: ['brief', 'cylinders'], value: 6 });
    const [url, init] = vi.mocked(fetch).mock.calls[0]!;
    expect(url).toBe('/api/builds/a%20build/commands');
    expect(JSON.parse(init!.body as string)).toEqual({
      ...head,
      command: { name: 'set', path: ['brief', 'cylinders'], value: 6 },
    });
  });

  test('a refusal brings its places', async () => {
    const issues = [{ path: 'brief.power', message: 'power must be above zero' }];
    answer(400, { code: 'bad-input', message: 'no', issues });
    const error = await failure(api.builds());
    expect(error.status).toBe(400);
    expect(error.issues).toEqual(issues);
    expect(error.conflict).toBeUndefined();
  });

  test('a conflict brings the revision that the build stands at', async () => {
    answer(409, { code: 'conflict', message: 'stale', revision: 2, since: [] });
    const error = await failure(
      api.step(
        'x',
        { baseRevision: 1, generation: 'g1', editId: 'e-0000002', author: 'a' },
        'undo',
      ),
    );
    expect(error.conflict?.revision).toBe(2);
  });

  test('no answer at all says that nothing accepted is lost', async () => {
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.reject(new TypeError('offline'))),
    );
    const error = await failure(api.builds());
    expect(error.status).toBe(0);
    expect(error.message).toContain('kept here and sent later');
    expect(error.canBeSentAgain).toBe(true);
  });

  test('a full disk may be tried again, a wrong input may not', async () => {
    answer(507, { code: 'storage', message: 'The disk is full' });
    expect((await failure(api.builds())).canBeSentAgain).toBe(true);
    answer(400, { code: 'bad-input', message: 'no' });
    expect((await failure(api.builds())).canBeSentAgain).toBe(false);
    answer(500, { code: 'internal', message: 'no' });
    expect((await failure(api.builds())).canBeSentAgain).toBe(false);
  });

  test('an answer that is no JSON is told by its number', async () => {
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.resolve(new Response('<html>', { status: 502 }))),
    );
    expect((await failure(api.catalogue())).message).toContain('502');
  });
});
