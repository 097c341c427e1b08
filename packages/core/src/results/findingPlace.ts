/** What a finding concerns, under the stage of the work where it is dealt with. */
export type FindingPlace =
  | { readonly stage: 'brief' }
  | { readonly stage: 'demand'; readonly fuel?: string }
  | { readonly stage: 'injectors'; readonly row?: string }
  | { readonly stage: 'map'; readonly circuit?: string; readonly line: string }
  | { readonly stage: 'map'; readonly slice: MapSlice; readonly thing: string }
  | { readonly stage: 'lines'; readonly circuit?: string; readonly line: string }
  | { readonly stage: 'circuit' | 'pump'; readonly circuit: string; readonly element: string }
  | ({ readonly stage: 'wiring' } & WiringPlace)
  | { readonly stage: 'wires'; readonly wire: string }
  | { readonly stage: 'devices'; readonly device: string }
  | { readonly stage: 'devices'; readonly signal: string }
  | { readonly stage: 'pins'; readonly controller: string; readonly signal?: string }
  | { readonly stage: 'harness'; readonly segment?: string }
  | { readonly stage: 'looms'; readonly loom: string }
  | { readonly stage: 'kept-connectors'; readonly plug: string }
  | { readonly stage: 'supply' | 'panel' }
  | { readonly stage: 'switching'; readonly switch?: string };

/** Collections of the vehicle in which a finding's thing may stand. */
export type MapSlice = 'placements' | 'hardPoints' | 'sheets' | 'solids' | 'otherLines';

type WiringPlace =
  | { readonly wire: string }
  | { readonly pump: string }
  | { readonly feed: string; readonly part: 'fuse' | 'relay' }
  | { readonly part: 'main-fuse' };

const wiringThing = (place: WiringPlace): string => {
  if ('wire' in place) return place.wire;
  if ('pump' in place) return place.pump;
  return 'feed' in place ? `${place.feed}/${place.part}` : place.part;
};

/** A place in one word, for files: `circuit:main/feed`. */
export function placeText(place: FindingPlace): string {
  switch (place.stage) {
    case 'brief':
    case 'supply':
    case 'panel':
      return place.stage;
    case 'harness':
      return place.segment === undefined ? 'harness' : `harness:${place.segment}`;
    case 'looms':
      return `looms:${place.loom}`;
    case 'kept-connectors':
      return `kept-connectors:${place.plug}`;
    case 'switching':
      return place.switch === undefined ? 'switching' : `switching:${place.switch}`;
    case 'demand':
      return place.fuel === undefined ? 'demand' : `demand:${place.fuel}`;
    case 'injectors':
      return place.row === undefined ? 'injectors' : `injectors:${place.row}`;
    case 'map':
      if ('thing' in place) return `map:${place.slice}/${place.thing}`;
      return place.circuit === undefined
        ? `map:${place.line}`
        : `map:${place.circuit}/${place.line}`;
    case 'lines':
      return place.circuit === undefined
        ? `lines:${place.line}`
        : `lines:${place.circuit}/${place.line}`;
    case 'circuit':
    case 'pump':
      return `circuit:${place.circuit}/${place.element}`;
    case 'wiring':
      return `wiring:${wiringThing(place)}`;
    case 'wires':
      return `wires:${place.wire}`;
    case 'devices':
      return `devices:${'device' in place ? place.device : place.signal}`;
    case 'pins':
      return place.signal === undefined
        ? `pins:${place.controller}`
        : `pins:${place.controller}/${place.signal}`;
  }
}

/** The circuit that a finding concerns, if it is one. */
export const circuitOf = (place: FindingPlace): string | undefined =>
  'circuit' in place ? place.circuit : undefined;

/** The element that a finding concerns, if it is one. */
export const elementOf = (place: FindingPlace): string | undefined =>
  place.stage === 'circuit' || place.stage === 'pump' ? place.element : undefined;
