import { describe, expect, test } from 'vitest';
import { createEvaluator } from '../../evaluation/index.ts';
import { demoBuilds, kittiwake, sampleCatalogue, sandpiper } from '../../exchange/index.ts';
import type { BuildDocument } from '../../model/index.ts';
import { liveLoads } from '../network/liveLoads.ts';
import { singleFailures } from './singleFailures.ts';

const evaluator = createEvaluator();
const netlistOf = (document: BuildDocument) =>
  evaluator.evaluate(document, sampleCatalogue).electrics.netlist;
const stopsWith = (document: BuildDocument, partId: string): string[] =>
  singleFailures(netlistOf(document))
    .find((failure) => failure.partId === partId)!
    .stops.map((each) => each.partId);

describe('what a single failure stops', () => {
  test('a fuse of one load stops that load and nothing else', () => {
    expect(stopsWith(sandpiper, 'fuse-horn')).toEqual(['horn']);
  });

  test('a fuse before a relay stops what hangs behind it; the coil, fed elsewhere, pulls on', () => {
    expect(stopsWith(sandpiper, 'fuse-fan')).toEqual(['fan']);
  });

  test('a relay that does not pull stops what it switches', () => {
    expect(stopsWith(sandpiper, 'fan-relay')).toEqual(['fan']);
  });

  test('a feed of coils stops the relays, and what these switch with them', () => {
    const stopped = stopsWith(sandpiper, 'fuse-key');
    expect(stopped).toContain('fan-relay');
    expect(stopped).toContain('fan');
    expect(stopped).not.toContain('horn');
  });

  test('the supply of a controller stops what it switches; its memory alone stops nothing else', () => {
    const stopped = stopsWith(kittiwake, 'fuse-ecu');
    expect(stopped).toEqual(expect.arrayContaining(['ecu', 'injector-1', 'pump-relay', 'pump']));
    expect(stopsWith(kittiwake, 'fuse-ecu-constant')).toEqual(['ecu']);
  });

  test('a ground that is open stops what hangs on it; the frame stops everything', () => {
    expect(stopsWith(sandpiper, 'pump-ground')).toEqual(['pump']);
    expect(stopsWith(kittiwake, 'pump-ground')).toEqual([
      'pump',
      'pump-2',
      'fan-right',
      'water-pump-right',
    ]);
    expect(stopsWith(kittiwake, 'pump-ground-left')).toEqual([
      'methanol-pump',
      'fan-left',
      'water-pump-left',
    ]);
    expect(stopsWith(sandpiper, 'frame')).toEqual(expect.arrayContaining(['ecu', 'fan', 'horn']));
  });

  test('the main fuse stops all that hangs on the stud', () => {
    const stopped = stopsWith(sandpiper, 'main-fuse');
    for (const id of ['pump', 'fan', 'horn', 'ecu']) expect(stopped).toContain(id);
  });

  test('a module that dies takes along what hangs on its channels, and nothing that has a relay', () => {
    const stopped = stopsWith(kittiwake, 'sluice');
    expect(stopped.length).toBeGreaterThan(8);
    expect(stopped).not.toContain('pump');
  });

  test.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
    '%s: nothing comes alive by a failure, and a failure behind another stops no more than it',
    (_name, document) => {
      const netlist = netlistOf(document);
      const alive = new Set(liveLoads(netlist).map(({ partId }) => partId));
      const failures = singleFailures(netlist);
      expect(failures.length).toBeGreaterThan(15);
      for (const { partId, stops } of failures) {
        expect(stops.every((each) => alive.has(each.partId))).toBe(true);
        expect(stops.map((each) => each.partId)).not.toContain(partId);
      }
      const main = new Set(
        failures.find(({ partId }) => partId === 'main-fuse')!.stops.map((each) => each.partId),
      );
      // What is fed from the stud alone cannot outlive the fuse before it.
      const behindStud = netlist.wires
        .filter(({ from, to }) => [from.node, to.node].includes('stud:stud'))
        .flatMap(({ from, to }) => [from.node, to.node])
        .map((node) => node.split(':')[0]!);
      for (const { partId, stops } of failures) {
        if (!behindStud.includes(partId) || partId === 'main-fuse') continue;
        expect(stops.filter((each) => !main.has(each.partId)).map((each) => each.name)).toEqual([]);
      }
    },
  );
});
