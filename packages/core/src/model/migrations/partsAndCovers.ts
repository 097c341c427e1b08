import { quantity } from '../../quantities/index.ts';
import { type Plain, eachEntry } from './plain.ts';

/** A heat sleeve of aluminised glass over the whole line, which is what a sleeve was before. */
const wholeSleeve = {
  kind: 'heat-sleeve',
  from: null,
  to: null,
  bears: quantity(550, 'temperature', '°C'),
};

/**
 * 7: parts that look somewhere and are held by something, covers over stretches of a line, placed
 * clamps, what a tank has in it, and how injectors are seated.
 */
export function partsAndCovers(document: Plain): Plain {
  return {
    ...document,
    version: 7,
    placements: eachEntry(document['placements'], (place) => ({
      ...place,
      heading: null,
      pitch: null,
      fixing: null,
    })),
    routes: eachEntry(document['routes'], ({ sleeve, ...route }) => ({
      ...route,
      covers: sleeve === true ? { sleeve: wholeSleeve } : {},
      clamps: {},
    })),
    tanks: eachEntry(document['tanks'], (tank) => ({
      ...tank,
      pickup: 'bottom-outlet',
      pickupHeight: quantity(10, 'length', 'mm'),
      sock: false,
      baffle: false,
      rollOver: false,
      sender: 'none',
      filler: 'cap',
      drain: false,
      bung: 'as-found',
    })),
    injectorRows: eachEntry(document['injectorRows'], (row) => ({ ...row, seating: null })),
  };
}
