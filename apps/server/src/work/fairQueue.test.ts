import { describe, expect, test } from 'vitest';
import { FairQueue, type WaitingJob } from './fairQueue.ts';

const LIMITS = { jobs: 6, ofOneOwner: 4, bytes: 1000 };
const job = (owner: string, bytes?: number, key = owner): WaitingJob => ({
  owner,
  holds: bytes === undefined ? undefined : { key, bytes },
});
const at = () => {
  const clock = { now: 0 };
  return { clock, queue: new FairQueue(LIMITS, () => clock.now) };
};

describe('whose turn it is', () => {
  test('of owners that used nothing, whoever came first; of one owner in order', () => {
    const { queue } = at();
    const jobs = [job('a'), job('a'), job('b')];
    jobs.forEach((each) => queue.add(each));
    expect([queue.take(), queue.take(), queue.take(), queue.take()]).toEqual([...jobs, undefined]);
  });

  test('whoever used least of late comes before whoever was first', () => {
    const { queue } = at();
    queue.note('long', 30_000);
    queue.note('short', 500);
    [job('long'), job('long'), job('short'), job('new')].forEach((each) => queue.add(each));
    expect([queue.take(), queue.take(), queue.take()].map((each) => each?.owner)).toEqual([
      'new',
      'short',
      'long',
    ]);
  });

  test('what was used counts half after two minutes', () => {
    const { clock, queue } = at();
    queue.note('before', 1000);
    clock.now = 120_000;
    queue.note('now', 499);
    [job('before'), job('now')].forEach((each) => queue.add(each));
    expect(queue.take()?.owner).toBe('now');
    queue.note('now', 2);
    [job('now')].forEach((each) => queue.add(each));
    expect(queue.take()?.owner).toBe('before');
  });
});

describe('what may wait', () => {
  const filled = (jobs: readonly WaitingJob[]) => {
    const { queue } = at();
    jobs.forEach((each) => queue.add(each));
    return queue;
  };

  test('so many of one owner', () => {
    expect(filled([job('a'), job('a'), job('a')]).hasRoomFor(job('a'))).toBe(true);
    expect(filled([job('a'), job('a'), job('a'), job('a')]).hasRoomFor(job('a'))).toBe(false);
    expect(filled([job('a'), job('a'), job('a'), job('a')]).hasRoomFor(job('b'))).toBe(true);
  });

  test('so many of all', () => {
    const five = ['a', 'b', 'c', 'd', 'e'].map((owner) => job(owner));
    expect(filled(five).hasRoomFor(job('f'))).toBe(true);
    expect(filled([...five, job('f')]).hasRoomFor(job('g'))).toBe(false);
  });

  test('so much memory, the same document counted once', () => {
    const queue = filled([job('a', 600), job('a', 600)]);
    expect(queue.hasRoomFor(job('b', 400))).toBe(true);
    expect(queue.hasRoomFor(job('b', 401))).toBe(false);
    expect(queue.hasRoomFor(job('a', 600))).toBe(true);
  });
});
