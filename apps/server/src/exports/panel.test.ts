import { evaluate, sampleCatalogue, sandpiper } from '@brookrain/core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { asBuffer } from '../tests/asBuffer.ts';
import { pdfPages } from '../tests/pdfDrawing.ts';
import { type TestServer, startTestServer } from '../tests/testServer.ts';

const { layout } = evaluate(sandpiper, sampleCatalogue).panel!;

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
      .parse(asBuffer)
      .expect(200);
    expect(headers['content-disposition']).toContain('sandpiper-panel.pdf');
    const pages = pdfPages(body as Buffer).map(({ circles }) => circles);
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
