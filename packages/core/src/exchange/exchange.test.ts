import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { applyCommand } from '../evaluation/index.ts';
import { hashOf } from '../model/index.ts';
import { figuresDocument } from '../evaluation/index.ts';
import { fieldsDocument } from './fieldsDocument.ts';
import { stagesDocument } from './stagesDocument.ts';
import { fromBuildFile, referencesOf, toBuildFile } from './buildFile.ts';
import { lantern } from './samples/lantern.ts';
import { partsList } from './partsList.ts';
import { sampleCatalogue } from './samples/sampleCatalogue.ts';
import { wireList } from './wireList.ts';
import { evaluated } from '../tests/evaluated.ts';

const root = new URL('../../../../', import.meta.url);
const evaluation = evaluated(lantern);

describe('build file', () => {
  test('embeds exactly what the build uses, and what the rules choose from', () => {
    const file = toBuildFile(lantern, sampleCatalogue);
    const ids = new Set(file.catalogue.map((i) => `${i.id}@${i.revision}`));
    for (const ref of referencesOf(lantern)) expect(ids).toContain(`${ref.id}@${ref.revision}`);
    expect(file.catalogue.some((i) => i.id === 'P900T')).toBe(false);
    expect(file.catalogue.some((i) => i.category === 'wire')).toBe(true);
  });

  test('goes out and comes back the same', () => {
    const text = JSON.stringify(toBuildFile(lantern, sampleCatalogue));
    const back = fromBuildFile(JSON.parse(text) as ReturnType<typeof toBuildFile>);
    expect(hashOf(back.document)).toBe(hashOf(lantern));
  });

  test('evaluates to the same figures on its own items alone', () => {
    const { document, catalogue } = fromBuildFile(toBuildFile(lantern, sampleCatalogue));
    const alone = evaluated(document, catalogue);
    expect(alone.results).toEqual(evaluation.results);
  });
});

describe('shipped files are true', () => {
  test('the example is the demo', () => {
    const text = readFileSync(new URL('examples/lantern.build.json', root), 'utf8');
    const { document } = fromBuildFile(JSON.parse(text) as ReturnType<typeof toBuildFile>);
    expect(hashOf(document)).toBe(hashOf(lantern));
  });
  test('docs/figures.md is what the code says', () => {
    expect(readFileSync(new URL('docs/figures.md', root), 'utf8')).toBe(figuresDocument());
  });
  test('docs/stages.md is what the table of stages says', () => {
    expect(readFileSync(new URL('docs/stages.md', root), 'utf8')).toBe(stagesDocument());
  });
  test('docs/fields.md is what the declarations say', () => {
    expect(readFileSync(new URL('docs/fields.md', root), 'utf8')).toBe(fieldsDocument());
  });
});

describe('parts list', () => {
  const parts = partsList(lantern, evaluation);
  const part = (id: string) => parts.find((p) => p.part === id)!;

  test('counts what is used', () => {
    expect(part('I650')).toMatchObject({ quantity: 4, unit: 'piece' });
    expect(part('P340X')).toMatchObject({ quantity: 1 });
    expect(part('E6-90').quantity).toBe(2);
    expect(part('AB6').quantity).toBe(4);
    expect(part('FM150')).toMatchObject({ usedFor: 'Main fuse; one to spare', quantity: 2 });
    expect(part('DV-COIL-S')).toMatchObject({ quantity: 4, unit: 'piece' });
  });

  test('adds hose lengths over the lines that use it', () => {
    const cut = (line: string): number =>
      evaluation.made.find(({ lineId }) => lineId === line)!.cut!.value;
    const total = cut('suction') + cut('pump-inlet');
    expect(part('HBR-10').quantity).toBeGreaterThanOrEqual(total - 1e-9);
    expect(part('HBR-10').quantity - total).toBeLessThan(0.011);
    expect(part('HBR-10').usedFor).toBe('Suction hose; Pump inlet hose');
  });

  test('names its currency and closes with the total', () => {
    const total = parts.at(-1)!;
    const lines = parts.slice(0, -1);
    expect(total.designation).toBe('Total');
    expect(total.price).toBeCloseTo(
      lines.reduce((sum, line) => sum + line.price, 0),
      2,
    );
    const francs = partsList({ ...lantern, currency: 'CHF' }, evaluation);
    expect(new Set(francs.map((line) => line.currency))).toEqual(new Set(['CHF']));
  });

  test('each part stands once', () => {
    expect(new Set(parts.map((p) => p.part)).size).toBe(parts.length);
  });
});

describe('wire list', () => {
  test('names every wire once, with fuse, ends and length rounded up', () => {
    const wires = wireList(evaluation);
    expect(new Set(wires.map((w) => w.wire)).size).toBe(wires.length);
    for (const wire of wires) {
      expect(wire.length).toBeGreaterThan(0);
      expect(wire.from).not.toBe(wire.to);
      if (wire.wire === 'inertia-switch~in') expect(wire.protectedBy).toMatch(/fuse/);
      const led = evaluation.led.wires.some(({ wireId }) => wireId === wire.wire);
      expect(wire.lengthIsFrom).toBe(led ? 'harness' : 'map');
    }
  });

  test('a typed length shows as by hand', () => {
    const typed = applyCommand(lantern, {
      name: 'set-wire-length',
      wireId: 'pump~+',
      wireName: 'The wire',
      length: { typed: { value: 4.567, unit: 'm' }, measured: null },
    }).document;
    const wire = wireList(evaluated(typed)).find((w) => w.wire === 'pump~+')!;
    expect(wire).toMatchObject({ length: 4.57, lengthIsFrom: 'by hand' });
  });

  test('without an inertia switch the coil is fed directly', () => {
    const without = applyCommand(lantern, {
      name: 'wire-pump-coil',
      pumpId: 'pump',
      side: 'low-side',
      cutOff: false,
    }).document;
    const wires = wireList(evaluated(without));
    expect(wires.find((w) => w.wire === 'pump-relay~86')?.from).not.toMatch(/Inertia/);
    expect(wires.some((w) => w.wire.startsWith('inertia-switch'))).toBe(false);
  });

  test('a high-side trigger feeds the coil from the ECU', () => {
    const high = applyCommand(lantern, {
      name: 'wire-pump-coil',
      pumpId: 'pump',
      side: 'high-side',
      cutOff: true,
    }).document;
    const wires = wireList(evaluated(high));
    expect(wires.find((w) => w.wire === 'pump-relay~86')?.from).toBe('ECU B07');
    expect(wires.find((w) => w.wire === 'pump-relay~85')).toMatchObject({
      role: 'ground',
      to: 'Inertia switch in',
    });
    expect(wires.find((w) => w.wire === 'inertia-switch~out')?.role).toBe('ground');
  });
});
