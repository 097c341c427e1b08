import { expect, test } from 'vitest';
import { withProgress } from './withProgress.ts';

test('what is told on the way is told until the answer is there, and not after it', async () => {
  const told: number[] = [];
  let late: (done: number) => void = () => undefined;
  const answer = await withProgress(
    (done: number) => told.push(done),
    async (onProgress) => {
      late = onProgress;
      onProgress(1);
      await Promise.resolve();
      onProgress(2);
      return 'found';
    },
  );
  late(3);
  expect(answer).toBe('found');
  expect(told).toEqual([1, 2]);
});

test('nor after it failed', async () => {
  const told: number[] = [];
  let late: (done: number) => void = () => undefined;
  const asked = withProgress(
    (done: number) => told.push(done),
    (onProgress) => {
      late = onProgress;
      return Promise.reject(new Error('no way'));
    },
  );
  await expect(asked).rejects.toThrow('no way');
  late(1);
  expect(told).toEqual([]);
});
