import { buildNetlist } from '../../electrics/index.ts';
import { harnessLengthsOf, ledHarness, sheltersOf, splicedPieces } from '../../harness/index.ts';
import { stage } from '../runner/source.ts';
import { slices } from '../slices.ts';

export const netlist = stage({
  name: 'netlist',
  gives: 'what is joined to what; places, lengths and limits leave it as it is',
  reads: {
    power: slices.power,
    electric: slices.electric,
    fuelCircuits: slices.wiredCircuits,
    injectorRows: slices.wiredRows,
    bought: slices.boughtLooms,
    catalogue: slices.catalogue,
  },
  run: ({ catalogue, electric, ...document }) =>
    buildNetlist({ document: { ...document, ...electric }, catalogue }),
});

export const routedHarness = stage({
  name: 'routedHarness',
  gives: 'where the harness runs, and every wire in it',
  reads: {
    netlist,
    harness: slices.harness,
    placements: slices.places,
    hardPoints: slices.hardPoints,
  },
  run: (read) => ledHarness(read),
});

export const harnessLengths = stage({
  name: 'harnessLengths',
  gives: 'lengths that the harness gives, without the names of its segments',
  reads: { led: routedHarness },
  run: (read) => harnessLengthsOf(read.led),
});

export const wiresInHarness = stage({
  name: 'wiresInHarness',
  gives: 'which wires are spliced, and what shelters them',
  reads: { led: routedHarness, covers: slices.covers },
  run: (read) => ({
    spliced: splicedPieces(read.led).map(({ wireId }) => wireId),
    shelters: sheltersOf(read.led.wires, read.covers),
  }),
});
