import { circuitScope, geometryStage } from '../../fuel/index.ts';
import { placedComponents, routeStage, routedLengthsOf } from '../../vehicle/index.ts';
import { stage } from '../runner/source.ts';
import { slices } from '../slices.ts';

export const components = stage({
  name: 'components',
  gives: 'parts that take room, and their ports',
  reads: {
    placements: slices.places,
    circuits: slices.circuits,
    power: slices.mountedPower,
    catalogue: slices.catalogue,
  },
  run: (read) => placedComponents(read),
});

export const map = stage({
  name: 'map',
  gives: 'routes of lines over the vehicle, what is near them, and their figures',
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

export const around = stage({
  name: 'around',
  gives: 'what lines and the harness keep clear of; of the routes only those of cables change it',
  reads: { map },
  run: (read) => read.map.around,
});

export const routedLengths = stage({
  name: 'routedLengths',
  gives: 'lengths that the map gives, without names',
  reads: { map },
  run: (read) => routedLengthsOf(read.map),
});

export const geometry = stage({
  name: 'geometry',
  gives: 'heights of joints and lengths of lines',
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
