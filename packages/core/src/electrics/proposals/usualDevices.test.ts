import { describe, expect, test } from 'vitest';
import { applyCommand, referenceProblems } from '../../evaluation/index.ts';
import { demoBuilds, sampleCatalogue } from '../../exchange/index.ts';
import { type BuildDocument, readBuild } from '../../model/index.ts';
import { usualDevices } from './usualDevices.ts';
import { evaluated } from '../../tests/evaluated.ts';

/** A build of which nobody said anything electric but its pumps. */
const bare = (document: BuildDocument): BuildDocument => ({
  ...document,
  devices: {},
  controllers: {},
  vehicleSignals: {},
  grounds: {},
  switching: {},
  power: { ...document.power, ecuConnections: {}, negativeGroundId: null },
});

const proposedFor = (document: BuildDocument) => usualDevices(readBuild(document), sampleCatalogue);

const withProposal = (document: BuildDocument): BuildDocument =>
  applyCommand(document, {
    name: 'set-several',
    label: 'Put in what is usual',
    changes: proposedFor(document),
  }).document;

describe.each(demoBuilds.map(({ id, document }) => [id, bare(document)] as const))(
  'what an engine like that of %s usually has',
  (_id, document) => {
    const filled = withProposal(document);

    test('is wired to what is there, and has a pin for every signal', () => {
      expect(referenceProblems(filled, sampleCatalogue)).toEqual([]);
      const { electrics, findings } = evaluated(filled);
      expect(electrics.netlist.unassigned).toEqual([]);
      const stages = new Set(['devices', 'pins', 'wires']);
      const stops = findings.filter(
        ({ where, severity }) => stages.has(where.stage) && severity === 'stop',
      );
      expect(stops.map(({ id }) => id)).toEqual([]);
    });

    test('has a coil and an injector for each cylinder, each with its own output', () => {
      const { brief } = document;
      const kinds = Object.values(filled.devices).map(({ part }) => part);
      const coils = Object.keys(filled.devices).filter((id) => id.startsWith('coil-'));
      expect(coils).toHaveLength(brief.cylinders);
      const row = readBuild(document).injectorRows[0]!;
      expect(kinds.filter(({ kind }) => kind === 'injector')).toHaveLength(row.count);
      const pins = Object.values(filled.devices).flatMap(({ connections }) =>
        Object.values(connections).flatMap((to) => (to.to === 'controller' ? [to.pin] : [])),
      );
      const outputs = pins.filter((pin) => pin !== '');
      expect(outputs.length).toBe(pins.length);
    });

    test('is proposed once: what is there is left as it is', () => {
      expect(proposedFor(filled)).toEqual([]);
      const renamed = applyCommand(filled, {
        name: 'set',
        path: ['devices', 'crank', 'name'],
        value: 'My own crank sensor',
      }).document;
      expect(withProposal(renamed).devices['crank']?.name).toBe('My own crank sensor');
    });
  },
);
