import { hashOf, lantern } from '@brookrain/core';
import fc from 'fast-check';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { ConflictRefused, refusalOf } from '../errors.ts';
import { documentText } from '../documents/documentText.ts';
import { openDocuments } from '../tests/openDocuments.ts';
import { type TestServer, startTestServer } from '../tests/testServer.ts';

let server: TestServer;
let documents: ReturnType<typeof openDocuments>;
beforeAll(async () => {
  server = await startTestServer();
  documents = openDocuments(server);
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
async function take(id: string, each: Step): Promise<void> {
  const { store, editor, edit, documentAt, documentNow } = documents;
  const { revision } = store.read(id);
  const change = { baseRevision: revision, author };
  try {
    switch (each.does) {
      case 'edit':
        await edit(id, change, each.command);
        break;
      case 'undo':
      case 'redo':
        await editor.step(id, change, each.does);
        break;
      case 'go back': {
        const to = 1 + (each.to % revision);
        const then = hashOf(await documentAt(id, to));
        await editor.goBack(id, change, to);
        expect(hashOf(documentNow(id))).toBe(then);
        break;
      }
      case 'stale edit':
        await edit(
          id,
          { baseRevision: 1 + (each.to % revision), author },
          { name: 'set', path: ['description'], value: `stale ${each.to}` },
        );
    }
  } catch (error) {
    const refusal = error instanceof ConflictRefused ? error : refusalOf(error);
    if (!refusal) throw error;
    expect(refusal.status).toBeLessThan(500);
    const said = 'body' in refusal ? refusal.body : JSON.stringify(refusal.reply);
    expect(said.length).toBeGreaterThan(20);
    expect(store.read(id).revision).toBe(revision);
  }
}

test('nothing that is accepted makes undo, redo, going back or a stale edit fail', async () => {
  const { store, editor, documentAt, documentNow } = documents;
  let edited = 0;
  const document = documentText(lantern);
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 3, maxLength: 12 }), async (steps) => {
      const { id } = store.create({ document, author, words: 'start' });
      for (const each of steps) await take(id, each);
      edited += store.read(id).revision - 1;
      for (const { number, hash } of store.revisions(id)) {
        expect(hashOf(await documentAt(id, number))).toBe(hash);
      }
      // Taken back one after the other, what is left is what was there at first.
      while (store.read(id).undo !== null) {
        await editor.step(id, { baseRevision: store.read(id).revision, author }, 'undo');
      }
      expect(hashOf(documentNow(id))).toBe(hashOf(lantern));
    }),
    { numRuns: 60 },
  );
  expect(edited).toBeGreaterThan(100);
}, 120_000);
