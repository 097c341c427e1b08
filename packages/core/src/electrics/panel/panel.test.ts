import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { applyCommand, createEvaluator } from '../../evaluation/index.ts';
import { demoBuilds, sampleCatalogue, sandpiper } from '../../exchange/index.ts';
import { drawingSvg } from './drawingSvg.ts';
import { panelDrawing } from './panelDrawing.ts';
import { EDGE, FINGERS, type PanelItem, type PanelLayout, panelLayout } from './panelLayout.ts';

const evaluator = createEvaluator();
const panelOf = (document: typeof sandpiper) =>
  evaluator.evaluate(document, sampleCatalogue).panel!;
const laidOut = (items: readonly PanelItem[], width?: number, height?: number): PanelLayout =>
  panelLayout({ items, width, height, byHand: new Map() });
const item = (id: string, sort: PanelItem['sort'], width = 0.03, height = 0.05): PanelItem => ({
  id,
  name: id,
  sort,
  width,
  height,
  hole: 0.005,
  spacing: 0.03,
});

const anyItem = fc.record({
  sort: fc.constantFrom<PanelItem['sort']>('relay', 'fuse', 'stud', 'plug'),
  width: fc.double({ min: 0.015, max: 0.06, noNaN: true }),
  height: fc.double({ min: 0.02, max: 0.1, noNaN: true }),
});

