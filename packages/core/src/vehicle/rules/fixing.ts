import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { VehicleChecked, VehicleRule } from '../checked.ts';
import type { ComponentCheck } from '../components/index.ts';
import { type HeldComponent, REACH, boltData, carriersNear, usualFixing } from '../fixing/index.ts';
import { atComponent } from './componentSite.ts';

/** Every part that is not held yet and could be, fastened to what is nearest, as one edit. */
function fastenAll(checked: VehicleChecked): Cure<BuildCommand>[] {
  const changes = checked.map.components.flatMap(({ component }) => {
    const carrier = component.placement.fixing
      ? undefined
      : carriersNear(component, checked.vehicle)[0];
    return carrier
      ? [
          {
            path: ['placements', component.placement.id, 'fixing'],
            value: usualFixing(component.item, carrier),
          },
        ]
      : [];
  });
  return changes.length > 1
    ? [
        {
          text: `Fasten all ${changes.length} parts to what is nearest`,
          command: { name: 'set-several', label: 'Fasten the parts', changes },
        },
      ]
    : [];
}

/** A part that something near it could carry, and nothing does. */
export const fixingNone: VehicleRule = {
  id: 'fixing.none',
  source: 'every part on the vehicle is fastened to something',
  check: (checked) =>
    checked.map.components.flatMap((check): BuildFinding[] => {
      const { component } = check;
      if (component.placement.fixing) return [];
      const carrier = carriersNear(component, checked.vehicle)[0];
      if (!carrier) return [];
      return [
        {
          id: `fixing.none:${component.id}`,
          rule: 'fixing.none',
          severity: 'note',
          where: atComponent(check),
          title: 'Part is not fastened yet',
          because: `${component.name}: {reach} from ${carrier.name.toLowerCase()}, which can hold it`,
          numbers: { reach: { value: carrier.reach, kind: 'length' } },
          cures: () => [
            {
              text: `Fasten it to ${carrier.name.toLowerCase()}`,
              command: {
                name: 'set',
                path: ['placements', component.placement.id, 'fixing'],
                value: usualFixing(component.item, carrier),
              },
            },
            ...fastenAll(checked),
          ],
        },
      ];
    }),
};

const siteOf = (checked: VehicleChecked, held: HeldComponent): ComponentCheck | undefined =>
  checked.map.components.find(({ component }) => component.id === held.component.id);

/** What is wrong with what carries a part, in words; undefined where nothing is. */
function wrongWith({ carrier, component }: HeldComponent): string | undefined {
  if (!carrier) return 'what it was fastened to is gone';
  const name = carrier.name.toLowerCase();
  if (!carrier.carriesMounts) return `nothing may be fastened to ${name}`;
  if (carrier.movesWithEngine !== component.placement.movesWithEngine) {
    return carrier.movesWithEngine
      ? `${name} moves with the engine and the part does not`
      : `the part moves with the engine and ${name} does not`;
  }
  return carrier.reach > REACH ? `${name} is {reach} away; a bracket reaches {limit}` : undefined;
}

/** A part held by what cannot carry it. */
export const fixingCarrier: VehicleRule = {
  id: 'fixing.carrier',
  source: 'a part is fastened to something that may hold it, within reach of a bracket',
  check: (checked) =>
    checked.map.held.flatMap((held): BuildFinding[] => {
      const wrong = wrongWith(held);
      const site = siteOf(checked, held);
      if (wrong === undefined || !site) return [];
      const { component } = held;
      const others = carriersNear(component, checked.vehicle);
      return [
        {
          id: `fixing.carrier:${component.id}`,
          rule: 'fixing.carrier',
          severity: 'warn',
          where: atComponent(site),
          title: 'Part is fastened to something that cannot hold it',
          because: `${component.name}: ${wrong}`,
          numbers: {
            reach: { value: held.carrier?.reach ?? 0, kind: 'length' },
            limit: { value: REACH, kind: 'length' },
          },
          cures: () => [
            ...others.slice(0, 2).map((carrier): Cure<BuildCommand> => ({
              text: `Fasten it to ${carrier.name.toLowerCase()}`,
              command: {
                name: 'set',
                path: ['placements', component.placement.id, 'fixing', 'onto'],
                value: carrier.onto,
              },
            })),
            { text: 'Move it beside something that can hold it' },
          ],
        },
      ];
    }),
};

