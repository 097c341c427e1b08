import { harnessListKinds } from '@brookrain/core';
import QrCode from 'qrcode';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { asBuffer } from '../tests/asBuffer.ts';
import { type TestServer, startTestServer } from '../tests/testServer.ts';
import { pdfPages } from '../tests/pdfDrawing.ts';
import { labelAddress } from './labelSheet.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

describe('lists of the harness over HTTP', () => {
  test.each(harnessListKinds)('%s come as CSV and PDF', async (kind) => {
    const csv = await server.http().get(`/api/builds/sandpiper/lists/${kind}.csv`).expect(200);
    expect(csv.text.trim().split('\r\n').length).toBeGreaterThan(3);
    const pdf = await server
      .http()
      .get(`/api/builds/sandpiper/lists/${kind}.pdf`)
      .buffer(true)
      .parse(asBuffer)
      .expect(200);
    const pages = pdfPages(pdf.body as Buffer);
    expect(pages.length).toBeGreaterThan(0);
    for (const { size } of pages) {
      expect(size[0]).toBeCloseTo(210, 0);
      expect(size[1]).toBeCloseTo(297, 0);
    }
  });

  test('the lengths that are bought of wire come as CSV, a line each', async () => {
    const csv = await server.http().get('/api/builds/sandpiper/reels.csv').expect(200);
    const [head, ...lines] = csv.text.trim().split('\r\n');
    expect(head).toBe('size,colour,of,length,wires,rest');
    expect(lines.length).toBeGreaterThan(3);
    for (const line of lines) expect(line).toMatch(/,\d+ of \d+,[\d.]+,\d+( \d+)*,[\d.]+$/);
  });

  test('a list that is not there is a 404', async () => {
    await server.http().get('/api/builds/sandpiper/lists/guesses.csv').expect(404);
    await server.http().get('/api/builds/nothing/lists/pins.csv').expect(404);
  });

  test('the code of a label opens the page on which the part at that end is told', () => {
    const of = (partId: string): string => labelAddress('/builds/x', { 'fan 1': {} }, partId);
    expect(of('fan 1')).toBe('/builds/x/devices?of=fan%201');
    expect(of('splice-5v')).toBe('/builds/x/wires?part=splice-5v');
    expect(of('toString')).toBe('/builds/x/wires?part=toString');
  });

  test('codes on labels are coarse enough for a printer of 300 dots to the inch', () => {
    const longest = 'http://192.168.178.123:4477/builds/kittiwake/devices?of=methanol-injector-6';
    const { modules } = QrCode.create(longest, { errorCorrectionLevel: 'M' });
    expect(11 / modules.size).toBeGreaterThan(3 * (25.4 / 300));
  });
});
