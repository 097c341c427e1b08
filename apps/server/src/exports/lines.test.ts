import {
  type MadeLine,
  cautionFacts,
  cautionsAt,
  evaluate,
  kittiwake,
  lantern,
  readBuild,
  sampleCatalogue,
  shoppingList,
} from '@brookrain/core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { RecordedSheet } from '../tests/recordedSheet.ts';
import { type TestServer, startTestServer } from '../tests/testServer.ts';
import { buyingRows, writeBuying } from './buyingSheet.ts';
import { writeCards } from './cardSheet.ts';

const { made, parts } = evaluate(lantern, sampleCatalogue);
const textOf = (sheet: RecordedSheet): string =>
  [...sheet.said, ...sheet.tables.flatMap(({ rows }) => rows.flat())].join('\n');

describe('work cards on paper', () => {
  const write = (lines: readonly MadeLine[], units: 'metric' | 'us' = 'metric') => {
    const sheet = new RecordedSheet();
    writeCards({
      sheet,
      buildName: lantern.name,
      lines,
      catalogue: sampleCatalogue,
      units,
      cautions: cautionsAt('lines', cautionFacts(readBuild(lantern))),
    });
    return sheet;
  };
  const back = made.find(({ lineId }) => lineId === 'return')!;

  test('say what the screen says: cut length, clocking, parts, torque, test', () => {
    const sheet = write([back]);
    const text = textOf(sheet);
    for (const part of ['4195 mm', '264 °', '606 kPa', 'Hose end −6 90°', '20 N·m', '5 minutes']) {
      expect(text).toContain(part);
    }
    expect(sheet.drawings).toBe(1);
    expect(sheet.pages).toBe(1);
    expect(sheet.finished).toBe(true);
  });

  test('carry their cautions in full, each on its page', () => {
    const sheet = write(made);
    expect(sheet.pages).toBe(made.length);
    const text = textOf(sheet);
    expect(text.split('Braid outside says nothing about the liner.')).toHaveLength(made.length + 1);
    expect(text).not.toMatch(/[{}]|undefined|NaN/);
  });

  test('read in inches where that is asked', () => {
    expect(textOf(write([back], 'us'))).toContain('165.16 in');
  });
});

describe('the one-trip list', () => {
  const list = shoppingList({ ...parts, shelf: [], offcuts: [], catalogue: sampleCatalogue });

  test('as CSV adds up to its last line and names what waits', () => {
    const rows = buyingRows(list, 'EUR');
    const total = rows.at(-1)!;
    expect(total.price).toBeCloseTo(
      rows.slice(0, -1).reduce((sum, row) => sum + row.price, 0),
      2,
    );
    expect(rows.find(({ part }) => part === 'P340X')).toMatchObject({
      counter: 'Fuel system',
      buy: 1,
      blocks: 'Fuel pump',
    });
  });

  test('on paper has every part once, by counter, and how hose is cut', () => {
    const sheet = new RecordedSheet();
    writeBuying({ sheet, buildName: 'Lantern', list, currency: 'EUR', units: 'metric' });
    const text = textOf(sheet);
    for (const line of list.lines) {
      if (line.buy > 0) expect(text).toContain(line.item.designation);
    }
    expect(text).toContain('Feed line 3370 mm');
    expect(text).toContain('How hose and tube are cut');
  });
});

describe('papers of lines from the server', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await startTestServer();
  });
  afterAll(() => server.close());

  test.each([
    ['cards.pdf', 'kittiwake'],
    ['cards/return.pdf?units=us', 'lantern'],
    ['buying.pdf', 'kittiwake'],
  ])('%s of %s is a PDF', async (path, build) => {
    const reply = await server.http().get(`/api/builds/${build}/${path}`).expect(200);
    expect(reply.headers['content-type']).toContain('application/pdf');
    expect((reply.body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
  });

  test('the list comes as CSV, with the total that the core finds', async () => {
    const reply = await server.http().get('/api/builds/kittiwake/buying.csv').expect(200);
    const list = shoppingList({
      ...evaluate(kittiwake, sampleCatalogue).parts,
      shelf: [],
      offcuts: [],
      catalogue: sampleCatalogue,
    });
    const last = reply.text.trim().split('\r\n').at(-1)!;
    expect(last).toContain('Total');
    expect(last).toContain(`${list.price}`);
  });

  test('a line that is not there has no card', async () => {
    const reply = await server.http().get('/api/builds/lantern/cards/moon.pdf').expect(404);
    expect(JSON.stringify(reply.body)).toContain('no such line');
  });
});
