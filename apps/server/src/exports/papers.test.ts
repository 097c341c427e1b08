import {
  type BuildCommand,
  applyCommand,
  evaluate,
  generalNotice,
  kittiwake,
  lantern,
  newCover,
  readBuild,
  sampleCatalogue,
  sandpiper,
  withEndsAlong,
  withValueAt,
} from '@brookrain/core';
import { describe, expect, test } from 'vitest';
import { csvText } from './csvText.ts';
import { RecordedSheet } from '../tests/recordedSheet.ts';
import type { SheetPage } from './sheetPage.ts';
import { writeWorkSheet } from './workSheet.ts';

const sheetOf = (document = lantern, units: 'metric' | 'us' = 'metric'): RecordedSheet => {
  const sheet = new RecordedSheet();
  writeWorkSheet({
    sheet: sheet as unknown as SheetPage,
    document,
    catalogue: sampleCatalogue,
    revision: 3,
    evaluation: evaluate(document, sampleCatalogue),
    units,
  });
  return sheet;
};

describe('work sheet', () => {
  const sheet = sheetOf();

  test('carries the notice and every caution that applies, in full', () => {
    expect(sheet.said).toContain(generalNotice);
    const text = sheet.said.join('\n');
    for (const part of [
      'gas-free',
      'walk the whole line',
      'engine stops turning',
      'within 180 mm',
      'cannot lift',
    ]) {
      expect(text).toContain(part);
    }
    expect(sheet.finished).toBe(true);
  });

  const tableWith = (title: string, from = sheet) =>
    from.tables.filter((t) => t.columns.some((c) => c.title === title));
  const cell = (table: RecordedSheet['tables'][number], row: number, title: string): string =>
    table.rows[row]![table.columns.findIndex((c) => c.title === title)]!;

  test('gives gauge, Δp and λ for every healthy case, with room for what is read', () => {
    const [healthy] = tableWith('Gauge should read');
    expect(healthy!.rows).toHaveLength(9);
    healthy!.rows.forEach((_, i) => {
      expect(cell(healthy!, i, 'Gauge should read')).toMatch(/^\d+(\.\d+)? kPa$/);
      expect(cell(healthy!, i, 'Injector Δp')).toMatch(/^\d+(\.\d+)? kPa$/);
      expect(cell(healthy!, i, 'Gauge read')).toBe('');
    });
    expect(healthy!.rows.find((r) => r[0] === 'Hot idle')).toContain('1.00');
    expect(healthy!.rows.find((r) => r[0] === 'Peak power, worst case')).toContain('0.80');
  });

  test('tells a fault as what a fault looks like, never as healthy', () => {
    const twin = sheetOf(kittiwake);
    const [healthy, faults] = tableWith('Gauge should read', twin);
    const lost = (row: readonly string[]): boolean => row[0]!.includes('first pump lost');
    expect(healthy!.rows.some(lost)).toBe(false);
    expect(faults!.rows.some(lost)).toBe(true);
    expect(twin.said).toContain('What a fault looks like. Who reads these has to look for it.');
  });

  test('says how to set the pressure, and what prime, leak and hold should show', () => {
    const [set] = tableWith('Set pressure');
    expect(cell(set!, 0, 'Set pressure')).toBe('300 kPa');
    expect(cell(set!, 0, 'How to set it')).toContain('reads 300 kPa');
    const [first] = tableWith('First pressure');
    expect(first!.rows.map((r) => r[0])).toEqual(['Prime', 'Leak', 'Hold']);
  });

  test('a fixed regulator has nothing to turn and no reference', () => {
    const [set] = tableWith('Set pressure', sheetOf(sandpiper));
    expect(cell(set!, 0, 'How to set it')).toContain('nothing to turn');
    expect(cell(set!, 0, 'How to set it')).not.toContain('reference hose');
  });

  test('gives injector data, bore, ends and how each length is known', () => {
    const [injectors] = tableWith('Injector');
    expect(cell(injectors!, 0, 'Flow as rated')).toContain('650 cc/min at 300 kPa');
    const [elements] = tableWith('Ends');
    const feed = elements!.rows.findIndex((r) => r[1] === 'Feed line');
    expect(cell(elements!, feed, 'Length')).toBe('3.4 m, on the map');
    expect(cell(elements!, feed, 'Ends')).toContain('90°');
    const suction = elements!.rows.findIndex((r) => r[1] === 'Suction hose');
    expect(cell(elements!, suction, 'Length')).toContain('on the map');
    const measured = applyCommand(lantern, {
      name: 'set',
      path: ['fuelCircuits', 'main', 'elements', 'suction', 'length', 'measured'],
      value: { value: 0.42, unit: 'm' },
    }).document;
    expect(JSON.stringify(sheetOf(measured))).toContain('420 mm, measured');
    const unled = { ...lantern, routes: {} };
    expect(JSON.stringify(sheetOf(unled))).toContain('estimate');
    expect(sheet.drawings).toBe(1);
  });

  test('names relay, every fuse with what it feeds, volts and amps of the pump', () => {
    const [feeds] = tableWith('Relay');
    expect(cell(feeds!, 0, 'At peak')).toMatch(/^11\.\d V, \d\.\d+ A$/);
    const [fuses] = tableWith('Carries');
    const rows = new Map(fuses!.rows.map((row) => [row[1], row[0]]));
    expect(rows.get('Main fuse')).toBe('Bolt-down fuse 150 A');
    expect(rows.get('Fuse, fuel pump')).toBe('Blade fuse 20 A');
    const planned = Object.values(lantern.devices).filter(({ part }) => part.kind === 'fuse');
    expect(fuses!.rows).toHaveLength(planned.length + 1);
  });

  test('describes the engine by the brief, and its own words as such', () => {
    const natural = sheetOf(
      applyCommand(lantern, { name: 'choose-induction', aspiration: 'natural' }).document,
    );
    expect(natural.said[1]).toContain('natural, 168 kW');
    expect(natural.said[1]).toContain("In the build's own words");
    const contradiction = 'own words say “turbocharged”, the brief says naturally aspirated';
    expect(natural.said.join(' ')).toContain(contradiction);
    expect(sheet.said.join(' ')).not.toContain('own words say');
  });

  test('lists every element of the run and every wire', () => {
    const names = sheet.tables.flatMap((t) => t.rows.flatMap((r) => [r[0], r[1]]));
    for (const element of readBuild(lantern).fuelCircuits[0]!.elements) {
      if (element.kind !== 'tank' && element.kind !== 'injectors')
        expect(names).toContain(element.name);
    }
    expect(names).toContain('Fuel pump, supply');
  });

  test('every row fits its columns and the columns fit the page', () => {
    for (const { columns, rows } of sheet.tables) {
      expect(columns.reduce((sum, c) => sum + c.width, 0)).toBeLessThanOrEqual(516);
      for (const row of rows) expect(row).toHaveLength(columns.length);
    }
  });

  test('speaks the reader’s units', () => {
    const us = sheetOf(lantern, 'us');
    expect(cell(tableWith('Gauge should read', us)[0]!, 0, 'Gauge should read')).toMatch(/psi$/);
    expect(us.said.join(' ')).toContain('225 hp');
  });

  test('states every finding with its numbers, none left as a placeholder', () => {
    const e85 = sheetOf(
      withValueAt(lantern, 'fuels.pump-fuel.ethanol', { value: 0.85, unit: '%' }),
    );
    const text = e85.said.join('\n');
    expect(text).toContain('STOP  Injector duty is above the limit');
    expect(text).not.toMatch(/\{\w+\}/);
    expect(text).toContain('nearly invisible flame');
  });

  test('says when there is no finding', () => {
    // Cool fuel, and so much of it that the pump cannot warm it.
    const command: BuildCommand = {
      name: 'set-several',
      label: 'cool',
      changes: [
        { path: ['brief', 'fuelTemperatureHot'], value: { value: 300, unit: '°C' } },
        // What its electrics are stopped by.
        {
          path: ['power', 'ecuConnections', 'A10'],
          value: { to: 'signal', signalId: 'ign-brown' },
        },
        { path: ['devices', 'cooler-fan-relay', 'state'], value: 'removed' },
        { path: ['devices', 'idle-valve', 'state'], value: 'removed' },
        { path: ['devices', 'alternator', 'state'], value: 'removed' },
        // What comes alive over another where a ground is open.
        { path: ['devices', 'temperature-sender', 'state'], value: 'removed' },
        { path: ['devices', 'tachometer', 'state'], value: 'removed' },
        {
          path: ['fuelCircuits', 'main', 'elements', 'tank', 'usableVolume'],
          value: { value: 0.9, unit: 'L' },
        },
        {
          path: ['routes'],
          value: {
            feed: { ...lantern.routes['feed']!, covers: { s1: newCover('heat-sleeve') } },
          },
        },
        // More than its box on the map would hold.
        { path: ['tanks'], value: {} },
        // Wide enough to be laminar throughout.
        {
          path: ['fuelCircuits', 'main', 'elements', 'return', 'item'],
          value: { id: 'HBR-10', revision: 1 },
        },
      ],
    };
    const cool = applyCommand(lantern, withEndsAlong(lantern, command, sampleCatalogue)).document;
    expect(sheetOf(cool).said).toContain('None.');
  });
});

describe('CSV', () => {
  test('quotes what needs it and ends lines as spreadsheets expect', () => {
    expect(csvText([{ name: 'Hose, braided', count: 2 }])).toBe(
      'name,count\r\n"Hose, braided",2\r\n',
    );
  });

  test.each(['=1+1', '+1', '-1+2', '@x', '\t=1'])('text %j cannot run', (text) => {
    const [, line] = csvText([{ text }]).split('\r\n');
    expect(line!.replace(/^"/, '').startsWith("'")).toBe(true);
  });

  test('numbers stay numbers', () => {
    expect(csvText([{ drop: -0.5, length: 4.05 }])).toBe('drop,length\r\n-0.5,4.05\r\n');
  });
});
