import { describe, expect, test } from 'vitest';
import { type EcuItem, newestOf, refOf } from '../../catalogue/index.ts';
import { applyCommand, evaluate, referenceProblems } from '../../evaluation/index.ts';
import { lantern, sampleCatalogue } from '../../exchange/index.ts';
import { withValueAt } from '../../model/index.ts';

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
    for (const id of now) expect([...before]).toContain(id);
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

  test('is only said where the bus is in use: where it would stand on it has to be decided', () => {
    const { document } = applyCommand(build, {
      name: 'put-devices',
      label: 'A dash',
      devices: {
        dash: {
          order: 99_000,
          name: 'Dash',
          part: { kind: 'item', item: { id: 'DV-DASH', revision: 1 } },
          placementId: 'ecu',
          state: 'new',
          replacedBy: '',
          seat: 'there',
          cylinder: null,
          loadedTogether: 3,
          connections: {
            '3': { to: 'controller', controllerId: 'ecu', pin: 'C01', locked: false },
            '4': { to: 'controller', controllerId: 'ecu', pin: 'C02', locked: false },
          },
        },
      },
      placements: {},
    });
    const [cure] = moduleIn(document, catalogue);
    expect(cure!.command).toBeUndefined();
  });
});
