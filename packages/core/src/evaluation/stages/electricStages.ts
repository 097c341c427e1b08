import {
  electricStage,
  panelStage,
  supplyStage,
  sneakStage,
  switchedInCases,
  switchingStage,
} from '../../electrics/index.ts';
import { stage } from '../runner/source.ts';
import { slices } from '../slices.ts';
import { inHarness, ledLengths, netlist } from './ledStages.ts';

/** What somebody said of when things are on, in every case. */
export const switched = stage({
  name: 'switched in every case',
  reads: { switching: slices.switching },
  run: ({ switching }) => switchedInCases(switching),
});

/** The fuses and wires of the vehicle, its circuit in every case. */
export const electrics = stage({
  name: 'electrics',
  reads: {
    netlist,
    ledLengths,
    inHarness,
    power: slices.power,
    switched,
    electric: slices.electric,
    limits: slices.wiringLimits,
    brief: slices.hotDay,
    placements: slices.places,
    fuelCircuits: slices.wiredCircuits,
    injectorRows: slices.wiredRows,
    catalogue: slices.catalogue,
  },
  run: ({ catalogue, electric, netlist: drawn, ledLengths: led, inHarness: told, ...document }) =>
    electricStage({
      document: { ...document, ...electric },
      catalogue,
      netlist: drawn,
      led,
      inHarness: told,
    }),
});

/** Loads against alternator and battery. */
export const budget = stage({
  name: 'supply budget',
  reads: {
    electrics,
    power: slices.mountedPower,
    limits: slices.supplyLimits,
    catalogue: slices.catalogue,
  },
  run: supplyStage,
});

/** When everything that is switched is on. */
export const switching = stage({
  name: 'switching',
  reads: { netlist, switching: slices.switching, limits: slices.thermostat },
  run: switchingStage,
});

/** What is alive that should not be. */
export const sneaks = stage({
  name: 'sneak paths',
  reads: { netlist, switching, vehicleSignals: slices.vehicleSignals },
  run: sneakStage,
});

/** The fuses, and wires with their sizes: what of the wiring a plate is drilled for. */
export const onPlate = stage({
  name: 'fuses and sizes',
  reads: { electrics },
  run: ({ electrics: { netlist: drawn, fuses, wires } }) => ({
    netlist: drawn,
    fuses,
    wires: wires.map(({ wire, size }) => ({ wire, size })),
  }),
});

/** The plate of relays and fuses. */
export const panel = stage({
  name: 'panel',
  reads: { electrics: onPlate, decided: slices.panels, catalogue: slices.catalogue },
  run: ({ decided, ...read }) => panelStage({ ...read, ...decided }),
});

/** The feeds of the pumps. */
export const feeds = stage({
  name: 'pump feeds',
  reads: { electrics },
  run: (read) => read.electrics.feeds,
});

/** What of the wiring the fluid is solved with. */
export const supply = stage({
  name: 'pump supply',
  reads: { feeds },
  run: (read) =>
    read.feeds.map(({ feed, seriesResistance, seriesFigure }) => ({
      feed,
      seriesResistance,
      seriesFigure,
    })),
});
