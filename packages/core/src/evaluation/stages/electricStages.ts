import {
  electricStage,
  panelStage,
  supplyStage,
  sneakStage,
  switchedInCases as inEveryCase,
  switchingStage,
} from '../../electrics/index.ts';
import { stage } from '../runner/source.ts';
import { slices } from '../slices.ts';
import { wiresInHarness, harnessLengths, netlist } from './routedHarnessStages.ts';

export const switchedInCases = stage({
  name: 'switchedInCases',
  gives: 'what a person said about when things are on, in every case',
  reads: { switching: slices.switching },
  run: ({ switching }) => inEveryCase(switching),
});

export const electrics = stage({
  name: 'electrics',
  gives: 'fuses and wires of the vehicle, and its circuit in every case',
  reads: {
    netlist,
    ledLengths: harnessLengths,
    inHarness: wiresInHarness,
    power: slices.power,
    switched: switchedInCases,
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

export const supplyBudget = stage({
  name: 'supplyBudget',
  gives: 'loads against alternator and battery',
  reads: {
    electrics,
    power: slices.mountedPower,
    limits: slices.supplyLimits,
    catalogue: slices.catalogue,
  },
  run: supplyStage,
});

export const switching = stage({
  name: 'switching',
  gives: 'when everything that is switched is on',
  reads: { netlist, switching: slices.switching, limits: slices.thermostat },
  run: switchingStage,
});

export const sneaks = stage({
  name: 'sneaks',
  gives: 'what is alive that should not be',
  reads: { netlist, switching, vehicleSignals: slices.vehicleSignals },
  run: sneakStage,
});

export const fusesAndSizes = stage({
  name: 'fusesAndSizes',
  gives: 'fuses and wire sizes: what of the wiring a panel is drilled for',
  reads: { electrics },
  run: ({ electrics: { netlist: drawn, fuses, wires } }) => ({
    netlist: drawn,
    fuses,
    wires: wires.map(({ wire, size }) => ({ wire, size })),
  }),
});

export const panel = stage({
  name: 'panel',
  gives: 'the panel of relays and fuses',
  reads: { electrics: fusesAndSizes, decided: slices.panels, catalogue: slices.catalogue },
  run: ({ decided, ...read }) => panelStage({ ...read, ...decided }),
});

export const feeds = stage({
  name: 'feeds',
  gives: 'the feeds of the pumps',
  reads: { electrics },
  run: (read) => read.electrics.feeds,
});

export const pumpSupply = stage({
  name: 'pumpSupply',
  gives: 'what of the wiring the fluid is solved with',
  reads: { feeds },
  run: (read) =>
    read.feeds.map(({ feed, seriesResistance, seriesFigure }) => ({
      feed,
      seriesResistance,
      seriesFigure,
    })),
});
