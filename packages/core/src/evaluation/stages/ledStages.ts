import { buildNetlist } from '../../electrics/index.ts';
import { harnessLengthsOf, ledHarness, sheltersOf, splicedPieces } from '../../harness/index.ts';
import { stage } from '../runner/source.ts';
import { slices } from '../slices.ts';

/** What is joined to what: places, lengths and limits leave it as it is. */
export const netlist = stage({
  name: 'netlist',
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

/** Where the harness runs, and every wire in it. */
export const led = stage({
  name: 'ways in the harness',
  reads: {
    netlist,
    harness: slices.harness,
    placements: slices.places,
    hardPoints: slices.hardPoints,
  },
  run: (read) => ledHarness(read),
});

/** Lengths that the harness gives, without the names of its segments. */
export const ledLengths = stage({
  name: 'lengths in the harness',
  reads: { led },
  run: (read) => harnessLengthsOf(read.led),
});

/** What the harness says of its wires beside their lengths. */
export const inHarness = stage({
  name: 'wires in the harness',
  reads: { led, covers: slices.covers },
  run: (read) => ({
    spliced: splicedPieces(read.led).map(({ wireId }) => wireId),
    shelters: sheltersOf(read.led.wires, read.covers),
  }),
});
