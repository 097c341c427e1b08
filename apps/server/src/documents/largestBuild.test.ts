import type { BuildReply } from '@brookrain/contract';
import { fileTypes, lantern } from '@brookrain/core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { CORNERS, largestFile, largestHarness } from '../attack/largeBuilds.ts';
import { type TestServer, startTestServer } from '../tests/testServer.ts';
import { MOST_OF_A_BUILD, documentText, refuseTooLarge } from './documentText.ts';

describe('The largest build holds up nobody', () => {
  let server: TestServer;
  let large: BuildReply;
  const bring = (corners: number) =>
    server
      .http()
      .post('/api/builds/import')
      .set('content-type', fileTypes.json)
      .send(largestFile(corners));
  beforeAll(async () => {
    server = await startTestServer();
    large = (await bring(CORNERS.kept).expect(201)).body as BuildReply;
  });
  afterAll(() => server.close());

  test('it is as large as the limits accept, and one beyond is refused with the reason', async () => {
    expect(JSON.stringify(large.document).length).toBeGreaterThan(MOST_OF_A_BUILD * 0.9);
    const { body } = await bring(CORNERS.most).expect(400);
    expect((body as { message: string }).message).toMatch(/larger than 2 MB: .* divide it/);
  });

  test('while it is edited, health and the builds of others are answered', async () => {
    const order: string[] = [];
    const edited = server
      .edit(1, { name: 'set', path: ['description'], value: 'large' }, large.id)
      .expect(200)
      .then(() => order.push('edit'));
    const others = ['/api/health', '/api/builds', '/api/builds/sandpiper'].map((path) =>
      server
        .http()
        .get(path)
        .expect(200)
        .then(() => order.push('read')),
    );
    await Promise.all([edited, ...others]);
    expect(order).toEqual(['read', 'read', 'read', 'edit']);
  });

  test('an edit that would make it too large is refused, and one that makes it smaller is made', async () => {
    const { revision } = await server.read(large.id);
    const document = largestHarness(CORNERS.most);
    await server.edit(revision, { name: 'replace-document', document }, large.id).expect(400);
    expect((await server.read(large.id)).revision).toBe(revision);
    await server
      .edit(revision, { name: 'replace-document', document: lantern }, large.id)
      .expect(200);
  });
});

describe('the size of a build', () => {
  const sized = (length: number) => ({ ...documentText(lantern), text: 'x'.repeat(length) });

  test('is accepted up to its limit and not beyond', () => {
    expect(() => refuseTooLarge(sized(MOST_OF_A_BUILD))).not.toThrow();
    expect(() => refuseTooLarge(sized(MOST_OF_A_BUILD + 1))).toThrow('larger than 2 MB');
  });

  test('of one that is larger already may shrink', () => {
    expect(() => refuseTooLarge(sized(MOST_OF_A_BUILD + 9), MOST_OF_A_BUILD + 10)).not.toThrow();
    expect(() => refuseTooLarge(sized(MOST_OF_A_BUILD + 11), MOST_OF_A_BUILD + 10)).toThrow();
  });
});
