import { type CatalogueItem, hashOf, lantern } from '@brookrain/core';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { BuildStore } from './buildStore.ts';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import { readDocument } from '../documents/readFiles.ts';
import { documentText } from '../documents/documentText.ts';
import { RefusedRequest } from '../errors.ts';
import { openDocuments } from '../tests/openDocuments.ts';
import { type TestServer, startTestServer } from '../tests/testServer.ts';

let server: TestServer;
let documents: ReturnType<typeof openDocuments>;
beforeEach(async () => {
  server = await startTestServer();
  documents = openDocuments(server);
});
afterEach(() => server.close());

const edits = [
  (n: number) => ({
    name: 'set',
    path: ['brief', 'boost'],
    value: { value: 10e3 + 1e3 * n, unit: 'kPa' },
  }),
  (n: number) => ({ name: 'set', path: ['brief', 'cylinders'], value: 3 + (n % 6) }),
  (n: number) => ({
    name: 'choose-injector',
    rowId: 'primary',
    item: { id: ['I440', 'I650', 'I850'][n % 3]!, revision: 1 },
  }),
  (n: number) => ({
    name: 'choose-wire',
    wireId: 'pump~+',
    size: n % 2 === 0 ? null : { id: 'W4', revision: 1 },
  }),
  (n: number) => ({
    name: 'decide',
    optionId: 'tank-outlet',
    alternativeId: n % 2 === 0 ? 'new' : 'existing',
    assemblies: {},
  }),
] as const;

describe('revisions', () => {
  test('after any edits, undos and redos every past document is found again by its hash', async () => {
    const { store, editor, edit, documentAt, documentNow } = documents;
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 6 }), fc.nat(20)), {
          minLength: 1,
          maxLength: 14,
        }),
        async (steps) => {
          const { id } = store.create({
            document: documentText(lantern),
            author: 'test',
            words: 'start',
          });
          for (const [which, n] of steps) {
            const { revision } = store.read(id);
            const made = edits[which];
            try {
              const change = { baseRevision: revision, author: 'test' };
              if (made) await edit(id, change, made(n));
              else await editor.step(id, change, which === 5 ? 'undo' : 'redo');
            } catch (error) {
              // With nothing to undo or redo the request is refused and nothing changes.
              expect(error).toBeInstanceOf(RefusedRequest);
              expect(store.read(id).revision).toBe(revision);
            }
          }
          for (const { number, hash } of store.revisions(id)) {
            expect(hashOf(await documentAt(id, number))).toBe(hash);
          }
          expect(hashOf(documentNow(id))).toBe(store.revisions(id)[0]!.hash);
        },
      ),
      { numRuns: 25 },
    );
  });

  test('a document before the first or after the last revision does not exist', async () => {
    const { documentAt } = documents;
    await expect(documentAt('lantern', 0)).rejects.toThrow('there is no revision 0');
    await expect(documentAt('lantern', 2)).rejects.toThrow('there is no revision 2');
    expect(hashOf(await documentAt('lantern', 1))).toBe(hashOf(lantern));
  });

  test('appending from another revision than the newest writes nothing', () => {
    const { store } = documents;
    const written = store.append({
      id: 'lantern',
      baseRevision: 7,
      document: documentText({ ...lantern, name: 'Never' }),
      revision: {
        kind: 'edit',
        target: null,
        author: 'x',
        words: 'x',
        command: null,
        patch: '[]',
        inverse: '[]',
      },
    });
    expect(written).toBeUndefined();
    expect(store.read('lantern').name).toBe('Lantern');
    expect(store.revisions('lantern')).toHaveLength(1);
  });

  test('each carries who, when and in which words', async () => {
    const { store, edit } = documents;
    await edit('lantern', { baseRevision: 1, author: 'Mika' }, edits[1](2));
    const [newest] = store.revisions('lantern');
    expect(newest).toMatchObject({ author: 'Mika', kind: 'edit', words: 'Cylinders 4 → 5' });
    expect(Math.abs(Date.now() - Date.parse(newest!.time))).toBeLessThan(60_000);
  });
});

describe('catalogue', () => {
  test('the same revision with other data is refused, the same data is known', () => {
    const catalogue = server.server.app.get(CatalogueStore);
    const [item] = catalogue.all().items;
    const readWith = (items: readonly CatalogueItem[]) =>
      readDocument(JSON.stringify({ ...lantern, catalogue: items }), catalogue.all()).rows;
    expect(readWith([item!])).toEqual([]);
    expect(() => readWith([{ ...item!, price: 1 }])).toThrow(RefusedRequest);
    expect(readWith([{ ...item!, revision: 2 }])).toHaveLength(1);
  });

  test('items that are missing on start are added, and are there for all', async () => {
    const catalogue = server.server.app.get(CatalogueStore);
    const [item] = catalogue.all().items;
    catalogue.install([{ ...item!, id: 'LATER-1' }]);
    expect(catalogue.all().items.some((i) => i.id === 'LATER-1')).toBe(true);
    await server.restart();
    const again = server.server.app.get(CatalogueStore);
    expect(again.all().items.some((i) => i.id === 'LATER-1')).toBe(true);
    expect(server.server.app.get(BuildStore).count()).toBe(3);
  });

  test('is one object until something is added', () => {
    const catalogue = server.server.app.get(CatalogueStore);
    expect(catalogue.all()).toBe(catalogue.all());
  });
});
