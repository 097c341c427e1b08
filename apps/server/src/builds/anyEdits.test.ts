import { type BuildDocument, hashOf, lantern } from '@brookrain/core';
import fc from 'fast-check';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { refusalOf } from '../errors.ts';
import { type TestServer, startTestServer } from '../tests/testServer.ts';
import { BuildEditor } from './buildEditor.ts';
import { BuildStore } from './buildStore.ts';

let server: TestServer;
let store: BuildStore;
let editor: BuildEditor;
beforeAll(async () => {
  server = await startTestServer();
  store = server.server.app.get(BuildStore);
  editor = server.server.app.get(BuildEditor);
});
afterAll(() => server.close());

/** Keys that paths, patches and objects could stumble over. */
const key = fc.oneof(
  fc.constantFrom(
    'a.b',
    '.',
    '..',
    '',
    ' ',
    '0',
    '-1',
    'length',
    '__proto__',
    'constructor',
    'toString',
    'a/b',
    'a~b',
    '日本',
    '🔧',
    'battery-+~main-fuse',
  ),
  fc.string({ maxLength: 12 }),
);

/** Collections in which an entry may stand under any key that is none too long. */
const collections = ['grounds', 'vehicleSignals', 'hardPoints', 'options', 'acceptances'] as const;

const acceptance = {
  title: 'Filter is fine',
  reason: 'it is so',
  author: 'Mika',
  time: '2026-05-01T10:00:00.000Z',
  measured: 4,
};
const entryFor = (collection: (typeof collections)[number]): unknown =>
  collection === 'acceptances' ? acceptance : Object.values(lantern[collection])[0];

/** Something that somebody may send: most of it holds, some of it cannot. */
const command = fc.oneof(
  fc
    .record({ collection: fc.constantFrom(...collections), key })
    .map(({ collection, key: at }) => ({
      name: 'set',
      path: [collection, at],
      value: entryFor(collection),
    })),
  fc
    .record({ collection: fc.constantFrom(...collections), key })
    .map(({ collection, key: at }) => ({ name: 'remove', path: [collection, at] })),
  fc
    .record({ collection: fc.constantFrom(...collections), key, value: fc.string() })
    .map(({ collection, key: at, value }) => ({
      name: 'set',
      path: [collection, at, collection === 'acceptances' ? 'reason' : 'name'],
      value,
    })),
  fc.string({ maxLength: 30 }).map((value) => ({ name: 'set', path: ['description'], value })),
  fc.nat(8).map((n) => ({ name: 'set', path: ['brief', 'cylinders'], value: n })),
  fc.constantFrom('new', 'existing').map((alternativeId) => ({
    name: 'decide',
    optionId: 'tank-outlet',
    alternativeId,
    assemblies: {},
  })),
);

type Step =
  | { readonly does: 'edit'; readonly command: object }
  | { readonly does: 'undo' | 'redo' }
  | { readonly does: 'go back' | 'stale edit'; readonly to: number };
const step: fc.Arbitrary<Step> = fc.oneof(
  { weight: 5, arbitrary: command.map((each) => ({ does: 'edit' as const, command: each })) },
  { weight: 2, arbitrary: fc.constantFrom<Step>({ does: 'undo' }, { does: 'redo' }) },
  {
    weight: 2,
    arbitrary: fc.record({
      does: fc.constantFrom('go back' as const, 'stale edit' as const),
      to: fc.nat(30),
    }),
  },
);

const author = 'test';

/** Does one step on a build; anything but a refusal fails the test. */
function take(id: string, each: Step): void {
  const { revision } = store.read(id);
  const change = { baseRevision: revision, author };
  try {
    switch (each.does) {
      case 'edit':
        editor.edit(id, change, each.command);
        break;
      case 'undo':
      case 'redo':
        editor.step(id, change, each.does);
        break;
      case 'go back': {
        const to = 1 + (each.to % revision);
        const then = hashOf(store.documentAt(id, to));
        editor.goBack(id, change, to);
        expect(hashOf(store.read(id).document)).toBe(then);
        break;
      }
      case 'stale edit':
        editor.edit(
          id,
          { baseRevision: 1 + (each.to % revision), author },
          { name: 'set', path: ['description'], value: `stale ${each.to}` },
        );
    }
  } catch (error) {
    const refusal = refusalOf(error);
    if (!refusal) throw error;
    expect(refusal.status).toBeLessThan(500);
    expect(JSON.stringify(refusal.reply).length).toBeGreaterThan(20);
    expect(store.read(id).revision).toBe(revision);
  }
}

test('nothing that is accepted makes undo, redo, going back or a stale edit fail', () => {
  let edited = 0;
  fc.assert(
    fc.property(fc.array(step, { minLength: 3, maxLength: 12 }), (steps) => {
      const { id } = store.create({ document: lantern, author, words: 'start', items: [] });
      for (const each of steps) take(id, each);
      edited += store.read(id).revision - 1;
      for (const { number, hash } of store.revisions(id)) {
        expect(hashOf(store.documentAt(id, number))).toBe(hash);
      }
      // Taken back one after the other, what is left is what was there at first.
      const read = (): { revision: number; document: BuildDocument; undo: string | null } =>
        store.read(id);
      while (read().undo !== null) {
        editor.step(id, { baseRevision: read().revision, author }, 'undo');
      }
      expect(hashOf(read().document)).toBe(hashOf(lantern));
    }),
    { numRuns: 60 },
  );
  expect(edited).toBeGreaterThan(100);
}, 120_000);
