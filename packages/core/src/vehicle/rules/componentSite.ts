import type { BuildFinding } from '../../model/index.ts';
import type { Severity } from '../../results/index.ts';
import type { VehicleChecked, VehicleRule } from '../checked.ts';
import {
  type ComponentCheck,
  type ComponentFault,
  type NearComponent,
  TOUCHING,
  offends,
} from '../components/index.ts';
import type { ObstacleKind } from '../obstacles/index.ts';
import type { SpaceUse } from '../slices/surroundings.ts';
import { otherSite } from './otherSite.ts';

/** Runs a check on every part that sits on the vehicle. */
const onComponents =
  (
    check: (checked: VehicleChecked, component: ComponentCheck) => BuildFinding[],
  ): VehicleRule['check'] =>
  (checked) =>
    checked.map.components.flatMap((component) => check(checked, component));

/** Where a finding on a part belongs. */
export const atComponent = ({ component }: ComponentCheck): BuildFinding['where'] => ({
  stage: 'map',
  slice: 'placements',
  thing: component.placement.id,
});

/** How a check of a part against one kind of thing speaks. */
interface NearRule {
  readonly id: string;
  readonly kind: ObstacleKind;
  readonly source: string;
  readonly severity: (near: NearComponent) => Severity;
  readonly title: string;
  readonly asks: string;
  readonly lastly: string;
}

/** A check that a part keeps its room from one kind of thing. */
const nearComponent = (rule: NearRule): VehicleRule => ({
  id: rule.id,
  source: rule.source,
  check: onComponents((checked, check) => {
    const near = check.near[rule.kind];
    if (!near || near.margin >= -TOUCHING) return [];
    return [
      {
        id: `${rule.id}:${check.component.id}`,
        rule: rule.id,
        severity: rule.severity(near),
        where: atComponent(check),
        title: rule.title,
        because:
          near.clearance < 0
            ? `${check.component.name}: {deep} inside ${near.name.toLowerCase()}; ${rule.asks}`
            : `${check.component.name}: {clearance} from ${near.name.toLowerCase()}; ${rule.asks}`,
        numbers: {
          clearance: { value: near.clearance, kind: 'length' },
          deep: { value: -near.clearance, kind: 'length' },
          needed: { value: near.needed, kind: 'length' },
        },
        measured: { value: near.clearance, kind: 'length' },
        limit: { value: near.needed, kind: 'length' },
        worse: 'lower',
        cures: () => [
          ...otherSite(checked, check, ({ kind }) => kind === rule.kind),
          { text: rule.lastly },
        ],
      },
    ];
  }),
});

/** A part too near to a hot pipe. */
export const componentHeat = nearComponent({
  id: 'component.heat',
  kind: 'hot',
  source: 'at least 100 mm from a bare exhaust, twice from a turbine, never touching',
  severity: ({ clearance }) => (clearance <= 0 ? 'stop' : 'warn'),
  title: 'Part is too close to a hot pipe',
  asks: 'it needs {needed}',
  lastly: 'Move it, or shield the pipe',
});

/** A part that is hit by what moves. */
export const componentMoving = nearComponent({
  id: 'component.moving',
  kind: 'moving',
  source:
    'parts clear tyres at full travel and lock; 25 mm from what moves in place, 50 mm from what travels or whips',
  severity: ({ clearance }) => (clearance <= 0 ? 'stop' : 'warn'),
  title: 'Part is in the way of a moving part',
  asks: 'over its full travel it needs {needed}',
  lastly: 'Move it: nothing may touch it over the full travel',
});

/** A part inside of something solid. */
export const componentSolid = nearComponent({
  id: 'component.solid',
  kind: 'solid',
  source: 'two things cannot be in one place',
  severity: () => 'stop',
  title: 'Part is inside a solid thing',
  asks: 'it has no room',
  lastly: 'Move it, or correct the box',
});

/** Two parts in one place. */
export const componentOther = nearComponent({
  id: 'component.component',
  kind: 'component',
  source: 'two things cannot be in one place',
  severity: () => 'stop',
  title: 'Two parts overlap',
  asks: 'they have no room',
  lastly: 'Move one of them',
});

/** A part through a sheet of metal. */
export const componentSheet: VehicleRule = {
  id: 'component.sheet',
  source: 'two things cannot be in one place',
  check: onComponents((checked, check) => {
    const { sheet, component } = check;
    if (!sheet) return [];
    return [
      {
        id: `component.sheet:${component.id}`,
        rule: 'component.sheet',
        severity: 'stop',
        where: atComponent(check),
        title: 'Part cuts through sheet metal',
        because: `${component.name} cuts through ${sheet.name.toLowerCase()}`,
        numbers: {},
        cures: () => [
          ...otherSite(checked, check, ({ kind }) => kind === 'sheet'),
          { text: 'Move it to one side' },
        ],
      },
    ];
  }),
};

