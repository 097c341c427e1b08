import { evaluate, fixingDrawing, lantern, sampleCatalogue } from '@brookrain/core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { type TestServer, startTestServer } from '../tests/testServer.ts';
import { drawingDxf } from './drawingDxf.ts';
import { scaleOf } from './fixingSheet.ts';

const held = (id: string) => {
  const found = evaluate(lantern, sampleCatalogue).map.held.find((h) => h.component.id === id)!;
  if (!found.made.ok) throw new Error('not made');
  return { found, drawing: fixingDrawing(found.wanted, found.made.design)! };
};

/** The entities of a DXF file: their kind and the values of each group code. */
function entitiesOf(dxf: string) {
  const lines = dxf.split(/\r?\n/).map((line) => line.trim());
  const pairs = lines.flatMap((code, i) =>
    i % 2 === 0 ? [[code, lines[i + 1] ?? ''] as const] : [],
  );
  const from = pairs.findIndex(([code, value]) => code === '2' && value === 'ENTITIES');
  const entities: { kind: string; groups: Record<string, string> }[] = [];
  for (const [code, value] of pairs.slice(from + 1)) {
    if (code === '0' && value === 'ENDSEC') break;
    if (code === '0') entities.push({ kind: value, groups: {} });
    else {
      const last = entities.at(-1);
      if (last) last.groups[code] ??= value;
    }
  }
  return entities;
}

describe('a plate as DXF', () => {
  const { found, drawing } = held('battery');
  const entities = entitiesOf(drawingDxf(drawing));
  const layer = (name: string) => entities.filter((e) => e.groups['8'] === name);

  test('has its outline to cut, its holes and its folds on layers of their own, in mm', () => {
    if (!found.made.ok) throw new Error('not made');
    const plate = found.made.design.plate!;
    const circles = layer('HOLES');
    expect(circles).toHaveLength(4);
    expect(new Set(circles.map((c) => c.kind))).toEqual(new Set(['CIRCLE']));
    for (const { groups } of circles) {
      expect(2 * Number(groups['40'])).toBeCloseTo(plate.hole * 1e3, 6);
    }
    expect(layer('BEND')).toHaveLength(4);
    const xs = layer('CUT').flatMap(({ groups }) => [Number(groups['10']), Number(groups['11'])]);
    // The flat plate stands about the middle, its view from the end beside it.
    expect(Math.min(...xs)).toBeCloseTo((-plate.length * 1e3) / 2, 6);
  });

  test('says its unit and its measures', () => {
    expect(drawingDxf(drawing)).toMatch(/\$LASTSAVEDBY\s+1\s+Brookrain\s/);
    expect(drawingDxf(drawing)).toMatch(/\$INSUNITS\s+70\s+4\s/);
    expect(layer('MEASURES').some(({ kind }) => kind === 'TEXT')).toBe(true);
  });
});

describe('the scale of a plate on a sheet', () => {
  test('is the largest that fits', () => {
    const { drawing } = held('regulator');
    expect(scaleOf(drawing)).toBe(1);
    const large = held('battery').drawing;
    const scale = scaleOf(large);
    expect(scale).toBeGreaterThan(1);
    expect((large.high[0] - large.low[0]) / scale).toBeLessThan(182);
    expect((large.high[0] - large.low[0]) / (scale / 2)).toBeGreaterThan(150);
  });
});

describe('plates over the API', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await startTestServer();
  });
  afterAll(() => server.close());

  test('come as PDF and DXF, named after build and part', async () => {
    const pdf = await server.http().get('/api/builds/lantern/fixings/pump.pdf').expect(200);
    expect(pdf.headers['content-type']).toContain('application/pdf');
    expect((pdf.body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
    const dxf = await server.http().get('/api/builds/lantern/fixings/pump.dxf').expect(200);
    expect(dxf.headers['content-disposition']).toContain('lantern-plate-pump.dxf');
    expect((dxf.body as Buffer).toString()).toContain('ENTITIES');
  });

  test('of what is not there, or has none, are not found', async () => {
    await server.http().get('/api/builds/lantern/fixings/nothing.pdf').expect(404);
    await server.edit(1, {
      name: 'set',
      path: ['placements', 'pump', 'fixing', 'means'],
      value: 'clamps',
    });
    const { body } = await server.http().get('/api/builds/lantern/fixings/pump.dxf').expect(404);
    expect(body.message).toContain('no plate');
  });
});
