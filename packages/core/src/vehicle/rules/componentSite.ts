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
  title: 'Part sits too near to a hot pipe',
  asks: 'it needs {needed}',
  lastly: 'Put it elsewhere, or shield the pipe',
});

/** A part that is hit by what moves. */
export const componentMoving = nearComponent({
  id: 'component.moving',
  kind: 'moving',
  source:
    'parts keep out of tyres at full travel and lock, 25 mm from what moves in its place, 50 where it travels or whips',
  severity: ({ clearance }) => (clearance <= 0 ? 'stop' : 'warn'),
  title: 'Part sits in the way of what moves',
  asks: 'over all of its movement it needs {needed}',
  lastly: 'Put it elsewhere: nothing may touch it over the whole travel',
});

/** A part inside of something solid. */
export const componentSolid = nearComponent({
  id: 'component.solid',
  kind: 'solid',
  source: 'two things cannot be in one place',
  severity: () => 'stop',
  title: 'Part sits inside something solid',
  asks: 'there is no room for it',
  lastly: 'Put it elsewhere, or correct the box',
});

/** Two parts in one place. */
export const componentOther = nearComponent({
  id: 'component.component',
  kind: 'component',
  source: 'two things cannot be in one place',
  severity: () => 'stop',
  title: 'Two parts are in one place',
  asks: 'there is no room for both',
  lastly: 'Put one of them elsewhere',
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
        title: 'Part sits in a sheet of metal',
        because: `${component.name} goes through ${sheet.name.toLowerCase()}`,
        numbers: {},
        cures: () => [
          ...otherSite(checked, check, ({ kind }) => kind === 'sheet'),
          { text: 'Put it on one side of it' },
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
        because: `${check.component.name}: {depth} are to stay free ${side} ${parts.what}; ${room.blockedBy.toLowerCase()} stands there`,
        numbers: { depth: { value: room.depth, kind: 'length' } },
        measured: { value: room.depth, kind: 'length' },
        worse: 'higher',
        cures: () => [
          ...otherSite(checked, check, ({ kind }) => kind === parts.room),
          { text: 'Turn it or put it where it can be reached' },
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
  source: 'a plug comes off only where there is room to pull it',
  title: 'No room to pull the plug off',
  what: 'for its plug to come off',
});

const spaceWords: Readonly<Record<SpaceUse, readonly [title: string, because: string]>> = {
  splash: ['Part sits where water splashes', 'it is not made to stand that'],
  crush: ['Fuel part sits in a crush zone', 'a crash reaches it first'],
  cabin: ['Fuel part sits where people do', 'fuel stays out of the cabin'],
};

/** A part in a space that is no good for it. */
export const componentSpace: VehicleRule = {
  id: 'component.space',
  source:
    'fuel stays out of the cabin and out of crush zones; what is not made for splashing water sits above it',
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
            { text: 'Put it elsewhere, or behind something that protects it' },
          ],
        };
      }),
  ),
};

/** A part that hangs too low. */
export const componentLow: VehicleRule = {
  id: 'component.low',
  source: 'nothing hangs below the lowest protected member of the chassis',
  check: onComponents((checked, check) => {
    const { lowestAllowed } = checked.map.around;
    if (check.lowest >= lowestAllowed - TOUCHING) return [];
    return [
      {
        id: `component.low:${check.component.id}`,
        rule: 'component.low',
        severity: 'warn',
        where: atComponent(check),
        title: 'Part hangs too low',
        because: `${check.component.name} reaches down to {lowest}; what protects it from the ground ends at {allowed}`,
        numbers: {
          lowest: { value: check.lowest, kind: 'length' },
          allowed: { value: lowestAllowed, kind: 'length' },
        },
        measured: { value: check.lowest, kind: 'length' },
        limit: { value: lowestAllowed, kind: 'length' },
        worse: 'lower',
        cures: () => [
          ...otherSite(checked, check, ({ kind }) => kind === 'low'),
          { text: 'Put it higher' },
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
