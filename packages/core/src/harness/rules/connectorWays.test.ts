import { describe, expect, test } from 'vitest';
import { applyCommand } from '../../evaluation/index.ts';
import { kittiwake } from '../../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../../model/index.ts';
import { evaluated } from '../../tests/evaluated.ts';

type Ways = BuildDocument['devices'][string]['ways'];
const waysOf = (document: BuildDocument, id: string): Ways => document.devices[id]!.ways;
const entries = (ways: Ways) => Object.entries(ways);

/** From the left side of the car to the ECU: through both walls, each with a connector. */
const both = ['charge-air-left~1', 'charge-air-left~2', 'fan-left~3'];

/** They lead through the right connector alone. */
const pastTheLeft = (): BuildDocument => {
  const left = Object.fromEntries(
    entries(waysOf(kittiwake, 'firewall-left')).filter(([, { wireId }]) => !both.includes(wireId)),
  );
  const named = new Map<string, string>(
    entries(waysOf(kittiwake, 'firewall-left')).flatMap(([pin, { wireId }]) =>
      both.includes(wireId) ? [[`firewall-left~${pin}`, wireId] as const] : [],
    ),
  );
  const right = Object.fromEntries(
    entries(waysOf(kittiwake, 'firewall-right')).map(([pin, way]) => [
      pin,
      { ...way, wireId: named.get(way.wireId) ?? way.wireId },
    ]),
  );
  const without = withValueAt(kittiwake, 'devices.firewall-left.ways', left);
  return withValueAt(without, 'devices.firewall-right.ways', right);
};

const ofConnectors = (document: BuildDocument) =>
  evaluated(document).findings.filter(({ rule }) => rule.startsWith('connector.'));

describe('wires that come past one connector and lead through another', () => {
  const document = pastTheLeft();
  const [finding] = ofConnectors(document);

  test('are told at the one that they come past', () => {
    expect(ofConnectors(document).map(({ id }) => id)).toEqual(['connector.past:firewall-left']);
    expect(finding!.numbers['count']!.value).toBe(3);
  });

  test('are led through it with one press, and through the other still', () => {
    const cure = finding!.cures().find(({ command }) => command !== undefined)!;
    const cured = applyCommand(document, cure.command!).document;
    expect(ofConnectors(cured)).toEqual([]);
    const { netlist } = evaluated(cured).electrics;
    for (const id of both) {
      const [device] = id.split('~');
      const pieces = netlist.wires.filter(({ partId, name }) => {
        const whole = netlist.wires.find((wire) => wire.id === id)!;
        return partId === device && name.startsWith(whole.name);
      });
      // Sensor to the left wall, wall to wall, the right wall to the ECU.
      expect(pieces, id).toHaveLength(3);
    }
    // Each is named by its own pin on the first piece, and by a connector's on the others.
    const named = entries(waysOf(cured, 'firewall-right')).map(([, { wireId }]) => wireId);
    expect(named.filter((wireId) => wireId.startsWith('firewall-left~'))).toHaveLength(3);
    expect(named.filter((wireId) => both.includes(wireId))).toEqual([]);
  });
});
