/** Numbers of a relay's terminals (ISO 7588). */
export type RelayPin = '30' | '85' | '86' | '87';

/** An electrical point at which a wire ends, by what it belongs to. */
export type Terminal =
  | { readonly of: 'battery'; readonly pole: '+' | '−' }
  | { readonly of: 'main-fuse' }
  | { readonly of: 'stud' }
  | { readonly of: 'fuse'; readonly feedId: string }
  | { readonly of: 'relay'; readonly feedId: string; readonly pin: RelayPin }
  | { readonly of: 'pump'; readonly elementId: string; readonly pole: '+' | '−' }
  | { readonly of: 'pump-ground'; readonly feedId: string }
  | { readonly of: 'panel-ground' }
  | { readonly of: 'keyed-feed' }
  | { readonly of: 'inertia-switch' }
  | { readonly of: 'ecu'; readonly pin: string }
  | { readonly of: 'part'; readonly name: string; readonly pin: string };

/**
 * How a wire is held at a terminal: the contact of a plug, a contact whose resistance belongs to
 * the fuse or relay it sits in, a bolted lug, or a splice.
 */
export type Joint = 'plug' | 'holder' | 'lug' | 'splice';

/** A terminal as lists and wire ids write it: "pump-feed relay 30". */
export function terminalText(terminal: Terminal): string {
  switch (terminal.of) {
    case 'battery':
      return `battery ${terminal.pole}`;
    case 'main-fuse':
      return 'main fuse';
    case 'stud':
      return 'power stud';
    case 'fuse':
      return `${terminal.feedId} fuse`;
    case 'relay':
      return `${terminal.feedId} relay ${terminal.pin}`;
    case 'pump':
      return `${terminal.elementId} ${terminal.pole}`;
    case 'pump-ground':
      return `${terminal.feedId} ground`;
    case 'panel-ground':
      return 'panel ground';
    case 'keyed-feed':
      return 'keyed feed';
    case 'inertia-switch':
      return 'inertia switch';
    case 'ecu':
      return `ECU ${terminal.pin}`;
    case 'part':
      return terminal.pin === '' ? terminal.name : `${terminal.name} ${terminal.pin}`;
  }
}
