import { type MapThingSlice, mapSlices } from '@brookrain/core';

/** What of the map is looked at: a line, a thing of one of its collections, the vehicle itself. */
export type Selection =
  | { readonly kind: 'line'; readonly id: string }
  | { readonly kind: 'thing'; readonly slice: MapThingSlice; readonly id: string }
  | { readonly kind: 'vehicle' };

/** A selection as it stands in the address. */
export function selectionText(selection: Selection): string {
  switch (selection.kind) {
    case 'line':
      return selection.id;
    case 'thing':
      return `${selection.slice}:${selection.id}`;
    case 'vehicle':
      return 'vehicle:';
  }
}

/** The selection that an address names; whether it is there is for the screen to see. */
export function readSelection(text: string): Selection {
  if (text === 'vehicle:') return { kind: 'vehicle' };
  const [before = '', ...rest] = text.split(':');
  const slice = mapSlices.find((name) => name === before);
  return slice && rest.length > 0
    ? { kind: 'thing', slice, id: rest.join(':') }
    : { kind: 'line', id: text };
}

export const sameSelection = (a: Selection, b: Selection): boolean =>
  selectionText(a) === selectionText(b);
