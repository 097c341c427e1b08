import { describe, expect, test } from 'vitest';
import { demoBuilds, lantern } from '../../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../../model/index.ts';
import { evaluated } from '../../tests/evaluated.ts';

const donorWires = (document: BuildDocument) => {
  const { harness, electrics } = evaluated(document);
  const colours = new Map(harness.colours.map((each) => [each.wireId, each]));
  return Object.entries(document.vehicleSignals).flatMap(([id, signal]) =>
    electrics.netlist.wires
      .filter(({ from, to }) => from.node === `${id}:wire` || to.node === `${id}:wire`)
      .map((wire) => ({ wire, signal, colour: colours.get(wire.id)! })),
  );
};

describe('the colours of wires', () => {
  test('follow those of the wire found that they lead on from', () => {
    const found = donorWires(lantern);
    expect(found.length).toBeGreaterThan(2);
    for (const { signal, colour } of found) {
      expect(colour).toMatchObject({ colour: signal.base, stripe: signal.stripe, settled: true });
    }
  });

  test('are as somebody settled them, whatever was found', () => {
    const [first] = donorWires(lantern);
    const settled = withValueAt(lantern, 'harness.colours', {
      [first!.wire.id]: { colour: 'pink', stripe: 'grey' },
    });
    const after = donorWires(settled).find(({ wire }) => wire.id === first!.wire.id)!;
    expect(after.colour).toMatchObject({ colour: 'pink', stripe: 'grey' });
  });

  test('are no two alike in a plug that has enough of them', () => {
    for (const { document } of demoBuilds) {
      const { harness, electrics } = evaluated(document);
      const colours = new Map(
        harness.colours.map(({ wireId, colour, stripe }) => [wireId, `${colour}/${stripe ?? ''}`]),
      );
      for (const { cavities } of harness.connectors) {
        const nodes = new Set(cavities.map(({ node }) => node));
        const inside = electrics.netlist.wires
          .filter(({ from, to }) => nodes.has(from.node) || nodes.has(to.node))
          .map(({ id }) => colours.get(id)!);
        // 11 colours, each plain and with ten stripes.
        if (inside.length <= 121) expect(new Set(inside).size).toBe(inside.length);
      }
    }
  });
});
