import { documentSpec } from './document.ts';
import type { Path } from './path.ts';
import { jointInWords } from './jointInWords.ts';
import { specAt } from './specAt.ts';

/** Field names that read better in other words. */
const fieldWords: Record<string, string> = {
  item: 'part',
  airShare: 'share of air',
  shotsPerCycle: 'shots per cycle',
  fuelCircuits: 'fuel circuits',
  injectorRows: 'injector rows',
  aspiration: 'induction',
  ambientHot: 'hot day',
  ambientCold: 'coldest day',
  idleSpeed: 'idle',
  limiterSpeed: 'limiter',
  fuelTemperatureHot: 'hottest fuel',
  from: 'begins',
  to: 'ends',
  placementId: 'place',
  ecuPlacementId: 'place of the ECU',
  chargeTemperature: 'charge air',
  coolerEffectiveness: 'charge cooler',
};

const spaced = (key: string): string =>
  fieldWords[key] ??
  key.replace(/Id$/, '').replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);

/** Parts of the document that say nothing to a person where they stand first. */
const silentFirst = new Set(['brief', 'limits', 'power']);

/** Fields that say nothing wherever they stand. */
const silent = new Set([
  'fuelCircuits',
  'elements',
  'nodes',
  'injectorRows',
  'placements',
  'fuels',
  'devices',
  'options',
  'length',
  'value',
  'typed',
  'measured',
]);

/**
 * A path of a document in plain words, with the names of the things on the way: the item of
 * element "feed" reads "Feed line, part".
 */
export function placeInWords(document: unknown, path: Path): string {
  const words: string[] = [];
  let value: unknown = document;
  /** the circuit whose joints are on the way */
  let circuit: unknown;
  path.forEach((key, depth) => {
    const entry = specAt(documentSpec, path.slice(0, depth), document)?.type === 'record';
    if (key === 'nodes') circuit = value;
    value = (value as Record<string, unknown> | null | undefined)?.[key];
    if (entry) {
      const { name, title } = (value ?? {}) as { name?: unknown; title?: unknown };
      const called = typeof name === 'string' ? name : title;
      // The circuit is left out where its element is named.
      const throughCircuit = path[0] === 'fuelCircuits' && depth === 1 && path.length > 3;
      if (typeof called === 'string' && !throughCircuit) words.push(called);
      else if (path[depth - 1] === 'nodes') {
        const joint = jointInWords(circuit, key);
        if (joint !== undefined) words.push(`joint ${joint}`);
      }
    } else if (!silent.has(key) && !(depth === 0 && silentFirst.has(key))) {
      words.push(spaced(key));
    }
  });
  return words.join(', ');
}
