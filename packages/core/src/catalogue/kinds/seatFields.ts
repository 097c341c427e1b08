import { type Fields, choice, figure } from '../../model/spec.ts';

/** Plugs of injectors, by their form. */
export const injectorPlugs = ['ridge', 'slot', 'round'] as const;
export type InjectorPlug = (typeof injectorPlugs)[number];

/** What holds an injector in its place: bores of its two seals, and how far apart they sit. */
export const seatFields = {
  topSeal: figure('length', 'mm', [0, 0.05], 'Upper seal, bore it fits (0: not known)'),
  bottomSeal: figure('length', 'mm', [0, 0.05], 'Lower seal, bore it fits'),
  reach: figure('length', 'mm', [0, 0.2], 'From seal to seal'),
  barrel: figure('length', 'mm', [0, 0.1], 'Thickest, with its plug'),
  plug: choice(injectorPlugs, { label: 'Plug' }),
} satisfies Fields;

/** What an injector is when nobody has said how it is seated. */
export const seatNotKnown = {
  topSeal: 0,
  bottomSeal: 0,
  reach: 0,
  barrel: 0,
  plug: 'ridge',
} as const;
