import { quantity } from '../../quantities/index.ts';
import { type Plain, eachEntry, plain } from './plain.ts';

const mm = (value: number) => quantity(value, 'length', 'mm');

/** A vehicle of usual size by what the build is used for: nobody said more before. */
function usualVehicle(use: unknown): Plain {
  if (use === 'two-or-three-wheeler') {
    return {
      kind: 'three-wheeler',
      wheelbase: mm(1980),
      frontOverhang: mm(400),
      rearOverhang: mm(370),
      width: mm(1420),
      height: mm(1250),
      track: mm(1200),
      tyre: mm(600),
      clearance: mm(180),
    };
  }
  return {
    kind: 'car',
    wheelbase: mm(2600),
    frontOverhang: mm(850),
    rearOverhang: mm(900),
    width: mm(1750),
    height: mm(1450),
    track: mm(1480),
    tyre: mm(620),
    clearance: mm(140),
  };
}

/** 6: the vehicle around the lines, other lines than fuel, and routes that say what they lead. */
export function vehicleSlices(document: Plain): Plain {
  return {
    ...document,
    version: 6,
    vehicle: { ...usualVehicle(plain(document['brief'])['use']), outline: {} },
    placements: eachEntry(document['placements'], (place) => ({
      ...place,
      movesWithEngine: false,
    })),
    sheets: {},
    solids: {},
    movingZones: {},
    edges: {},
    mountingLines: {},
    spaces: {},
    hardPoints: {},
    otherLines: {},
    tanks: {},
    routes: eachEntry(document['routes'], ({ circuitId, elementId, ...route }) => ({
      ...route,
      of: { kind: 'line', circuitId, elementId },
      flexible: false,
    })),
  };
}
