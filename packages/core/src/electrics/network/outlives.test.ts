import fc from 'fast-check';
import { expect, test } from 'vitest';
import { lookUp, newestOf, refOf } from '../../catalogue/index.ts';
import { sampleCatalogue, sandpiper } from '../../exchange/index.ts';
import { readBuild } from '../../model/index.ts';
import { letThrough } from '../power/fuseCurve.ts';
import { insulationWithstand } from '../power/wireCriteria.ts';
import { contactsOf } from '../power/wireContacts.ts';
import { switchedInCases } from '../switching/switchedInCases.ts';
import { sizeNetwork } from './sizeNetwork.ts';
import { WirePaths } from './wirePaths.ts';

const read = readBuild(sandpiper);
const base = { ...read, switched: switchedInCases(read.switching) };
const known = sizeNetwork({ document: base, catalogue: sampleCatalogue });
const wireIds = known.wires.map(({ wire }) => wire.id);
const blades = newestOf(sampleCatalogue, 'fuse').filter(({ style }) => style === 'blade');
const zones = ['cabin', 'outside', 'engine-bay', 'near-exhaust'] as const;
const metre = (value: number) => ({ value, unit: 'm' });

/** Sandpiper with other lengths, fuses, bundles, heat, and another battery and system of wires. */
const anyBuild = fc
  .record({
    hot: fc.double({ min: 293, max: 323, noNaN: true }),
    lengths: fc.dictionary(
      fc.constantFrom(...wireIds),
      fc.double({ min: 0.05, max: 40, noNaN: true }),
      { maxKeys: 30 },
    ),
    fuses: fc.array(fc.option(fc.constantFrom(...blades)), { minLength: 20, maxLength: 20 }),
    bundles: fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 8, maxLength: 8 }),
    places: fc.array(fc.constantFrom(...zones), { minLength: 8, maxLength: 8 }),
    battery: fc.constantFrom(...newestOf(sampleCatalogue, 'battery')),
    wireSystem: fc.constantFrom('metric' as const, 'awg' as const),
  })
  .map(({ hot, lengths, fuses, bundles, places, battery, wireSystem }): typeof base => ({
    ...base,
    brief: { ...base.brief, ambientHot: { value: hot, unit: '°C' } },
    power: {
      ...base.power,
      battery: refOf(battery),
      wireSystem,
      wireDecisions: Object.entries(lengths).map(([wireId, length]) => ({
        wireId,
        size: null,
        length: { typed: metre(length), measured: null },
      })),
    },
    placements: base.placements.map((place, i) => ({ ...place, zone: places[i % 8]! })),
    devices: base.devices.map((device, i) => {
      const item = fuses[i % 20];
      return {
        ...device,
        loadedTogether: bundles[i % 8]!,
        part:
          device.part.kind === 'fuse' && item ? { kind: 'fuse', item: refOf(item) } : device.part,
      };
    }),
  }));

test('no wire of any build outlives its fuse, unless it is told', () => {
  let judged = 0;
  fc.assert(
    fc.property(anyBuild, (document) => {
      const { netlist, wires } = sizeNetwork({ document, catalogue: sampleCatalogue });
      const battery = lookUp(sampleCatalogue, 'battery', document.power.battery, 'test');
      const byId = new Map(wires.map((sized) => [sized.wire.id, sized]));
      const paths = new WirePaths(netlist);
      for (const sized of wires) {
        const { wire, task, size, temperature, resistance, criteria, ampacity } = sized;
        const { protection } = task;
        if (!protection || task.forSeconds !== undefined) continue;
        if (criteria.some(({ verdict }) => verdict !== 'passes')) continue;
        judged += 1;
        expect(ampacity, wire.id).toBeGreaterThanOrEqual(protection.rating);
        // A fault at its far end: all that lies before it, reckoned anew, holds the current down.
        const before = paths.wiresTo(wire.from.node, ({ sort }) => sort === 'battery') ?? [];
        // Behind a load the load itself does, and the way there is a way back.
        if (before.some(({ role }) => role === 'ground')) continue;
        const upstream = before.reduce((sum, { id }) => {
          const each = byId.get(id);
          return each && id !== wire.id ? sum + each.resistance + contactsOf(each) : sum;
        }, battery.internalResistance);
        const current = task.sourceVoltage / (upstream + resistance);
        const withstand = insulationWithstand(size, temperature);
        expect(letThrough(protection, current), wire.id).toBeLessThanOrEqual(withstand);
      }
    }),
    { numRuns: 250, seed: 13 },
  );
  expect(judged).toBeGreaterThan(5000);
}, 120_000);
