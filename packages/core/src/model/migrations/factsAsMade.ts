import { type Plain, eachEntry, plain } from './plain.ts';

/** The hose of the line that an assembly makes, in a document of version 8. */
function hoseOf(document: Plain, of: Plain): unknown {
  if (of['kind'] === 'other') {
    return plain(plain(document['otherLines'])[String(of['otherLineId'])])['item'];
  }
  const circuit = plain(plain(document['fuelCircuits'])[String(of['circuitId'])]);
  return plain(plain(circuit['elements'])[String(of['elementId'])])['item'];
}

/** 9: what a cut hose was made of, and where the holes of a fixing were drilled. */
export function factsAsMade(document: Plain): Plain {
  return {
    ...document,
    version: 9,
    assemblies: eachEntry(document['assemblies'], (assembly) =>
      assembly['asMade'] === null
        ? assembly
        : {
            ...assembly,
            asMade: {
              ...plain(assembly['asMade']),
              hose: hoseOf(document, plain(assembly['of'])) ?? null,
              from: plain(assembly['from'])['item'] ?? null,
              to: plain(assembly['to'])['item'] ?? null,
            },
          },
    ),
    placements: eachEntry(document['placements'], (place) =>
      place['fixing'] === null || place['fixing'] === undefined
        ? place
        : { ...place, fixing: { ...plain(place['fixing']), drilled: null } },
    ),
  };
}
