import {
  type PlacedSheet,
  demoBuilds,
  evaluate,
  lantern,
  memo,
  sampleCatalogue,
  schematicInk,
  schematicSizes,
} from '@brookrain/core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { type TestServer, startTestServer } from '../tests/testServer.ts';
import { paperFonts } from './paperFonts.ts';
import { PaperPdf } from './paperPdf.ts';
import { placedSheet, sheetsOf } from './schematicSheets.ts';

interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}
const overlap = (a: Box, b: Box): boolean =>
  a.x + 0.5 < b.x + b.width &&
  b.x + 0.5 < a.x + a.width &&
  a.y + 0.5 < b.y + b.height &&
  b.y + 0.5 < a.y + a.height;

/** The sheets of a demo, laid out once for all tests. */
const placedOf = memo(async (document: (typeof demoBuilds)[number]['document']) => {
  const placed: PlacedSheet[] = [];
  for (const sheet of sheetsOf(evaluate(document, sampleCatalogue))) {
    placed.push(await placedSheet(sheet));
  }
  return placed;
});

describe('the sheets as they are laid out', () => {
  // So often wires cross on all sheets of a demo together.
  const crossings: Readonly<Record<string, number>> = { lantern: 5, sandpiper: 0, kittiwake: 5 };

  test.each(demoBuilds.map(({ id, document }) => [id, document] as const))(
    'of %s: no label lies on another or on a part, wires cross seldom, all can be read',
    async (id, document) => {
      const placed = await placedOf(document);
      const bad: string[] = [];
      for (const { title, blocks, wires, width, height } of placed) {
        const labels = wires.map((wire) => [wire.id, wire.labelAt] as const);
        labels.forEach(([name, label], i) => {
          for (const [other, at] of labels.slice(i + 1)) {
            if (overlap(label, at)) bad.push(`${title}: ${name} on ${other}`);
          }
          for (const block of blocks) {
            if (overlap(label, block)) bad.push(`${title}: ${name} on ${block.name}`);
          }
        });
        blocks.forEach((block, i) => {
          for (const other of blocks.slice(i + 1)) {
            if (overlap(block, other)) bad.push(`${title}: ${block.name} on ${other.name}`);
          }
        });
        // On A4 on its side a letter of 8 is at least 1.8 mm high, on a screen of 1280 at least 8 px.
        expect(width, title).toBeLessThan(1030);
        expect(height, title).toBeLessThan(760);
      }
      expect(bad).toEqual([]);
      const total = placed.reduce((sum, sheet) => sum + sheet.crossings, 0);
      expect(total).toBeLessThanOrEqual(crossings[id]!);
    },
    60_000,
  );

  test('on paper no word lies on another, in the type that is printed', async () => {
    const pen = new PaperPdf({ size: 'A4' }).fontSize(schematicSizes.letter);
    for (const { document } of demoBuilds) {
      for (const sheet of await placedOf(document)) {
        const words = schematicInk(sheet).flatMap((ink) => {
          if (ink.kind !== 'text') return [];
          const { anchor, at, bold, text, width: most } = ink;
          pen.font(bold ? paperFonts.bold : paperFonts.plain);
          // Longer words are set smaller until they have room.
          const width = Math.min(most, pen.widthOfString(text));
          const left = at[0] - { start: 0, middle: 0.5, end: 1 }[anchor] * width;
          const height = schematicSizes.letter * 0.7;
          return [{ text, x: left, y: at[1] - height, width, height }];
        });
        words.forEach((word, i) => {
          for (const other of words.slice(i + 1)) {
            expect(overlap(word, other), `${sheet.title}: ${word.text} on ${other.text}`).toBe(
              false,
            );
          }
        });
      }
    }
  }, 60_000);

  test('wires leave and reach the pins that they are on', async () => {
    for (const { blocks, wires } of await placedOf(lantern)) {
      const at = new Map(blocks.flatMap(({ pins }) => pins.map((pin) => [pin.id, pin] as const)));
      for (const { from, to, points } of wires) {
        const ends = [points[0]!, points.at(-1)!];
        [from, to].forEach((id, i) => {
          expect(Math.abs(at.get(id)!.x - ends[i]![0])).toBeLessThan(0.6);
          expect(Math.abs(at.get(id)!.y - ends[i]![1])).toBeLessThan(0.6);
        });
      }
    }
  });

  test('the same wiring is laid out the same', async () => {
    const [sheet] = sheetsOf(evaluate(lantern, sampleCatalogue));
    expect(await placedSheet(sheet!)).toEqual(await placedSheet(sheet!));
  });
});

describe('the schematic as files', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await startTestServer();
  });
  afterAll(() => server.close());

  test('as PDF has a page for each sheet', async () => {
    const reply = await server.http().get('/api/builds/sandpiper/schematic.pdf').expect(200);
    const text = (reply.body as Buffer).toString('latin1');
    expect(text.startsWith('%PDF')).toBe(true);
    const document = demoBuilds.find(({ id }) => id === 'sandpiper')!.document;
    const sheets = sheetsOf(evaluate(document, sampleCatalogue));
    expect([...text.matchAll(/\/Type \/Page\b/g)]).toHaveLength(sheets.length);
    expect(text).toContain('841.89 595.28');
  });

  test('as SVG has every wire of its sheet, and is refused for a sheet that is not there', async () => {
    const reply = await server.http().get('/api/builds/lantern/schematic/cooling.svg').expect(200);
    expect(reply.headers['content-type']).toContain('image/svg+xml');
    const svg = (reply.body as Buffer).toString('utf8');
    const sheet = sheetsOf(evaluate(lantern, sampleCatalogue)).find(({ id }) => id === 'cooling')!;
    for (const { id } of sheet.wires) expect(svg).toContain(`data-wire="${id}"`);
    const none = await server.http().get('/api/builds/lantern/schematic/none.svg').expect(404);
    expect(none.body).toMatchObject({ message: 'the schematic has no sheet "none"' });
  });

  test('the table of what is switched goes out as CSV', async () => {
    const reply = await server.http().get('/api/builds/kittiwake/switching.csv').expect(200);
    expect(reply.headers['content-type']).toContain('text/csv');
    expect(reply.text).toContain('Power module,B09,sources,,Rain light');
    expect(reply.text).toContain('key in RUN and Keypad button 4 on');
  });
});
