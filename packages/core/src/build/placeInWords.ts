import type { BuildDocument } from './document.ts';

/** Field names that read better in other words. */
const fieldWords: Record<string, string> = {
  item: 'part',
  airShare: 'share of air',
  shotsPerCycle: 'shots per cycle',
  fuelCircuits: 'fuel circuits',
  injectorRows: 'injector rows',
};

const spaced = (key: string): string =>
  fieldWords[key] ?? key.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);

/** Parts of the document that say nothing to a person where they stand first. */
const silentFirst = new Set(['brief', 'limits', 'power']);

/** Fields that say nothing wherever they stand. */
const silent = new Set([
  'fuelCircuits',
  'elements',
  'injectorRows',
  'placements',
  'fuels',
  'pumpFeeds',
  'options',
  'length',
  'value',
  'typed',
  'measured',
]);

/**
 * A path of a document in plain words, with the names of the things on the way:
 * `fuelCircuits.0.elements.4.item` reads "Feed line, part".
 */
export function placeInWords(document: BuildDocument, path: string): string {
  const words: string[] = [];
  let value: unknown = document;
  for (const [depth, key] of path.split('.').entries()) {
    value = (value as Record<string, unknown> | null | undefined)?.[key];
    if (/^\d+$/.test(key)) {
      const { name, title } = (value ?? {}) as { name?: unknown; title?: unknown };
      const called = typeof name === 'string' ? name : title;
      if (typeof called === 'string') words.push(called);
    } else if (!silent.has(key) && !(depth === 0 && silentFirst.has(key))) {
      words.push(spaced(key));
    }
  }
  // The circuit is left out where its element is named.
  const named = words.filter(
    (word, i) => i > 0 || words.length < 3 || word !== circuitName(document, path),
  );
  return named.join(', ');
}

function circuitName(document: BuildDocument, path: string): string | undefined {
  const match = /^fuelCircuits\.(\d+)\./.exec(path);
  return match ? document.fuelCircuits[Number(match[1])]?.name : undefined;
}
