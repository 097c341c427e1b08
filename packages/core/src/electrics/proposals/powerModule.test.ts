import { describe, expect, test } from 'vitest';
import { type EcuItem, newestOf, refOf } from '../../catalogue/index.ts';
import { applyCommand, evaluate, referenceProblems } from '../../evaluation/index.ts';
import { lantern, sampleCatalogue } from '../../exchange/index.ts';
import { withValueAt } from '../../model/index.ts';
import { plainDevice } from '../slices/plainDevice.ts';
import { toPin } from './newDevice.ts';

const leat = newestOf(sampleCatalogue, 'ecu').find(({ id }) => id === 'LEAT34')!;
const busPin = (id: string, pairedWith: string): EcuItem['pins'][number] => ({
  ...leat.pins[0]!,
  id,
  name: `Bus ${id}`,
  plug: 'C',
  row: 1,
  column: id === 'C01' ? 1 : 2,
  capabilities: ['can'],
  pairedWith,
});
/** Lantern's ECU as it would be with a bus. */
const withBus: EcuItem = {
  ...leat,
  id: 'LEAT34-BUS',
  designation: 'Leat 34 with a bus',
  pins: [...leat.pins, busPin('C01', 'C02'), busPin('C02', 'C01')],
};
const catalogue = { items: [...sampleCatalogue.items, withBus] };
const build = withValueAt(lantern, 'power.ecu', refOf(withBus));
const few = 'pin.too-few:ecu/high-side';
const moduleIn = (document: typeof lantern, of: typeof catalogue) =>
  evaluate(document, of)
    .findings.find(({ id }) => id === few)!
    .cures()
    .filter(({ text }) => text.includes('module'));

describe('a power module', () => {
  test('is no way out for a unit without a bus', () => {
    expect(moduleIn(lantern, sampleCatalogue as typeof catalogue)).toEqual([]);
  });

  test('takes over what the relays that find no pin switch, at one press', () => {
    const [cure, ...others] = moduleIn(build, catalogue);
    expect(others).toEqual([]);
    expect(cure!.text).toContain('Sluice 16');
    const { document } = applyCommand(build, cure!.command!);
    expect(referenceProblems(document, catalogue)).toEqual([]);
    const before = new Set(
      evaluate(build, catalogue)
        .findings.filter(({ severity }) => severity !== 'note')
        .map(({ id }) => id),
    );
    const { findings, electrics } = evaluate(document, catalogue);
    const now = findings.filter(({ severity }) => severity !== 'note').map(({ id }) => id);
    expect(now).not.toContain(few);
    // Where it sits the harness does not reach yet, and that is told.
    for (const id of now) expect([...before, 'harness.unled']).toContain(id);
    // Its bus ends in a terminator on either side.
    expect(electrics.buses).toHaveLength(1);
    expect(electrics.buses[0]!.terminated).toBe(true);
    // What went is fed by a channel that carries it, and gets its volts.
    const gone = Object.entries(document.devices).filter(
      ([id, { state }]) => state === 'removed' && lantern.devices[id]?.state !== 'removed',
    );
    expect(gone.some(([, { part }]) => part.kind === 'relay')).toBe(true);
    const moved = Object.entries(document.devices).filter(([, { connections }]) =>
      Object.values(connections).some(
        (to) => to.to === 'controller' && to.controllerId === 'power-module',
      ),
    );
    const fed = moved.filter(([id]) => id.includes('fan') || lantern.devices[id]);
    expect(fed.length).toBeGreaterThan(0);
    for (const [id] of fed) {
      const volts = electrics.voltages.find(
        ({ partId, inCase }) => partId === id && inCase === 'worst',
      );
      expect(volts!.supply - volts!.back).toBeGreaterThan(9);
    }
  });

  /** The build with a dash on its bus, and what is put across it. */
  const withDash = (terminators: Readonly<Record<string, object>>) =>
    applyCommand(build, {
      name: 'put-devices',
      label: 'A dash',
      devices: Object.fromEntries(
        Object.entries({
          dash: {
            name: 'Dash',
            part: { kind: 'item', item: { id: 'DV-DASH', revision: 1 } },
            connections: { '3': toPin('ecu', 'C01'), '4': toPin('ecu', 'C02') },
          },
          ...terminators,
        }).map(([id, device], i) => [
          id,
          { ...plainDevice, placementId: 'ecu', order: 99_000 + i, ...device },
        ]),
      ) as never,
      placements: {},
    }).document;
  const across = (high: object, low: object) => ({
    name: 'Terminator',
    part: { kind: 'item', item: { id: 'DV-TERM', revision: 1 } },
    connections: { '1': high, '2': low },
  });
  const atDash = (pin: string) => ({ to: 'part', partId: 'dash', pin });

  test('is only said where the bus in use does not end as it should', () => {
    const [cure] = moduleIn(withDash({}), catalogue);
    expect(cure!.command).toBeUndefined();
  });

  test('goes to the end of a bus in use, and the terminator behind it', () => {
    const document = withDash({
      'end-ecu': across(toPin('ecu', 'C01'), toPin('ecu', 'C02')),
      'end-dash': across(atDash('3'), atDash('4')),
    });
    const [before] = evaluate(document, catalogue).electrics.buses;
    expect(before!.terminated).toBe(true);
    const [cure] = moduleIn(document, catalogue);
    const next = applyCommand(document, cure!.command!).document;
    expect(referenceProblems(next, catalogue)).toEqual([]);
    const { electrics, findings } = evaluate(next, catalogue);
    expect(findings.map(({ id }) => id)).not.toContain(few);
    expect(electrics.buses).toHaveLength(1);
    const [bus] = electrics.buses;
    expect(bus!.terminated).toBe(true);
    expect(bus!.terminators).toHaveLength(2);
    expect(bus!.members.map(({ partId }) => partId)).toEqual(
      expect.arrayContaining(['ecu', 'dash', 'power-module']),
    );
    // One wire after the other: nobody stands further beside the way than before.
    const furthest = ({ members }: typeof bus & object) =>
      Math.max(...members.map(({ stub }) => stub));
    expect(furthest(bus!)).toBeLessThanOrEqual(furthest(before!) + 1e-9);
  });
});
