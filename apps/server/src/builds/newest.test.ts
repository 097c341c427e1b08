import fc from 'fast-check';
import { expect, test } from 'vitest';
import { Newest } from './newest.ts';

test('keeps what was asked for last, never more than it may', () => {
  const step = fc.record({
    key: fc.constantFrom('a', 'b', 'c', 'd', 'e', 'f'),
    write: fc.boolean(),
  });
  fc.assert(
    fc.property(
      fc.array(step, { maxLength: 60 }),
      fc.integer({ min: 1, max: 4 }),
      (steps, most) => {
        const newest = new Newest<number>(most);
        /** keys in the order in which they were used, the last one last */
        let used: string[] = [];
        steps.forEach(({ key, write }, n) => {
          if (write) newest.set(key, n);
          const isThere = used.slice(-most).includes(key);
          if (!write) expect(newest.get(key) !== undefined).toBe(isThere);
          if (write || isThere) used = [...used.slice(-most).filter((each) => each !== key), key];
          expect(newest.size).toBe(Math.min(most, used.length));
        });
      },
    ),
  );
});

test('what is archived is not there any more', () => {
  const newest = new Newest<string>(2);
  newest.set('a', 'one');
  newest.delete('a');
  expect(newest.get('a')).toBeUndefined();
  expect(newest.size).toBe(0);
});
