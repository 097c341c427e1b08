import { describe, expect, test } from 'vitest';
import { applyCommand, createEvaluator, referenceProblems } from '../../evaluation/index.ts';
import { kittiwake, lantern, sampleCatalogue, sandpiper } from '../../exchange/index.ts';
import { type BuildDocument, readBuild, withValueAt } from '../../model/index.ts';
import { type Addition, lateAdditions } from './lateAdditions.ts';

const evaluator = createEvaluator();
const evaluated = (document: BuildDocument) => evaluator.evaluate(document, sampleCatalogue);
const allClosed = (document: BuildDocument): BuildDocument =>
  Object.keys(document.harness.segments).reduce(
    (closed, id) => withValueAt(closed, `harness.segments.${id}.closed`, true),
    document,
  );
const waysFor = (document: BuildDocument, itemId: string, placementId: string) => {
  const { electrics, led, harness } = evaluated(document);
  const item = sampleCatalogue.items.find(({ id }) => id === itemId)!;
  if (item.category !== 'device') throw new Error('no device');
  const build = readBuild(document);
  const read = { build, item, placementId, electrics, led, harness };
  return lateAdditions({ ...read, catalogue: sampleCatalogue });
};
const taken = (document: BuildDocument, { changes }: Addition): BuildDocument =>
  applyCommand(document, { name: 'set-several', label: 'Add', changes }).document;
const of = (ways: readonly Addition[], kind: Addition['kind']): Addition =>
  ways.find((way) => way.kind === kind)!;

describe('a device that comes later', () => {
  const closed = allClosed(kittiwake);
  const ways = waysFor(closed, 'DV-OT', 'engine-front');

  test('has three ways, those that can be done first, then by their work', () => {
    expect(new Set(ways.map(({ kind }) => kind)).size).toBe(3);
    const done = ways.filter(({ against }) => against.length === 0);
    expect(ways.slice(0, done.length)).toEqual(done);
    const work = done.map((way) => way.work);
    expect([...work].sort((a, b) => a - b)).toEqual(work);
  });

  test('is on a free pin of the right kind after it is taken, and nothing is missing', () => {
    const before = evaluated(closed).findings;
    const known = new Set(before.map(({ id }) => id));
    for (const way of ways.filter(({ against }) => against.length === 0)) {
      const document = taken(closed, way);
      expect(referenceProblems(document, sampleCatalogue)).toEqual([]);
      const { electrics, findings } = evaluated(document);
      const added = Object.keys(document.devices).find((id) => !(id in closed.devices))!;
      const wires = electrics.netlist.direct.filter(({ partId }) => partId === added);
      expect(wires).toHaveLength(way.wires);
      const stops = findings.filter(({ id, severity }) => severity === 'stop' && !known.has(id));
      expect(stops).toEqual([]);
      for (const { pin } of way.pins) {
        const there = Object.values(document.devices).flatMap(({ connections }) =>
          Object.values(connections).filter(
            (to) => to.to === 'controller' && to.pin === pin && to.controllerId !== '',
          ),
        );
        expect(there.length).toBeGreaterThan(0);
      }
    }
  });

  test('opens the covers that are closed on its way, and none that is open', () => {
    const inside = of(ways, 'in the harness');
    expect(inside.opened.length).toBeGreaterThan(2);
    const open = of(waysFor(kittiwake, 'DV-OT', 'engine-front'), 'in the harness');
    expect(open.opened).toEqual([]);
    expect(open.work).toBeLessThan(inside.work);
    expect(open.length).toBeCloseTo(inside.length, 9);
    const after = Object.values(taken(closed, inside).harness.segments);
    expect(after.flatMap((each) => (each.closed ? [] : [each.name])).sort()).toEqual(
      [...inside.opened].sort(),
    );
  });

  test('asks for ways of the connectors that it passes, and for a wider one where none is free', () => {
    expect(of(ways, 'in the harness').connectors).toEqual([]);
    const inFront = waysFor(kittiwake, 'DV-OT', 'pedal-box');
    const [through] = of(inFront, 'in the harness').connectors;
    expect(through).toMatchObject({ name: 'Bulkhead connector, right', wanted: 2 });
    expect(through!.free).toBeGreaterThan(2);
    const full = of(waysFor(lantern, 'DV-OT', 'oil-seat'), 'on another unit');
    expect(full.connectors[0]).toMatchObject({ free: 0 });
    expect(full.work).toBeGreaterThan(5400);
  });

  test('is told what it has not: a free pin, another unit', () => {
    const small = waysFor(sandpiper, 'DV-CLT', 'fan-seat');
    expect(of(small, 'in the harness').against.join()).toMatch(/no free pin/u);
    expect(of(small, 'on another unit').against).toEqual(['there is no other unit']);
  });

  test('that is led by itself closes no loop', () => {
    // A place to which nothing leads yet.
    const beside = of(waysFor(kittiwake, 'DV-OT', 'cell-vent'), 'beside the harness');
    expect(beside.against).toEqual([]);
    expect(beside.opened).toEqual([]);
    const { led } = evaluated(taken(kittiwake, beside));
    expect(led.loops).toEqual([]);
    expect(led.unled).toEqual([]);
  });
});
