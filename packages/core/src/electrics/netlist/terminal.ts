/** An electrical point at which a wire ends, by what it belongs to. */
export type Terminal =
  | { readonly of: 'battery'; readonly pole: '+' | '−' }
  | { readonly of: 'main-fuse' }
  | { readonly of: 'stud' }
  | { readonly of: 'keyed-feed' }
  | { readonly of: 'ecu'; readonly pin: string }
  | { readonly of: 'part'; readonly name: string; readonly pin: string };

/**
 * How a wire is held at a terminal: the contact of a plug, a contact whose resistance belongs to
 * the fuse or relay it sits in, a bolted lug, or a splice.
 */
export type Joint = 'plug' | 'holder' | 'lug' | 'splice';

/** A terminal as lists and wire ids write it: "Fuel pump relay 30". */
export function terminalText(terminal: Terminal): string {
  switch (terminal.of) {
    case 'battery':
      return `battery ${terminal.pole}`;
    case 'main-fuse':
      return 'main fuse';
    case 'stud':
      return 'power stud';
    case 'keyed-feed':
      return 'keyed feed';
    case 'ecu':
      return `ECU ${terminal.pin}`;
    case 'part':
      return terminal.pin === '' ? terminal.name : `${terminal.name} ${terminal.pin}`;
  }
}
