import {
  type Of,
  choice,
  idOf,
  itemRef,
  nullable,
  object,
  quantityOrNone,
  record,
  rule,
  text,
} from '../../model/spec.ts';

export const otherLineUses = [
  'vent',
  'vapour-return',
  'vacuum-reference',
  'breather',
  'oil-cooler',
  'oil-suction',
  'turbo-oil-feed',
  'turbo-oil-drain',
  'coolant',
  'gearbox-cooler',
  'brake-vacuum',
  'power-steering-pressure',
  'power-steering-return',
  'boost-control',
  'air-conditioning',
  'throttle-cable',
  'battery-cable',
] as const;
/** What another line than fuel is for. */
export type OtherLineUse = (typeof otherLineUses)[number];

/** A line that the fuel network does not know: routed, checked and cut the same way. */
export const otherLineSpec = object(
  {
    name: text({ label: 'Name', min: 1, max: 80 }),
    use: choice(otherLineUses, { label: 'For' }),
    fromPlacementId: idOf('placements', 'place', { label: 'From' }),
    toPlacementId: idOf('placements', 'place', { label: 'To' }),
    item: nullable(itemRef('hose', { label: 'Hose' })),
    diameter: quantityOrNone('length', 'mm', {
      label: 'Outside diameter',
      help: 'where no hose is chosen',
      min: 0,
      above: true,
      max: 0.2,
      message: 'an outside diameter must be above 0 and up to 200 mm',
    }),
    flow: quantityOrNone('volumeFlow', 'L/min', {
      label: 'Flow, if known',
      min: 0,
      max: 0.01,
      message: 'a flow must be from 0 to 600 L/min',
    }),
  },
  {
    rules: [
      rule<{ readonly item: unknown; readonly diameter: unknown }>(
        'diameter',
        'choose a hose, or say how thick the line is',
        ({ item, diameter }) => item !== null || diameter !== null,
      ),
    ],
  },
);
export const otherLinesSpec = record(otherLineSpec, { max: 200, initial: {} });
export type StoredOtherLine = Of<typeof otherLineSpec>;
