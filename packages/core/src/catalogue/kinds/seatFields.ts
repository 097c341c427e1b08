import { type Fields, choice, figure } from '../../model/spec.ts';

/** Plugs of injectors, by their form. */
export const injectorPlugs = ['ridge', 'slot', 'round'] as const;
export type InjectorPlug = (typeof injectorPlugs)[number];

/** 0 where nobody says. */
const length = (most: number, label: string) => ({
  ...figure('length', 'mm', [0, most], label),
  whenEmpty: 0,
});

/** What holds an injector in its place: bores of its two seals, and how far apart they sit. */
export const seatFields = {
  topSeal: length(0.05, 'Upper seal, bore it fits (empty: not known)'),
  bottomSeal: length(0.05, 'Lower seal, bore it fits'),
  reach: length(0.2, 'From seal to seal'),
  barrel: length(0.1, 'Thickest, with its plug'),
  plug: { ...choice(injectorPlugs, { label: 'Plug' }), whenEmpty: 'ridge' },
} satisfies Fields;
