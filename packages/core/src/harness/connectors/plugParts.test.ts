import { describe, expect, test } from 'vitest';
import { demoBuilds, sampleCatalogue } from '../../exchange/index.ts';
import { readBuild } from '../../model/index.ts';
import { keptParts } from '../rules/keptParts.ts';
import { plugParts } from './plugParts.ts';
import { evaluated } from '../../tests/evaluated.ts';

const partsOf = (document: (typeof demoBuilds)[number]['document']) => {
  const { electrics, harness, led: ways } = evaluated(document);
  const build = readBuild(document);
  const kept = new Set(keptParts(build));
  const read = {
    connectors: harness.connectors,
    netlist: electrics.netlist,
    wires: electrics.wires,
    spliced: [],
    led: ways.wires.map(({ wireId }) => wireId),
    school: build.harness.school,
    kept: [...kept],
  };
  return { ...plugParts({ ...read, catalogue: sampleCatalogue }), ...read, electrics, kept, read };
};

describe.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
  'what the wires of %s end in',
  (_, document) => {
    const { parts, missing, connectors, electrics, kept, school } = partsOf(document);
    const count = (form: string): number =>
      parts.filter(({ item }) => item.form === form).reduce((sum, each) => sum + each.quantity, 0);
    const fresh = connectors.filter(({ partId }) => !kept.has(partId));

    test('is all there', () => {
      expect(missing).toEqual([]);
    });

    test('is one housing for every plug that is not kept, wide enough for it', () => {
      expect(count('housing')).toBe(fresh.length);
      for (const { name, cavities, family } of fresh) {
        const housing = parts.find((part) => part.item.form === 'housing' && part.name === name)!;
        expect(housing.item.ways).toBeGreaterThanOrEqual(cavities.length);
        expect(housing.item.plugFamily).toBe(family);
      }
    });

    test('is a contact for every cavity with a wire, and a plug for every one without', () => {
      const inPlugs = fresh.reduce((sum, { used }) => sum + used.length, 0);
      const plugged = new Set(fresh.map(({ family }) => family));
      const contacts = parts.filter(
        ({ item, name }) =>
          item.form === 'contact' &&
          fresh.some((each) => each.name === name) &&
          plugged.has(item.plugFamily),
      );
      expect(contacts.reduce((sum, { quantity }) => sum + quantity, 0)).toBe(inPlugs);
      for (const { name, used, family } of fresh) {
        const of = parts.filter((part) => part.name === name);
        const housing = of.find(({ item }) => item.form === 'housing')!;
        const plugs = of.find(({ item }) => item.form === 'cavity plug')?.quantity ?? 0;
        const hasPlugs = sampleCatalogue.items.some(
          (item) =>
            item.category === 'plug-part' &&
            item.form === 'cavity plug' &&
            item.plugFamily === family,
        );
        if (hasPlugs) expect(used.length + plugs).toBe(housing.item.ways);
      }
    });

    test('takes the wire that it is for', () => {
      for (const { item } of parts.filter((part) => part.item.form === 'contact')) {
        expect(item.areaMax).toBeGreaterThan(item.areaMin);
        const areas = electrics.wires.map(({ size }) => size.area);
        expect(areas.some((area) => area >= item.areaMin && area <= item.areaMax)).toBe(true);
      }
    });

    test('is a backshell at every round plug, and a boot at the others of a sealed harness', () => {
      const round = fresh.filter(({ family }) => family === 'round bulkhead').length;
      expect(count('backshell')).toBe(round);
      expect(count('boot')).toBe(school === 'sealed' ? fresh.length - round : 0);
    });

    test('is a sleeve for every splice', () => {
      expect(count('splice')).toBe(
        electrics.netlist.parts.filter(({ sort }) => sort === 'splice').length,
      );
    });
  },
);

test('a catalogue without contacts leaves them missing, each with what it is for', () => {
  const [{ document }] = demoBuilds as [(typeof demoBuilds)[number]];
  const { read } = partsOf(document);
  const catalogue = {
    items: sampleCatalogue.items.filter(
      (item) => item.category !== 'plug-part' || item.form !== 'contact',
    ),
  };
  const { missing } = plugParts({ ...read, catalogue });
  expect(missing.length).toBeGreaterThan(10);
  for (const { words, usedFor } of missing) {
    expect(words).toMatch(/^contact .* for [\d.]+ mm²$/u);
    expect(usedFor).not.toBe('');
  }
});