/** Room that is to stay free before a part: to reach it, or to pull its plug off. */
const roomRule = (parts: {
  id: string;
  room: 'service' | 'plug';
  source: string;
  title: string;
  what: string;
}): VehicleRule => ({
  id: parts.id,
  source: parts.source,
  check: onComponents((checked, check) => {
    const room = check[parts.room];
    if (room?.blockedBy === undefined) return [];
    const side = room.sides.length > 1 ? 'on every side' : `at its ${room.sides.join()}`;
    return [
      {
        id: `${parts.id}:${check.component.id}`,
        rule: parts.id,
        severity: 'warn',
        where: atComponent(check),
        title: parts.title,
        because: `${check.component.name}: {depth} must stay clear ${side} ${parts.what}; ${room.blockedBy.toLowerCase()} is in the way`,
        numbers: { depth: { value: room.depth, kind: 'length' } },
        measured: { value: room.depth, kind: 'length' },
        worse: 'higher',
        cures: () => [
          ...otherSite(checked, check, ({ kind }) => kind === parts.room),
          { text: 'Turn it, or move it to where it can be reached' },
        ],
      },
    ];
  }),
});

/** A part that cannot be reached. */
export const componentService = roomRule({
  id: 'component.service',
  room: 'service',
  source: 'filter, regulator and pump stay reachable: a free box of 150 mm in front of them',
  title: 'Part cannot be reached',
  what: 'to reach it',
});

/** A part whose plug does not come off. */
export const componentPlug = roomRule({
  id: 'component.plug',
  room: 'plug',
  source: 'a connector comes off only where there is room to pull it',
  title: 'No room to disconnect the connector',
  what: 'for its connector to come off',
});

const spaceWords: Readonly<Record<SpaceUse, readonly [title: string, because: string]>> = {
  splash: ['Part is exposed to splashing water', 'it is not rated for that'],
  crush: ['Fuel part is in a crush zone', 'it is hit first in a crash'],
  cabin: ['Fuel part is in the cabin', 'fuel stays out of the cabin'],
};

/** A part in a space that is no good for it. */
export const componentSpace: VehicleRule = {
  id: 'component.space',
  source:
    'fuel stays out of the cabin and out of crush zones; parts not rated for splashing water are above it',
  check: onComponents((checked, check) =>
    check.spaces
      .filter(({ use }) => offends(check, use))
      .slice(0, 1)
      .map(({ use, name, id }): BuildFinding => {
        const [title, why] = spaceWords[use];
        return {
          id: `component.space:${check.component.id}`,
          rule: 'component.space',
          severity: 'warn',
          where: atComponent(check),
          title,
          because: `${check.component.name} is in ${name.toLowerCase()}; ${why}`,
          numbers: {},
          cures: () => [
            ...otherSite(checked, check, (f: ComponentFault) => f.kind === use && f.id === id),
            { text: 'Move it, or fit something that protects it' },
          ],
        };
      }),
  ),
};

/** A part that hangs too low. */
export const componentLow: VehicleRule = {
  id: 'component.low',
  source: 'nothing is below the lowest protected member of the chassis',
  check: onComponents((checked, check) => {
    const { lowestAllowed } = checked.map.around;
    if (check.lowest >= lowestAllowed - TOUCHING) return [];
    return [
      {
        id: `component.low:${check.component.id}`,
        rule: 'component.low',
        severity: 'warn',
        where: atComponent(check),
        title: 'Part is too low',
        because: `${check.component.name} reaches down to {lowest}; its protection ends at {allowed}`,
        numbers: {
          lowest: { value: check.lowest, kind: 'length' },
          allowed: { value: lowestAllowed, kind: 'length' },
        },
        measured: { value: check.lowest, kind: 'length' },
        limit: { value: lowestAllowed, kind: 'length' },
        worse: 'lower',
        cures: () => [
          ...otherSite(checked, check, ({ kind }) => kind === 'low'),
          { text: 'Move it up' },
        ],
      },
    ];
  }),
};

export const componentRules: readonly VehicleRule[] = [
  componentHeat,
  componentMoving,
  componentSolid,
  componentOther,
  componentSheet,
  componentService,
  componentPlug,
  componentSpace,
  componentLow,
];
