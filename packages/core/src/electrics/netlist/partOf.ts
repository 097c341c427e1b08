import type { WireEnd } from './derivedWire.ts';
import { type NetPart, type NetPin, nodeOf } from './netlist.ts';

/** Conductor areas m² that the contacts of a blade's holder take. */
export const bladeRange = { areaMin: 0.3e-6, areaMax: 6e-6 } as const;
/** A lug takes any wire. */
export const anyLug = { areaMin: 0.3e-6, areaMax: 70e-6, joint: 'lug' } as const;
/** V at which data sheets give what a load takes. */
export const RATED = 13.5;
const NO_INRUSH = { factor: 1, time: 1e-3 } as const;

/** Conductor areas m² that the contacts of an item take. */
export const rangeOf = (item: { readonly wireAreaMin: number; readonly wireAreaMax: number }) => ({
  areaMin: item.wireAreaMin,
  areaMax: item.wireAreaMax,
});

type PartWords = Pick<NetPart, 'id' | 'name' | 'sort' | 'placementId' | 'pins'> & Partial<NetPart>;

/** A part of which nothing is known but what is said. */
export const partOf = (words: PartWords): NetPart => ({
  role: undefined,
  inside: [],
  outputs: [],
  inrush: NO_INRUSH,
  fuse: undefined,
  fuseStyle: undefined,
  loadedTogether: 1,
  bundledAt: [],
  ...words,
});

/** A pin with the part that it belongs to. */
export interface PinAt {
  readonly part: NetPart;
  readonly pin: NetPin;
}

/** The end of a wire at a pin. */
export const endAt = ({ part, pin }: PinAt): WireEnd => ({
  node: pin.node,
  terminal: pin.terminal,
  placementId: part.placementId,
  areaMin: pin.areaMin,
  areaMax: pin.areaMax,
  joint: pin.joint,
});

type PinWords = Pick<NetPin, 'pin' | 'areaMin' | 'areaMax' | 'joint'> & Partial<NetPin>;
/** A pin of a part, by the part's id and name. */
export const pinOf = (partId: string, partName: string, words: PinWords): NetPin => ({
  node: nodeOf(partId, words.pin),
  name: words.pin,
  use: 'through',
  terminal: { of: 'part', name: partName, pin: words.pin },
  asks: undefined,
  ...words,
});
