import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test } from 'vitest';

const root = fileURLToPath(new URL('../../../', import.meta.url));
const testsIn = (folder: string): string[] =>
  readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.test.ts'))
    .map((file) => readFileSync(join(root, folder, file), 'utf8').replaceAll("\\'", "'"));

test('every promise in docs/safety-of-data.md is a test of its name', () => {
  const page = readFileSync(join(root, 'docs/safety-of-data.md'), 'utf8');
  const promised = page.slice(page.indexOf('## Promised'), page.indexOf('## Not promised'));
  const promises = [...promised.matchAll(/^- \*\*(.+?)\.?\*\*/gm)].map(([, name]) => name!);
  expect(promises.length).toBeGreaterThan(12);
  const tests = [...testsIn('apps/server/src'), ...testsIn('packages/core/src')];
  const named = (promise: string): boolean =>
    tests.some((text) => new RegExp(`(test|describe)\\(\\s*[\`'"]${promise}`).test(text));
  expect(promises.filter((promise) => !named(promise))).toEqual([]);
});
