import { circuitScope, geometryStage } from '../../fuel/index.ts';
import { placedComponents, routeStage, routedLengthsOf } from '../../vehicle/index.ts';
import { stage } from '../runner/source.ts';
import { slices } from '../slices.ts';

/** Parts that take room, and their ports. */
export const components = stage({
  name: 'components',
  reads: {
    placements: slices.places,
    circuits: slices.circuits,
    power: slices.mountedPower,
    catalogue: slices.catalogue,
  },
  run: (read) => placedComponents(read),
});

/** Ways of lines over the vehicle, what is near them, and their figures. */
export const map = stage({
  name: 'map',
  reads: {
    routes: slices.routes,
    vehicle: slices.vehicle,
    names: slices.namedThings,
    placements: slices.places,
    placed: components,
    catalogue: slices.catalogue,
  },
  run: ({ names, vehicle, ...read }) =>
    routeStage({ ...read, ...vehicle, circuits: names.fuelCircuits }),
});

/** What lines and the harness keep away from: no way of a line changes it, but a cable's. */
export const around = stage({
  name: 'what is around',
  reads: { map },
  run: (read) => read.map.around,
});

/** Lengths that the map gives, with the names left out: what a line is called moves none. */
export const routedLengths = stage({
  name: 'lengths on the map',
  reads: { map },
  run: (read) => routedLengthsOf(read.map),
});

/** Heights of joints and lengths of lines. */
export const geometry = stage({
  name: 'geometry',
  reads: { circuits: slices.circuits, places: slices.places, routed: routedLengths },
  run: ({ circuits, places, routed }) =>
    circuits.map((circuit, i) => {
      const { heights, lengths, bendLosses, lengthSources } = geometryStage({
        circuit,
        scope: circuitScope(i, circuit.id),
        placements: places,
        routed,
      });
      return { heights, lengths, bendLosses, lengthSources, results: [] };
    }),
});