describe('a plate that is laid out', () => {
  test('has room for every holder, whatever they are, and none in the way of another', () => {
    fc.assert(
      fc.property(fc.array(anyItem, { minLength: 1, maxLength: 40 }), (wanted) => {
        const layout = laidOut(wanted.map((w, i) => ({ ...item(`i${i}`, w.sort), ...w })));
        expect(layout.places).toHaveLength(wanted.length);
        expect(layout.clashes).toEqual([]);
        expect(layout.outside).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });

  test('leaves room for fingers between holders, and along the edge for its fasteners', () => {
    const { places, width } = laidOut(['a', 'b', 'c'].map((id) => item(id, 'relay')));
    const xs = places.map(({ x }) => x);
    expect(xs[1]! - xs[0]!).toBeCloseTo(0.03 + FINGERS, 9);
    expect(xs[0]!).toBeCloseTo(EDGE + 0.015, 9);
    expect(width - xs[2]!).toBeGreaterThanOrEqual(EDGE + 0.015 - 1e-9);
  });

  test('has relays above, fuses under them, plugs at its lower edge', () => {
    const { places } = laidOut([item('p', 'plug'), item('f', 'fuse'), item('r', 'relay')]);
    const y = (id: string) => places.find((each) => each.item.id === id)!.y;
    expect(y('r')).toBeGreaterThan(y('f'));
    expect(y('f')).toBeGreaterThan(y('p'));
  });

  test('moving one holder moves no other', () => {
    const items = ['a', 'b', 'c', 'd'].map((id) => item(id, 'fuse'));
    const before = laidOut(items);
    const after = panelLayout({
      items,
      width: before.width,
      height: before.height,
      byHand: new Map([['b', { x: 0.07, y: 0.03 }]]),
    });
    for (const id of ['a', 'c', 'd']) {
      const of = ({ places }: PanelLayout) => places.find((each) => each.item.id === id);
      expect(of(after)).toEqual(of(before));
    }
    expect(after.places[1]).toMatchObject({ x: 0.07, y: 0.03, byHand: true });
  });

  test('has two holes a holder, one for a stud, and four for its fasteners', () => {
    const { layout } = panelOf(sandpiper);
    const holders = layout.places.reduce(
      (sum, { item: { spacing } }) => sum + (spacing ? 2 : 1),
      0,
    );
    expect(layout.holes).toHaveLength(4 + holders);
  });
});

describe.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
  'the panel of %s',
  (_name, document) => {
    const panel = panelOf(document);

    test('holds every relay and fuse that stands there', () => {
      const there = Object.entries(document.devices).filter(
        ([, { placementId, part, state }]) =>
          placementId === document.power.studPlacementId &&
          state !== 'removed' &&
          (part.kind === 'relay' || part.kind === 'fuse'),
      );
      const held = panel.layout.places.filter(({ item: { sort } }) =>
        ['relay', 'fuse'].includes(sort),
      );
      expect(held.map(({ item: { id } }) => id).sort()).toEqual(there.map(([id]) => id).sort());
    });

    test('buys one more of each than stands on it', () => {
      const bought = panel.parts.reduce((sum, { count }) => sum + count, 0);
      const held = panel.layout.places.filter(({ item: { sort } }) =>
        ['relay', 'fuse'].includes(sort),
      );
      expect(bought).toBe(held.length + panel.parts.length);
    });

    test('has a contact in its plugs for every thin wire that leaves it', () => {
      const plugs = panel.layout.places.filter(({ item: { sort } }) => sort === 'plug');
      const { wires } = evaluator.evaluate(document, sampleCatalogue).electrics;
      const areaOf = new Map(wires.map(({ wire, size }) => [wire.id, size.area]));
      const led = panel.wires.filter(({ id, leaves }) => leaves && areaOf.get(id)! < 4.2e-6);
      expect(led.length).toBeGreaterThan((plugs.length - 1) * 12);
      expect(led.length).toBeLessThanOrEqual(plugs.length * 12);
    });
  },
);

describe('its drawing', () => {
  const { layout } = panelOf(sandpiper);
  const front = panelDrawing(layout);

  test('has every hole where it is drilled, to a tenth of a millimetre, in SVG', () => {
    const svg = drawingSvg(front);
    const circles = [...svg.matchAll(/<circle cx="([^"]+)" cy="([^"]+)" r="([^"]+)"/g)].map(
      ([, x, y, r]) => [Number(x), -Number(y), 2 * Number(r)],
    );
    expect(circles).toHaveLength(layout.holes.length);
    for (const { x, y, diameter } of layout.holes) {
      const near = circles.filter(
        ([u, v, d]) =>
          Math.abs(u! - x * 1e3) < 0.1 &&
          Math.abs(v! - y * 1e3) < 0.1 &&
          Math.abs(d! - diameter * 1e3) < 0.01,
      );
      expect(near).toHaveLength(1);
    }
    // Its unit is a millimetre: as wide on paper as in its own measure.
    const [, wide, view] = /width="([\d.]+)mm".*viewBox="\S+ \S+ ([\d.]+)/.exec(svg)!;
    expect(Number(wide)).toBe(Number(view));
  });

  test('from behind is the other way round', () => {
    const back = panelDrawing(layout, 'back');
    const centres = (drawing: typeof front) =>
      drawing.shapes.flatMap((s) => (s.kind === 'circle' ? [s.centre] : []));
    centres(front).forEach(([x, y], i) => {
      const [u, v] = centres(back)[i]!;
      expect(x + u).toBeCloseTo(layout.width * 1e3, 6);
      expect(v).toBe(y);
    });
  });
});

describe('a holder moved by hand', () => {
  test('stays where it was put, is undone, and its panel follows the devices', () => {
    const moved = applyCommand(sandpiper, {
      name: 'set',
      path: ['panels', 'panel-1'],
      value: {
        order: 1000,
        placementId: sandpiper.power.studPlacementId,
        width: null,
        height: null,
        positions: {
          'fan-relay': { x: { value: 0.2, unit: 'mm' }, y: { value: 0.17, unit: 'mm' } },
        },
      },
    });
    const place = panelOf(moved.document).layout.places.find(
      ({ item: { id } }) => id === 'fan-relay',
    )!;
    expect(place).toMatchObject({ x: 0.2, y: 0.17, byHand: true });
    const without = applyCommand(moved.document, { name: 'remove-device', deviceId: 'fuse-horn' });
    const ids = panelOf(without.document).layout.places.map(({ item: { id } }) => id);
    expect(ids).not.toContain('fuse-horn');
    expect(ids).toContain('fan-relay');
  });
});