/** Holes have so much play, m. */
const PLAY = 2e-3;

/** A part that was moved after the holes of its fixing were drilled. */
export const fixingMoved: VehicleRule = {
  id: 'fixing.moved',
  source: 'a drilled bracket holds its part where it was drilled for',
  check: (checked) =>
    checked.map.components.flatMap((site): BuildFinding[] => {
      const { component } = site;
      const { id, fixing, ...place } = component.placement;
      const drilled = fixing?.drilled;
      if (!drilled) return [];
      const axes = ['x', 'y', 'z'] as const;
      const off = Math.hypot(...axes.map((axis) => place[axis].value - drilled[axis].value));
      if (off <= PLAY) return [];
      return [
        {
          id: `fixing.moved:${component.id}`,
          rule: 'fixing.moved',
          severity: 'warn',
          where: atComponent(site),
          title: 'Part is not where its holes are drilled',
          because: `${component.name}: it is {off} from where its fixing was drilled`,
          numbers: { off: { value: off, kind: 'length' } },
          measured: { value: off, kind: 'length' },
          limit: { value: PLAY, kind: 'length' },
          worse: 'higher',
          cures: () => [
            {
              text: 'Move it back to its holes',
              command: {
                name: 'set-several',
                label: `${component.name} moved back to its holes`,
                changes: axes.map((axis) => ({
                  path: ['placements', id, axis],
                  value: drilled[axis],
                })),
              },
            },
            {
              text: 'Drill new holes, or make a new bracket',
              command: {
                name: 'set',
                path: ['placements', id, 'fixing', 'drilled'],
                value: null,
              },
            },
          ],
        },
      ];
    }),
};

/** Bolts need so many threads of room between their middles. */
const ROOM = 3;

/** Bolts that stand too close, or are not made long enough. */
export const fixingBolts: VehicleRule = {
  id: 'fixing.bolts',
  source: 'bolts are at least three diameters apart and of a length that is made (ISO 4017)',
  check: (checked) =>
    checked.map.held.flatMap((held): BuildFinding[] => {
      const site = siteOf(checked, held);
      const { component, wanted, made } = held;
      const pitch = made.ok ? made.design.plate?.pitch : undefined;
      const needed = ROOM * boltData[wanted.bolt].thread;
      const close = pitch !== undefined && pitch < needed;
      if (!site || (made.ok && !close)) return [];
      const path = ['placements', component.placement.id, 'fixing'];
      const cures: Cure<BuildCommand>[] = close
        ? [{ text: 'Use two bolts', command: { name: 'set', path: [...path, 'bolts'], value: 2 } }]
        : [
            {
              text: 'Remove the spacers',
              command: {
                name: 'set',
                path: [...path, 'standoff'],
                value: { value: 0, unit: 'mm' },
              },
            },
          ];
      return [
        {
          id: `fixing.bolts:${component.id}`,
          rule: 'fixing.bolts',
          severity: 'warn',
          where: atComponent(site),
          title: close ? 'Bolts are too close together' : 'Bolts of that length are not made',
          because: made.ok
            ? `${component.name}: ${wanted.bolts} bolts on its plate are {pitch} apart; ${wanted.bolt} needs {needed}`
            : `${component.name}: ${made.reason}`,
          numbers: {
            pitch: { value: pitch ?? 0, kind: 'length' },
            needed: { value: needed, kind: 'length' },
          },
          cures: () => cures,
        },
      ];
    }),
};

export const fixingRules: readonly VehicleRule[] = [
  fixingNone,
  fixingCarrier,
  fixingMoved,
  fixingBolts,
];
