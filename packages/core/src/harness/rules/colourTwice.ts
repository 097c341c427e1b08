import type { BuildFinding } from '../../model/index.ts';
import { addTo } from '../../numerics/index.ts';
import { pairKey } from '../colours/colouredWires.ts';
import type { HarnessRule } from '../checked.ts';

/** Two wires of one colour in one connector. */
export const colourTwice: HarnessRule = {
  id: 'wire.colour',
  source: 'no two wires in one connector share a colour where that can be avoided',
  check: ({ harness, electrics, decidedHarness }) => {
    if (decidedHarness.segments.length === 0) return [];
    const wires = new Map(electrics.netlist.wires.map((wire) => [wire.id, wire]));
    const atNode = new Map<string, (typeof harness.colours)[number][]>();
    for (const coloured of harness.colours) {
      const wire = wires.get(coloured.wireId);
      for (const end of wire ? [wire.from, wire.to] : []) {
        addTo(atNode, end.node, coloured);
      }
    }
    return harness.connectors.flatMap((connector): BuildFinding[] => {
      const seen = new Map<string, string>();
      for (const { node } of connector.cavities) {
        for (const { wireId, colour, stripe, settled } of atNode.get(node) ?? []) {
          const key = pairKey([colour, stripe]);
          const other = seen.get(key);
          seen.set(key, wireId);
          if (other === undefined || other === wireId) continue;
          const [a, b] = [wires.get(other)?.name ?? other, wires.get(wireId)?.name ?? wireId];
          return [
            {
              id: `wire.colour:${connector.id}`,
              rule: 'wire.colour',
              severity: 'note',
              where: { stage: 'harness' },
              title: 'Two wires of one connector look alike',
              because: `${connector.name}: “${a}” and “${b}” are both ${key.replace('/', ' with ')}; at the connector only their numbers tell them apart`,
              numbers: {},
              cures: () => {
                const free = [other, wireId].find((id) =>
                  decidedHarness.colours.some((each) => each.wireId === id),
                );
                return free === undefined || !(settled || free === other)
                  ? [{ text: 'Label both ends of each' }]
                  : [
                      {
                        text: `Change the colour of “${wires.get(free)?.name ?? free}”`,
                        command: { name: 'remove', path: ['harness', 'colours', free] },
                      },
                    ];
              },
            },
          ];
        }
      }
      return [];
    });
  },
};
