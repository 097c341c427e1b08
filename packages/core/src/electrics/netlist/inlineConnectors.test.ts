import { describe, expect, test } from 'vitest';
import { kittiwake, lantern, sampleCatalogue } from '../../exchange/index.ts';
import { type BuildDocument, readBuild, withValueAt } from '../../model/index.ts';
import { buildNetlist } from './buildNetlist.ts';
import { evaluated } from '../../tests/evaluated.ts';

const netlistOf = (document: BuildDocument) =>
  buildNetlist({ document: readBuild(document), catalogue: sampleCatalogue });

const withoutConnectors = (document: BuildDocument): BuildDocument =>
  Object.keys(document.devices).reduce(
    (stored, id) => withValueAt(stored, `devices.${id}.ways`, {}),
    document,
  );

const waysOf = (document: BuildDocument) =>
  Object.entries(document.devices).flatMap(([connector, { ways }]) =>
    Object.entries(ways).map(([pin, way]) => ({ connector, pin, ...way })),
  );

describe.each([
  ['Lantern', lantern],
  ['Kittiwake', kittiwake],
])('connectors in the harness of %s', (_, document) => {
  const parted = netlistOf(document);
  const whole = netlistOf(withoutConnectors(document));
  const ways = waysOf(document);

  test('make two wires of every one that leads through them, and leave the others alone', () => {
    expect(ways.length).toBeGreaterThan(50);
    expect(parted.wires).toHaveLength(whole.wires.length + ways.length);
    const ids = parted.wires.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids).toEqual(expect.arrayContaining(whole.wires.map(({ id }) => id)));
  });

  test('have one wire on each side of a way, and a contact between', () => {
    for (const { connector, pin } of ways) {
      const part = parted.parts.find(({ id }) => id === connector)!;
      const here = part.pins.find((each) => each.pin === pin)!.node;
      const contact = part.inside.find(({ from }) => from === here)!;
      for (const node of [here, contact.to]) {
        const ending = parted.wires.filter(
          ({ from, to }) => from.node === node || to.node === node,
        );
        expect(ending).toHaveLength(1);
      }
    }
  });

  test('join the same pins as before', () => {
    /** What a node is joined with over wires and contacts of connectors. */
    const joined = (netlist: typeof parted, start: string): string[] => {
      const connectors = netlist.parts.filter(({ role }) => role === 'connector');
      const inner = connectors.flatMap(({ inside }) => inside.map(({ from, to }) => [from, to]));
      const edges = [...netlist.wires.map(({ from, to }) => [from.node, to.node]), ...inner];
      const found = new Set([start]);
      for (let size = 0; size < found.size;) {
        size = found.size;
        for (const [a, b] of edges as [string, string][]) {
          if (found.has(a) !== found.has(b)) {
            found.add(a);
            found.add(b);
          }
        }
      }
      const own = new Set(connectors.flatMap(({ pins }) => pins.map(({ node }) => node)));
      return [...found].filter((node) => !own.has(node)).sort();
    };
    const partOf = new Map(
      parted.parts.flatMap(({ id, pins }) => pins.map(({ node }) => [node, id] as const)),
    );
    const sample = parted.wires
      .filter(({ from }) => partOf.get(from.node) !== undefined)
      .slice(0, 60);
    for (const { from } of sample) {
      if (!whole.parts.some(({ pins }) => pins.some(({ node }) => node === from.node))) continue;
      if (parted.parts.find(({ id }) => id === partOf.get(from.node))?.role === 'connector')
        continue;
      expect(joined(parted, from.node)).toEqual(joined(whole, from.node));
    }
  });
});

describe('a way of a connector', () => {
  test('that names no wire, or a pin without another side, parts nothing', () => {
    const bare = netlistOf(withoutConnectors(lantern)).wires.length;
    for (const ways of [
      { '1A': { wireId: 'nothing~1', fromHere: true } },
      { '1B': { wireId: 'crank~1', fromHere: true } },
      { '99A': { wireId: 'crank~1', fromHere: true } },
    ]) {
      const document = withValueAt(withoutConnectors(lantern), 'devices.cab-connector.ways', ways);
      expect(netlistOf(document).wires).toHaveLength(bare);
    }
  });

  test('holds a wire once: the second of two ways that name one is left out', () => {
    const way = { wireId: 'crank~1', fromHere: true };
    const document = withValueAt(withoutConnectors(lantern), 'devices.cab-connector.ways', {
      '1A': way,
      '2A': way,
    });
    const wires = netlistOf(document).wires.filter(({ partId }) => partId === 'crank');
    const before = netlistOf(withoutConnectors(lantern)).wires.filter(
      ({ partId }) => partId === 'crank',
    );
    expect(wires).toHaveLength(before.length + 1);
  });

  test('makes a wire longer by the ends that it has there, and by nothing else', () => {
    const lengths = (document: BuildDocument): ReadonlyMap<string, number> =>
      new Map(evaluated(document).led.wires.map(({ wireId, length }) => [wireId, length.value]));
    const [parted, whole] = [lengths(lantern), lengths(withoutConnectors(lantern))];
    // 60 mm on each side; each half is rounded up to 10 mm, and the place is no breakout any more.
    const ends = 0.12;
    for (const [pin, { wireId }] of Object.entries(lantern.devices['cab-connector']!.ways)) {
      const other = [pin, pin.replace('A', 'B')]
        .map((side) => parted.get(`cab-connector~${side}`))
        .find((length) => length !== undefined)!;
      const longer = parted.get(wireId)! + other - whole.get(wireId)!;
      expect(longer).toBeGreaterThan(ends - 0.035);
      expect(longer).toBeLessThan(ends + 0.02);
    }
  });
});
