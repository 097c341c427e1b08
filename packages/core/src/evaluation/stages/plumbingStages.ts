import { coverParts, wirePieces } from '../../harness/index.ts';
import { memo } from '../../numerics/index.ts';
import { buyingFigures, partsNeeded, plumbingStage } from '../../plumbing/index.ts';
import { stage } from '../runner/source.ts';
import { slices } from '../slices.ts';
import { components, map } from './vehicleStages.ts';
import { electrics } from './electricStages.ts';
import { harness } from './harnessStages.ts';
import { routedHarness } from './routedHarnessStages.ts';
import { fluids } from './fluidStages.ts';

export const madeLines = stage({
  name: 'madeLines',
  gives: 'every line as it is made',
  reads: {
    assemblies: slices.assemblies,
    names: slices.namedThings,
    otherLines: slices.otherLines,
    routes: slices.routes,
    fluids,
    map,
    placed: components,
    catalogue: slices.catalogue,
  },
  run: ({ names, placed, ...read }) =>
    plumbingStage({ ...read, circuits: names.fuelCircuits, ports: placed.ports }),
});

/** The wires as pieces that are bought, as before while none is another. */
const piecesOfWire = memo((...read: Parameters<typeof wirePieces>) =>
  wirePieces(...read).map(({ sized: { wire }, item, colour, length, is }) => ({
    id: is === 'a piece put in' ? `${wire.id} put in` : wire.id,
    name: wire.name,
    item,
    colour,
    length,
    path: ['power'],
  })),
);

export const parts = stage({
  name: 'parts',
  gives: 'everything the build is made of, by part',
  reads: {
    names: slices.namedThings,
    fluids,
    electrics,
    electric: slices.electric,
    power: slices.power,
    map,
    made: madeLines,
    harness,
    led: routedHarness,
    vehicle: slices.vehicle,
    catalogue: slices.catalogue,
  },
  run: ({ names, map: onMap, vehicle, electric, harness: laid, led: ways, ...given }) => {
    return partsNeeded({
      ...given,
      wires: piecesOfWire(given.electrics.wires, ways, laid.colours),
      present: electric,
      sheets: vehicle.sheets,
      circuits: names.fuelCircuits,
      rows: names.injectorRows,
      held: onMap.held,
      harness: [...coverParts(laid.bundles), ...laid.ends.parts],
      missingOfHarness: laid.ends.missing,
    });
  },
});

export const buying = stage({
  name: 'buying',
  gives: 'figures of what is bought',
  reads: { parts, offcuts: slices.offcuts },
  run: (read) => buyingFigures(read.parts.parts, read.offcuts),
});
