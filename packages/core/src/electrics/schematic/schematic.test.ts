import { describe, expect, test } from 'vitest';
import { demoBuilds, lantern, sampleCatalogue } from '../../exchange/index.ts';
import { type BuildDocument, readBuild } from '../../model/index.ts';
import { buildNetlist } from '../netlist/buildNetlist.ts';
import { drawnNetlist } from './drawnSheet.ts';
import {
  type LaidOutGraph,
  type LayoutGraph,
  countCrossings,
  layoutGraph,
  layoutSheet,
} from './layoutSheet.ts';
import { schematicInk, schematicSvg } from './schematicInk.ts';
import { deviceSheet, systemSheets } from './schematicSheets.ts';
import { systemsOf } from './systems.ts';

const drawnOf = (document: BuildDocument) =>
  drawnNetlist(
    buildNetlist({ document: readBuild(document), catalogue: sampleCatalogue }),
    (id) => [id, '1 mm²'],
  );

/** Everything one under the other: an engine that only has to give places. */
const inAColumn = async (graph: LayoutGraph): Promise<LaidOutGraph> => {
  let y = 0;
  return {
    width: 400,
    height: 1000,
    children: graph.children.map((node) => {
      const placed = {
        ...node,
        x: 0,
        y,
        ports: node.ports.map((port, i) => ({ ...port, x: 0, y: 20 + 20 * i })),
      };
      y += node.height + 10;
      return placed;
    }),
    edges: graph.edges.map(({ id, labels }, i) => ({
      id,
      labels: labels.map((label) => ({ ...label, x: 10, y: 20 * i })),
      sections: [{ startPoint: { x: 0, y: 10 * i }, endPoint: { x: 100, y: 10 * i } }],
    })),
  };
};

describe('the sheets of the schematic', () => {
  test.each(demoBuilds.map(({ id, document }) => [id, document] as const))(
    'every wire of %s is on exactly one sheet',
    (_id, document) => {
      const drawn = drawnOf(document);
      const onSheets = systemSheets(drawn).flatMap(({ wires }) => wires.map(({ id }) => id));
      expect([...onSheets].sort()).toEqual(drawn.netlist.wires.map(({ id }) => id).sort());
    },
  );

  test.each(demoBuilds.map(({ id, document }) => [id, document] as const))(
    'every wire of %s ends at two pins of its sheet, left of right, and sheets have few',
    (_id, document) => {
      for (const { wires, blocks, title } of systemSheets(drawnOf(document))) {
        expect(wires.length, title).toBeLessThan(27);
        const column = new Map(
          blocks.flatMap((block) => block.pins.map(({ id }) => [id, block.column] as const)),
        );
        for (const { from, to } of wires) {
          expect(column.get(from)).toBeLessThanOrEqual(column.get(to)!);
        }
        const ids = blocks.map(({ id }) => id);
        expect(new Set(ids).size).toBe(ids.length);
      }
    },
  );

  test('a relay stands with what it switches; one of several systems with the supply', () => {
    const systems = systemsOf(drawnOf(lantern).netlist);
    expect(systems.get('fan-1-relay')).toBe('cooling');
    expect(systems.get('fuse-fan-1')).toBe('cooling');
    expect(systems.get('pump-relay')).toBe('pumps');
    expect(systems.get('main-relay')).toBe('supply');
    expect(systems.get('injector-1')).toBe('injection');
  });

  test('a device is drawn with all that feeds it, to the battery, its controller and its grounds', () => {
    const sheet = deviceSheet(drawnOf(lantern), 'fan-1')!;
    expect(sheet.wires.map(({ id }) => id).sort()).toEqual(
      [
        'battery-+~main-fuse',
        'cab-studs~5A',
        'fan-1-relay~30',
        'fan-1-relay~85',
        'fan-1-relay~86',
        'fan-1~+',
        'fan-1~−',
        'fuse-fan-1~in',
        'main-fuse~power-stud',
      ].sort(),
    );
    expect(deviceSheet(drawnOf(lantern), 'no-such-part')).toBeUndefined();
  });
});

describe('the layout', () => {
  test('counts each crossing of two wires once, and no touching', () => {
    const wire = (...points: readonly (readonly [number, number])[]) => ({ points });
    const flat = wire([0, 5], [10, 5]);
    expect(countCrossings([flat, wire([5, 0], [5, 10])])).toBe(1);
    expect(countCrossings([flat, wire([5, 5], [5, 10])])).toBe(0);
    expect(countCrossings([flat, wire([0, 7], [10, 7])])).toBe(0);
    expect(countCrossings([flat, wire([3, 0], [3, 8], [7, 8], [7, 0])])).toBe(2);
  });

  test('asks for room for every word, pins at their side', () => {
    const [sheet] = systemSheets(drawnOf(lantern));
    const graph = layoutGraph(sheet!);
    for (const node of graph.children) {
      expect(node.width).toBeGreaterThan(10);
      expect(node.ports.length).toBeGreaterThan(0);
    }
    expect(graph.edges).toHaveLength(sheet!.wires.length);
  });

  test('draws every name, size and pin, in black on white', async () => {
    const [sheet] = systemSheets(drawnOf(lantern));
    const placed = await layoutSheet(sheet!, inAColumn);
    const words = schematicInk(placed).flatMap((ink) => (ink.kind === 'text' ? [ink.text] : []));
    for (const { label } of sheet!.wires) expect(words).toEqual(expect.arrayContaining([...label]));
    for (const { name } of sheet!.blocks) expect(words).toContain(name);
    const svg = schematicSvg(placed, 'A <title> & more');
    expect(svg).toContain('A &lt;title&gt; &amp; more');
    const colours = new Set([...svg.matchAll(/#[0-9a-f]{6}/g)].map(([colour]) => colour));
    expect([...colours].sort()).toEqual(['#1c272c', '#ffffff']);
  });

  test('says which part an engine left without a place', async () => {
    const [sheet] = systemSheets(drawnOf(lantern));
    await expect(layoutSheet(sheet!, async () => ({ children: [], edges: [] }))).rejects.toThrow(
      /has no place on its sheet/,
    );
  });
});
