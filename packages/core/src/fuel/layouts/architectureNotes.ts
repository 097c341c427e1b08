import type { Architecture } from '../../model/index.ts';

/** What is said of an architecture before it is chosen. */
export interface ArchitectureNote {
  readonly name: string;
  readonly chosenWhen: string;
  readonly givesUp: string;
}

/** When practitioners choose each architecture, and what it gives up. */
export const architectureNotes: Readonly<Record<Architecture, ArchitectureNote>> = {
  'return-after-rail': {
    name: 'Return, regulator after the rail',
    chosenWhen:
      'The usual choice for a boosted engine: the rail is flushed by cool fuel, pressure follows the manifold, any pump fits.',
    givesUp: 'A second line all the way back, and heat from the engine carried into the tank.',
  },
  'return-before-rail': {
    name: 'Return, regulator before the rail',
    chosenWhen:
      'When the rails have only one port, or the regulator fits better on the bulkhead: a T, short branches, dead-headed rails.',
    givesUp: 'Rails are not flushed: vapour and hot fuel stay in them after a stop.',
  },
  'return-at-tank': {
    name: 'Return at the tank',
    chosenWhen:
      'A kept in-tank pump and an engine without boost: filter and fixed regulator near the tank, one line forward.',
    givesUp: 'No boost reference: Δp falls with boost and rises with vacuum.',
  },
  returnless: {
    name: 'Returnless, speed-controlled pump',
    chosenWhen:
      'Long cruising, quiet and cool fuel: a sensor on the rail and a controller keep the pressure, nothing returns.',
    givesUp:
      'A controller with a full-size feed, a sensor that must be trusted, slower answer to a sudden throttle.',
  },
  'surge-tank': {
    name: 'Surge tank with lift pump',
    chosenWhen:
      'A tank without baffles, a small outlet or hard cornering: the main pump always has solid fuel.',
    givesUp: 'A second pump, more joints and weight, and a vessel of hot fuel to place safely.',
  },
  'twin-pumps': {
    name: 'Twin pumps to a Y-block',
    chosenWhen:
      'More flow than one pump gives, or a spare: with one lost the other brings it home.',
    givesUp: 'Twice the current and wiring, heat at cruise, and a failure that nobody notices.',
  },
  'throttle-body': {
    name: 'Throttle-body unit with return',
    chosenWhen:
      'The simplest way from a carburettor: one or two injectors, low pressure, its own regulator.',
    givesUp: 'Fuel is shared out by the manifold: unequal mixtures, wet walls, no timing per port.',
  },
};
