import { describe, expect, test } from 'vitest';
import { lantern, partsList, sampleCatalogue, sandpiper } from '../../exchange/index.ts';
import { withValueAt } from '../../model/index.ts';
import { boltData, boltLengths } from './boltData.ts';
import { type FixingWanted, bendDeduction, boltLengthFor, fixingDesign } from './fixingDesign.ts';
import { fixingParts } from './fixingParts.ts';
import { fixingDrawing } from './fixingDrawing.ts';
import { evaluated } from '../../tests/evaluated.ts';

const wanted: FixingWanted = {
  means: 'bracket',
  metal: 'steel',
  thickness: 3e-3,
  standoff: 5e-3,
  rubber: false,
  bolt: 'M6',
  bolts: 2,
  size: [0.19, 0.06, 0.06],
};
const plateOf = (parts: Partial<FixingWanted>) => {
  const { plate } = fixingDesign({ ...wanted, ...parts });
  if (!plate) throw new Error('no plate');
  return plate;
};

describe('plates', () => {
  test('a right-angled bend of 3 mm takes 5.31 mm off both outsides', () => {
    // 2 (r + t) − π/2 (r + 0.42 t) with r = t = 3 mm.
    expect(bendDeduction(3e-3)).toBeCloseTo(0.012 - (Math.PI / 2) * 1.42 * 3e-3, 12);
  });

  test('a bracket is wall and shelf less one bend, its fold where both outsides meet', () => {
    const plate = plateOf({});
    const shelf = 5e-3 + 0.06 + 0.01;
    expect(plate.width).toBeCloseTo(plate.flank + shelf - bendDeduction(3e-3), 12);
    expect(plate.length).toBeCloseTo(0.19, 12);
    const fold = plate.bendsAlong[0]! + plate.width / 2;
    expect(fold).toBeCloseTo(plate.flank - bendDeduction(3e-3) / 2, 12);
  });

  test('a tray is its base and four flanks less a bend each, its corners cut out', () => {
    const plate = plateOf({ means: 'tray', bolts: 4, size: [0.28, 0.175, 0.19] });
    const flat = (side: number): number => side + 6e-3 + 6e-3 + 2 * (0.023 - bendDeduction(3e-3));
    expect(plate.length).toBeCloseTo(flat(0.28), 12);
    expect(plate.width).toBeCloseTo(flat(0.175), 12);
    expect(plate.corner).toBeGreaterThan(0);
    expect(plate.bendsAlong).toHaveLength(2);
    // Between its folds there is room for the part.
    expect(plate.bendsAcross[1]! - plate.bendsAcross[0]!).toBeGreaterThan(0.28);
  });

  test('the mass is the metal that is left', () => {
    const plate = plateOf({ means: 'plate', bolts: 4 });
    const holes = 4 * (Math.PI / 4) * boltData.M6.hole ** 2;
    expect(plate.mass).toBeCloseTo((plate.length * plate.width - holes) * 3e-3 * 7850, 9);
    expect(plateOf({ means: 'plate', bolts: 4, metal: 'aluminium' }).mass / plate.mass).toBeCloseTo(
      2700 / 7850,
      9,
    );
  });

  test.each(['bracket', 'tray', 'plate'] as const)(
    'every hole of a %s lies on it, twice its width from the edges',
    (means) => {
      for (const bolts of [2, 3, 4, 5, 6]) {
        const plate = plateOf({ means, bolts });
        expect(plate.holes).toHaveLength(bolts);
        for (const { u, v } of plate.holes) {
          expect(Math.abs(u)).toBeLessThanOrEqual(plate.length / 2 - 2 * plate.hole + 1e-9);
          expect(Math.abs(v)).toBeLessThanOrEqual(plate.width / 2 - 2 * plate.hole + 1e-9);
        }
      }
    },
  );

  test('clamps need no plate', () => {
    expect(fixingDesign({ ...wanted, means: 'clamps' }).plate).toBeUndefined();
  });
});

describe('bolts', () => {
  test('are long enough for plate, carrier, two washers, nut and two threads, and of a length that is made', () => {
    const needed = 3 + 3 + 2 * 1.6 + 8 + 2;
    expect(boltLengthFor(wanted) * 1e3).toBeGreaterThanOrEqual(needed);
    expect(boltLengths).toContain(boltLengthFor(wanted));
    expect(boltLengthFor(wanted)).toBeCloseTo(0.02, 12);
  });

  test('spacers make them longer, rubber mounts take the place of spacers', () => {
    const plate = { ...wanted, means: 'plate', standoff: 0.02 } as const;
    expect(boltLengthFor(plate)).toBeGreaterThan(boltLengthFor({ ...plate, standoff: 0 }));
    expect(boltLengthFor({ ...plate, rubber: true })).toBe(
      boltLengthFor({ ...plate, standoff: 0 }),
    );
  });

  test('that are not made are refused', () => {
    expect(() => boltLengthFor({ ...wanted, means: 'tray', standoff: 0.19 })).toThrow(/no bolt/);
  });
});

describe('the drawing of a plate', () => {
  test('shows its outline, holes and folds, with the sizes in mm as texts', () => {
    const design = fixingDesign(wanted);
    const drawing = fixingDrawing(wanted, design)!;
    const circles = drawing.shapes.filter((s) => s.kind === 'circle');
    expect(circles).toHaveLength(2);
    expect(drawing.shapes.filter((s) => s.layer === 'bend')).toHaveLength(1);
    const texts = drawing.shapes.flatMap((s) => (s.kind === 'text' ? [s.text] : []));
    expect(texts).toContain('190');
    expect(texts).toContain(`${Math.round(design.plate!.width * 1e4) / 10}`);
    for (const shape of drawing.shapes) {
      if (shape.kind !== 'line') continue;
      for (const [x, y] of [shape.from, shape.to]) {
        expect(x).toBeGreaterThanOrEqual(drawing.low[0]);
        expect(x).toBeLessThanOrEqual(drawing.high[0]);
        expect(y).toBeGreaterThanOrEqual(drawing.low[1]);
        expect(y).toBeLessThanOrEqual(drawing.high[1]);
      }
    }
  });
});

describe('what holds the parts of a build', () => {
  test('comes onto its parts list, every fastener from the catalogue', () => {
    const evaluation = evaluated(lantern);
    for (const held of evaluation.map.held) {
      expect(held.made.ok).toBe(true);
      if (!held.made.ok) continue;
      const parts = fixingParts(held.wanted, held.made.design, sampleCatalogue);
      expect(parts.filter((part) => !part.item)).toEqual([]);
    }
    const bolts = partsList(lantern, evaluation).filter((line) => line.family === 'bolt');
    const asked = evaluation.map.held.reduce((sum, held) => sum + held.wanted.bolts, 0);
    expect(bolts.reduce((sum, line) => sum + line.quantity, 0)).toBe(asked);
  });

  test('a heavier knock falls on fewer bolts', () => {
    const load = (document: typeof sandpiper) =>
      evaluated(document).results.find((r) => r.key === 'fixing.battery.boltLoad')!.value;
    const two = withValueAt(sandpiper, 'placements.battery.fixing.bolts', 2);
    expect(load(two) / load(sandpiper)).toBeCloseTo(2, 9);
  });
});
