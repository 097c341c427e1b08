import {
  type Formboard,
  boardTiles,
  demoBuilds,
  evaluate,
  formboards,
  readBuild,
  sampleCatalogue,
} from '@brookrain/core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { entitiesOf } from '../tests/dxfEntities.ts';
import { type PdfLine, pdfPages } from '../tests/pdfDrawing.ts';
import { type TestServer, startTestServer } from '../tests/testServer.ts';
import { drawingDxf } from './drawingDxf.ts';
import { formboardPdf } from './formboardPdf.ts';

const boardsOf = ({ document }: (typeof demoBuilds)[number]): readonly Formboard[] => {
  const { led, harness, electrics } = evaluate(document, sampleCatalogue);
  const { harness: decided, placements } = readBuild(document);
  return formboards({ buildName: document.name, led, harness, electrics, decided, placements });
};
const long = ({ from, to }: PdfLine): number => Math.hypot(to[0] - from[0], to[1] - from[1]);
const near = (a: number, b: number, within = 0.1): boolean => Math.abs(a - b) < within;

describe.each(demoBuilds.map((demo) => [demo.document.name, demo] as const))(
  'the boards of %s on paper',
  (_, demo) => {
    const boards = boardsOf(demo);

    test('stand on each sheet where they belong, and their crosses lie on each other', async () => {
      for (const { piece, drawing } of boards) {
        const read = { title: piece.name, footer: '', drawing };
        const pages = pdfPages(await formboardPdf({ ...read, paper: 'a3' }));
        const { tiles } = boardTiles(drawing, 'a3');
        expect(pages).toHaveLength(tiles.length);
        const crosses = new Map<string, Set<string>>();
        pages.forEach(({ size, lines }, i) => {
          expect(near(size[0], 420) && near(size[1], 297)).toBe(true);
          const { left, top } = tiles[i]!;
          // From the sheet back onto the board, mm.
          const back = ([x, y]: readonly [number, number]): readonly [number, number] => [
            x - 10 + left + drawing.low[0],
            drawing.high[1] - (y - 10 + top),
          ];
          // Every segment is written on every sheet, and cut off at its edge.
          const looms = lines.filter(({ width }) => near(width, 0.5, 0.01));
          expect(looms).toHaveLength(piece.edges.length);
          for (const { from, to, length } of piece.edges) {
            const [a, b] = [drawing.places.get(from)!, drawing.places.get(to)!];
            const found = looms.some((line) => {
              const [p, q] = [back(line.from), back(line.to)];
              return (
                near(p[0], a[0]) &&
                near(p[1], a[1]) &&
                near(q[0], b[0]) &&
                near(q[1], b[1]) &&
                near(long(line), 1e3 * length)
              );
            });
            expect(found).toBe(true);
          }
          for (const line of lines) {
            if (!near(line.width, 0.2, 0.01) || !near(long(line), 8)) continue;
            const middle = [(line.from[0] + line.to[0]) / 2, (line.from[1] + line.to[1]) / 2];
            const at = back(middle as unknown as [number, number])
              .map((value) => value.toFixed(1))
              .join(' ');
            crosses.set(at, (crosses.get(at) ?? new Set()).add(tiles[i]!.name));
          }
          // The line by which the print is checked stands on every sheet.
          expect(lines.some((line) => near(line.width, 0.3, 0.01) && near(long(line), 100))).toBe(
            true,
          );
        });
        const shared = [...crosses.values()].filter((names) => names.size > 1);
        expect(shared.length).toBeGreaterThan(tiles.length / 2);
      }
    });

    test('as DXF have every segment at its length on a layer of its own', () => {
      for (const { piece, drawing } of boards) {
        const looms = entitiesOf(drawingDxf(drawing)).filter(
          ({ kind, groups }) => kind === 'LINE' && groups['8'] === 'LOOM',
        );
        const lengths = looms.map(({ groups }) =>
          Math.hypot(
            Number(groups['11']) - Number(groups['10']),
            Number(groups['21']) - Number(groups['20']),
          ),
        );
        const wanted = piece.edges.map(({ length }) => 1e3 * length).sort((a, b) => a - b);
        expect(lengths).toHaveLength(wanted.length);
        lengths
          .sort((a, b) => a - b)
          .forEach((length, i) => expect(near(length, wanted[i]!)).toBe(true));
      }
    });
  },
);

describe('boards over HTTP', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await startTestServer();
  });
  afterAll(() => server.close());

  test('come as PDF, SVG and DXF; a board or a paper that is not there is a 404', async () => {
    const at = '/api/builds/sandpiper/boards';
    const pdf = await server.http().get(`${at}/1/a4.pdf`).buffer(true).expect(200);
    expect(pdf.headers['content-type']).toContain('application/pdf');
    const svg = await server.http().get(`${at}/1.svg`).expect(200);
    expect(svg.headers['content-disposition']).toContain('board-1.svg');
    await server.http().get(`${at}/1.dxf`).expect(200);
    await server.http().get(`${at}/1/a9.pdf`).expect(404);
    await server.http().get(`${at}/7/a4.pdf`).expect(404);
    await server.http().get(`${at}/7.svg`).expect(404);
  });
});
