import { describe, expect, test } from 'vitest';
import { applyCommand } from '../../evaluation/index.ts';
import { demoBuilds, lantern, sampleCatalogue } from '../../exchange/index.ts';
import { type BuildDocument, readBuild, withValueAt } from '../../model/index.ts';
import { settledLantern } from '../../tests/trippedElectrics.ts';
import { plainDevice } from '../slices/plainDevice.ts';
import { buildNetlist } from './buildNetlist.ts';
import type { Netlist } from './netlist.ts';
import { evaluated } from '../../tests/evaluated.ts';

const netlistOf = (document: BuildDocument): Netlist =>
  buildNetlist({ document: readBuild(document), catalogue: sampleCatalogue });

const nodesOf = (netlist: Netlist): Set<string> =>
  new Set(netlist.parts.flatMap(({ pins }) => pins.map(({ node }) => node)));

describe.each(demoBuilds.map(({ id, document }) => [id, document] as const))(
  'the netlist of %s',
  (_id, document) => {
    const netlist = netlistOf(document);

    test('has wires between pins that are there, each under a name of its own', () => {
      const nodes = nodesOf(netlist);
      for (const { id, from, to } of netlist.wires) {
        expect(nodes.has(from.node), `${id} from ${from.node}`).toBe(true);
        expect(nodes.has(to.node), `${id} to ${to.node}`).toBe(true);
        expect(from.node).not.toBe(to.node);
      }
      const ids = netlist.wires.map(({ id }) => id);
      expect(new Set(ids).size).toBe(ids.length);
      const parts = netlist.parts.map(({ id }) => id);
      expect(new Set(parts).size).toBe(parts.length);
    });

    test('puts no more than one wire into a contact of a plug', () => {
      const ends = new Map<string, number>();
      for (const { from, to } of netlist.wires) {
        for (const { node, joint } of [from, to]) {
          if (joint === 'plug') ends.set(node, (ends.get(node) ?? 0) + 1);
        }
      }
      expect([...ends].filter(([, count]) => count > 1)).toEqual([]);
    });

    test('says nothing of the document’s own order', () => {
      const turned = {
        ...document,
        devices: Object.fromEntries(Object.entries(document.devices).reverse()),
      };
      expect(netlistOf(turned)).toEqual(netlist);
    });
  },
);

describe('what is wired', () => {
  const wires = (document: BuildDocument): string[] =>
    netlistOf(document)
      .wires.map(({ id }) => id)
      .sort();

  test('a further sensor on the sensor ground renames no wire', () => {
    const { document } = applyCommand(lantern, {
      name: 'put-devices',
      label: 'Add a sensor',
      placements: {},
      devices: {
        'oil-temperature-1': {
          order: 99,
          name: 'Oil temperature',
          part: { kind: 'item', item: { id: 'DV-OT', revision: 1 } },
          placementId: 'oil-seat',
          ...plainDevice,
          connections: {
            '2': { to: 'controller', controllerId: 'ecu', pin: 'A05', locked: false },
          },
        },
      },
    });
    expect(wires(document).filter((id) => !wires(lantern).includes(id))).toEqual([
      'oil-temperature-1~2',
    ]);
    expect(wires(lantern).every((id) => wires(document).includes(id))).toBe(true);
  });

  test('what goes has no wires; what is taken off leaves none behind', () => {
    const going = withValueAt(lantern, ['devices', 'fan-1', 'state'], 'removed');
    expect(wires(going).some((id) => id.startsWith('fan-1~'))).toBe(false);
    const { document } = applyCommand(lantern, { name: 'remove-device', deviceId: 'fan-1-relay' });
    expect(wires(document).some((id) => id.startsWith('fan-1-relay~'))).toBe(false);
    expect(document.devices['fan-1']?.connections).not.toHaveProperty('+');
    expect(wires(document)).not.toContain('fan-1~+');
  });

  test('a signal without a pin has no wire and is told to have none', () => {
    const { unassigned, wires: there } = netlistOf(lantern);
    expect(unassigned).toContainEqual({ partId: 'cooler-fan-relay', pin: '86' });
    expect(there.some(({ id }) => id === 'cooler-fan-relay~86')).toBe(false);
    expect(netlistOf(settledLantern).unassigned).toEqual([]);
  });

  test('a connection to what is not there is no wire', () => {
    const path = ['devices', 'fan-1', 'connections', '+'];
    const lost = withValueAt(lantern, path, { to: 'part', partId: 'nowhere', pin: '1' });
    expect(wires(lost)).not.toContain('fan-1~+');
    expect(evaluated(lost).electrics.cases.worst.state).toBe('solved');
  });

  test('sensors end in the splice of their ground, from which one wire goes on', () => {
    const netlist = netlistOf(lantern);
    const splice = netlist.parts.find(({ id }) => id === 'splice ecu:A05');
    expect(splice?.sort).toBe('splice');
    const [node] = splice?.pins ?? [];
    const there = netlist.direct.filter(
      ({ from, to }) => from.node === node?.node || to.node === node?.node,
    );
    const onward = there.filter(({ from, to }) => [from.node, to.node].includes('ecu:A05'));
    expect(onward.map(({ id }) => id)).toEqual(['ecu~A05~splice']);
    expect(there.length).toBeGreaterThan(8);
  });
});
