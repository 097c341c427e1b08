import {
  applyCommand,
  evaluate,
  generalNotice,
  lantern,
  readBuild,
  sampleCatalogue,
  withValueAt,
} from '@brookrain/core';
import { describe, expect, test } from 'vitest';
import { csvText } from './csvText.ts';
import type { Column, SheetPage } from './sheetPage.ts';
import { writeWorkSheet } from './workSheet.ts';

/** A sheet that keeps what is written on it. */
class RecordedSheet implements Pick<
  SheetPage,
  'title' | 'heading' | 'text' | 'caution' | 'table' | 'finish'
> {
  readonly said: string[] = [];
  readonly tables: { columns: readonly Column[]; rows: readonly (readonly string[])[] }[] = [];
  finished = false;
  title(text: string, below: string): void {
    this.said.push(text, below);
  }
  heading(text: string): void {
    this.said.push(text);
  }
  text(text: string): void {
    this.said.push(text);
  }
  caution(when: string, text: string): void {
    this.said.push(`${when}. ${text}`);
  }
  table(columns: readonly Column[], rows: readonly (readonly string[])[]): void {
    this.tables.push({ columns, rows });
  }
  finish(): void {
    this.finished = true;
  }
}

const sheetOf = (document = lantern, units: 'metric' | 'us' = 'metric'): RecordedSheet => {
  const sheet = new RecordedSheet();
  writeWorkSheet({
    sheet: sheet as unknown as SheetPage,
    document,
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

  test('gives a gauge reading for every case and room for the measured one', () => {
    const gauges = sheet.tables.find((t) =>
      t.columns.some((c) => c.title === 'Gauge should read'),
    )!;
    expect(gauges.rows).toHaveLength(10);
    for (const row of gauges.rows) {
      expect(row[3]).toMatch(/^\d+(\.\d+)? kPa$/);
      expect(row[4]).toBe('');
    }
  });

  test('lists every element of the run and every wire', () => {
    const names = sheet.tables.flatMap((t) => t.rows.map((r) => r[0]));
    for (const element of readBuild(lantern).fuelCircuits[0]!.elements) {
      if (element.kind !== 'tank' && element.kind !== 'injectors')
        expect(names).toContain(element.name);
    }
    expect(names).toContain('Relay to pump');
  });

  test('every row fits its columns and the columns fit the page', () => {
    for (const { columns, rows } of sheet.tables) {
      expect(columns.reduce((sum, c) => sum + c.width, 0)).toBeLessThanOrEqual(516);
      for (const row of rows) expect(row).toHaveLength(columns.length);
    }
  });

  test('speaks the reader’s units', () => {
    const us = sheetOf(lantern, 'us');
    const gauges = us.tables.find((t) => t.columns.some((c) => c.title === 'Gauge should read'))!;
    expect(gauges.rows[0]![3]).toMatch(/psi$/);
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
    const cool = applyCommand(lantern, {
      name: 'set-several',
      label: 'cool',
      changes: [
        { path: ['brief', 'fuelTemperatureHot'], value: { value: 300, unit: '°C' } },
        {
          path: ['fuelCircuits', 'main', 'elements', 'tank', 'usableVolume'],
          value: { value: 0.9, unit: 'L' },
        },
        // Wide enough to be laminar throughout.
        {
          path: ['fuelCircuits', 'main', 'elements', 'return', 'item'],
          value: { id: 'HBR-10', revision: 1 },
        },
      ],
    }).document;
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
