import { evaluate, sampleCatalogue, sandpiper } from '@brookrain/core';
import { inflateSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { type TestServer, startTestServer } from '../tests/testServer.ts';

const POINTS_A_MM = 72 / 25.4;
const { layout } = evaluate(sandpiper, sampleCatalogue).panel!;

type Matrix = readonly [number, number, number, number, number, number];
const times = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[1] * n[2],
  m[0] * n[1] + m[1] * n[3],
  m[2] * n[0] + m[3] * n[2],
  m[2] * n[1] + m[3] * n[3],
  m[4] * n[0] + m[5] * n[2] + n[4],
  m[4] * n[1] + m[5] * n[3] + n[5],
];

/** The pages of a PDF as what their contents say. */
function contentsOf(pdf: Buffer): string[] {
  const text = pdf.toString('latin1');
  return [...text.matchAll(/\/Filter \/FlateDecode\s*>>\s*stream\n/g)].flatMap((match) => {
    const from = match.index + match[0].length;
    const to = text.indexOf('\nendstream', from);
    const content = inflateSync(Buffer.from(text.slice(from, to), 'latin1')).toString('latin1');
    return content.includes(' cm') ? [content] : [];
  });
}

/** Closed curves of a page: middle and size in mm, as they lie on paper. */
function circlesOf(content: string): { x: number; y: number; wide: number }[] {
  let matrix: Matrix = [1, 0, 0, 1, 0, 0];
  const kept: Matrix[] = [];
  const found: { x: number; y: number; wide: number }[] = [];
  let points: (readonly [number, number])[] = [];
  const at = (x: number, y: number) =>
    [
      (matrix[0] * x + matrix[2] * y + matrix[4]) / POINTS_A_MM,
      (matrix[1] * x + matrix[3] * y + matrix[5]) / POINTS_A_MM,
    ] as const;
  let curved = false;
  for (const line of content.split('\n')) {
    const words = line.trim().split(/\s+/);
    const numbers = words.map(Number);
    const operator = words.at(-1);
    if (operator === 'q') kept.push(matrix);
    else if (operator === 'Q') matrix = kept.pop() ?? matrix;
    else if (operator === 'cm') matrix = times(numbers.slice(0, 6) as unknown as Matrix, matrix);
    else if (operator === 'm') {
      points = [at(numbers[0]!, numbers[1]!)];
      curved = false;
    } else if (operator === 'c') {
      points.push(at(numbers[4]!, numbers[5]!));
      curved = true;
    } else if (operator === 'S' && curved) {
      const xs = points.map(([x]) => x);
      const ys = points.map(([, y]) => y);
      const [left, right] = [Math.min(...xs), Math.max(...xs)];
      found.push({
        x: (left + right) / 2,
        y: (Math.min(...ys) + Math.max(...ys)) / 2,
        wide: right - left,
      });
      curved = false;
    }
  }
  return found;
}

describe('the drilling template over the API', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await startTestServer();
  });
  afterAll(() => server.close());

  test('as PDF stands at full size over several sheets, holes true to a tenth of a millimetre', async () => {
    const { body, headers } = await server
      .http()
      .get('/api/builds/sandpiper/panel.pdf')
      .buffer(true)
      .parse((response, done) => {
        const chunks: Buffer[] = [];
        response.on('data', (chunk: Buffer) => chunks.push(chunk));
        response.on('end', () => done(null, Buffer.concat(chunks)));
      })
      .expect(200);
    expect(headers['content-disposition']).toContain('sandpiper-panel.pdf');
    const pages = contentsOf(body as Buffer).map(circlesOf);
    const sheets = pages.filter((circles) => circles.length > 0);
    // 364 mm of drawing across on sheets of 170 mm.
    expect(sheets).toHaveLength(3);
    const [first] = sheets;
    expect(first).toHaveLength(layout.holes.length);
    // Every sheet holds the whole drawing, moved on by a sheet and cut off at its edge.
    sheets.forEach((circles, i) => {
      circles.forEach((circle, k) => {
        expect(Math.abs(first![k]!.x - circle.x - 170 * i)).toBeLessThan(0.1);
      });
    });
    const [anchor] = first!;
    const [hole] = layout.holes;
    layout.holes.forEach(({ x, y, diameter }, k) => {
      const circle = first![k]!;
      expect(Math.abs(circle.x - anchor!.x - (x - hole!.x) * 1e3)).toBeLessThan(0.1);
      expect(Math.abs(Math.abs(circle.y - anchor!.y) - Math.abs(y - hole!.y) * 1e3)).toBeLessThan(
        0.1,
      );
      expect(Math.abs(circle.wide - diameter * 1e3)).toBeLessThan(0.1);
    });
  });

  test('as DXF has every hole on its layer, in millimetres', async () => {
    const { body } = await server.http().get('/api/builds/sandpiper/panel.dxf').expect(200);
    const dxf = (body as Buffer).toString();
    const circles = [
      ...dxf.matchAll(/\nCIRCLE\r?\n(?:[^\n]*\n)*?\s*10\r?\n([\d.-]+)\r?\n\s*20\r?\n([\d.-]+)/g),
    ];
    expect(circles).toHaveLength(layout.holes.length);
    for (const { x, y } of layout.holes) {
      expect(
        circles.filter(
          ([, u, v]) => Math.abs(Number(u) - x * 1e3) < 0.1 && Math.abs(Number(v) - y * 1e3) < 0.1,
        ),
      ).toHaveLength(1);
    }
  });

  test('as SVG is a picture in millimetres', async () => {
    const { headers } = await server.http().get('/api/builds/sandpiper/panel.svg').expect(200);
    expect(headers['content-type']).toContain('image/svg+xml');
    await server.http().get('/api/builds/nothing/panel.svg').expect(404);
  });
});
