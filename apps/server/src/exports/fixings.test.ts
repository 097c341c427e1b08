import { evaluate, fixingDrawing, lantern, sampleCatalogue } from '@brookrain/core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { type TestServer, startTestServer } from '../tests/testServer.ts';
import { entitiesOf } from '../tests/dxfEntities.ts';
import { drawingDxf } from './drawingDxf.ts';
import { scaleOf } from './fixingSheet.ts';

const held = (id: string) => {
  const found = evaluate(lantern, sampleCatalogue).map.held.find((h) => h.component.id === id)!;
  if (!found.made.ok) throw new Error('not made');
  return { found, drawing: fixingDrawing(found.wanted, found.made.design)! };
};

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
