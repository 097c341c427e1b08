import { describe, expect, test } from 'vitest';
import { demoBuilds } from '../../exchange/index.ts';
import { entryAt } from '../../numerics/index.ts';
import { evaluated } from '../../tests/evaluated.ts';
import { sheltersOf } from './sheltersOf.ts';

const through = (wireId: string, ...segmentIds: string[]) => ({
  wireId,
  parts: segmentIds.map((segmentId) => ({ segmentId, share: 1, from: 0, to: 1 })),
});

describe('what lies round a wire', () => {
  test('is the weakest of its segments, and nothing where one of them is bare', () => {
    const covers = {
      school: 'sealed',
      segments: { braid: 'braid', tape: 'tape', bare: 'none', hard: 'conduit' },
    } as const;
    const wires = [
      through('a', 'any', 'other'),
      through('b', 'any', 'braid'),
      through('c', 'any', 'hard', 'any'),
      through('d', 'braid', 'tape'),
      through('e', 'bare'),
      through('by itself'),
    ];
    expect(sheltersOf(wires, covers)).toEqual({ a: 'sealed', b: 'sleeved', c: 'sleeved' });
    expect(sheltersOf(wires, { ...covers, school: 'taped' })).toEqual({});
  });

  test.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
    'of %s: wires that are bare at an end under the bonnet or outside are no thinner than there',
    (_name, demo) => {
      for (const school of ['taped', 'sealed'] as const) {
        const { wires } = evaluated({ ...demo, harness: { ...demo.harness, school } }).electrics;
        let bare = 0;
        for (const { wire, size, task } of wires) {
          const least = task.zones.includes('outside') ? 0.75e-6 : 0.5e-6;
          const inside = task.zones.every((zone) => zone === 'cabin' || zone === 'body');
          if (wire.shelter || inside || wire.decision?.size) continue;
          bare += 1;
          expect(size.area, wire.id).toBeGreaterThanOrEqual(least * 0.99);
        }
        const sheltered = wires.filter(({ wire }) => wire.shelter === 'sealed').length;
        if (school === 'sealed') expect(sheltered).toBeGreaterThan(wires.length / 2);
        else expect([bare > wires.length / 4, sheltered]).toEqual([true, 0]);
      }
    },
  );

  test('changes the size of wires whose load asks for less', () => {
    const kittiwake = demoBuilds.find(({ document }) => document.harness.school === 'sealed')!;
    const { document } = kittiwake;
    const areas = (school: 'taped' | 'sealed') =>
      evaluated({ ...document, harness: { ...document.harness, school } }).electrics.wires.map(
        ({ size }) => size.area,
      );
    const [taped, sealed] = [areas('taped'), areas('sealed')];
    const thinner = sealed.filter((area, i) => area < entryAt(taped, i)).length;
    expect(thinner).toBeGreaterThan(100);
    expect(sealed.every((area) => area >= 0.35e-6)).toBe(true);
  });
});
