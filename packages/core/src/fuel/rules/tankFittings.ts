import { newestOf, refOf } from '../../catalogue/index.ts';
import { BARE_PLACE, type BuildCommand, type BuildFinding } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import { freeId, refusedHose } from '../../vehicle/index.ts';
import type { FuelChecked, FuelRule } from '../checked.ts';
import type { TankAttitudes } from '../tank/tankStage.ts';

/** A return is kept so far from a bare pickup, m. */
const APART = 0.15;

/** A vent line from the top of the tank to a valve beside it, where the catalogue has its hose. */
function newVent({ catalogue, vehicle }: FuelChecked, tank: TankAttitudes): Cure<BuildCommand>[] {
  const words = { text: 'Draw a vent line on the map, from the top of the tank to a valve' };
  const hose = newestOf(catalogue, 'hose')
    .filter((each) => refusedHose('vent', each) === undefined)
    .sort((a, b) => a.bore - b.bore || a.price - b.price)[0];
  if (!hose) return [words];
  const { low, high } = tank.solid;
  const middle = (axis: 'x' | 'y') => (low[axis].value + high[axis].value) / 2;
  const place = (name: string, y: number, z: number) => ({
    name,
    x: quantity(middle('x') * 1e3, 'length', 'mm'),
    y: quantity(y * 1e3, 'length', 'mm'),
    z: quantity(z * 1e3, 'length', 'mm'),
    zone: 'outside',
    movesWithEngine: false,
    ...BARE_PLACE,
  });
  const top = high.z.value;
  const from = `${tank.elementId}-vent`;
  const to = `${tank.elementId}-vent-valve`;
  const value = {
    name: `Vent of ${tank.name}`.slice(0, 80),
    use: 'vent',
    fromPlacementId: from,
    toPlacementId: to,
    item: refOf(hose),
    diameter: null,
    flow: null,
  };
  return [
    {
      text: `Draw a vent line of ${hose.designation} from its top to a valve`,
      command: {
        name: 'set-several',
        label: 'Fit a vent to the tank',
        changes: [
          { path: ['placements', from], value: place('Tank vent', middle('y'), top) },
          { path: ['placements', to], value: place('Vent valve', middle('y'), top + 0.1) },
          { path: ['otherLines', freeId('vent', vehicle.otherLines)], value },
        ],
      },
    },
  ];
}

const tankRule = (
  id: string,
  source: string,
  look: (
    checked: FuelChecked,
    tank: TankAttitudes,
  ) => Omit<BuildFinding, 'id' | 'rule' | 'where'> | undefined,
): FuelRule => ({
  id,
  source,
  check: (checked) =>
    checked.tanks.flatMap((tank): BuildFinding[] => {
      const seen = look(checked, tank);
      const where = { stage: 'circuit', circuit: tank.circuitId, element: tank.elementId } as const;
      return seen ? [{ id: `${id}:${tank.elementId}`, rule: id, where, ...seen }] : [];
    }),
});

const set = (
  tank: TankAttitudes,
  field: string,
  value: unknown,
  text: string,
): Cure<BuildCommand> => ({
  text,
  command: { name: 'set', path: ['tanks', tank.tankOnMapId, field], value },
});

/** A tank that nothing vents. */
const vent = tankRule(
  'tank.vent',
  'a tank has a vent with a capacity of at least the net outflow plus expansion, routed to a roll-over valve',
  (checked, tank) =>
    tank.vent
      ? undefined
      : {
          severity: 'warn',
          title: 'Tank has no vent',
          because: `${tank.name}: no vent line starts at it on the map; without one the pump collapses the tank, and heat bursts it`,
          numbers: {},
          cures: () => newVent(checked, tank),
        },
);

/** A vent may leave so much pressure in its tank, Pa. */
const VENT_LEAVES = 1e3;

/** A vent too narrow for what the engine takes out. */
const ventNarrow = tankRule(
  'tank.vent-narrow',
  'a vent passes at least the net outflow plus expansion, at 1 kPa or less',
  ({ catalogue }, tank) => {
    const { vent, ventLoss } = tank;
    if (!vent?.hose || ventLoss === undefined || ventLoss <= VENT_LEAVES) return undefined;
    const { bore } = vent.hose;
    const wider = newestOf(catalogue, 'hose')
      .filter((hose) => hose.bore > 1.5 * bore && refusedHose('vent', hose) === undefined)
      .sort((a, b) => a.bore - b.bore || a.price - b.price)[0];
    return {
      severity: 'warn',
      title: 'Vent is too narrow',
      because: `${tank.name}: at peak a vent of {bore} leaves {loss} across it; {limit} is the most`,
      numbers: {
        loss: { value: ventLoss, kind: 'pressure' },
        bore: { value: bore, kind: 'length' },
        limit: { value: VENT_LEAVES, kind: 'pressure' },
      },
      measured: { value: ventLoss, kind: 'pressure' },
      limit: { value: VENT_LEAVES, kind: 'pressure' },
      worse: 'higher',
      cures: () => [
        ...(wider
          ? [
              {
                text: `Take ${wider.designation}`,
                command: {
                  name: 'set' as const,
                  path: ['otherLines', vent.line.id, 'item'],
                  value: refOf(wider),
                },
              },
            ]
          : []),
        { text: 'Fit a wider vent' },
      ],
    };
  },
);

/** A vent that stays open when the vehicle lies on its roof. */
const rollOver = tankRule(
  'tank.roll-over',
  'a vent closes when the vehicle rolls over, or fuel runs out of it',
  (_checked, tank) =>
    tank.onMap.rollOver
      ? undefined
      : {
          severity: 'warn',
          title: 'Vent stays open in a roll-over',
          because: `${tank.name}: nothing closes its vent when the vehicle is on its roof; fuel runs out`,
          numbers: {},
          cures: () => [set(tank, 'rollOver', true, 'Fit a roll-over valve in the vent')],
        },
);

/** A return that blows its bubbles at the pickup. */
const returnNear = tankRule(
  'tank.return',
  'the return is away from the pickup: its fuel is hot and full of bubbles',
  (_checked, tank) => {
    const { returnApart: apart, onMap } = tank;
    if (apart === undefined || apart >= APART || onMap.swirl || onMap.baffle) return undefined;
    return {
      severity: 'warn',
      title: 'Return discharges at the pickup',
      because: `${tank.name}: the return is {apart} from the pickup; bubbles and heat go straight back to the pump`,
      numbers: { apart: { value: apart, kind: 'length' } },
      measured: { value: apart, kind: 'length' },
      limit: { value: APART, kind: 'length' },
      worse: 'lower',
      cures: () => [set(tank, 'baffle', true, 'Fit a baffle between them')],
    };
  },
);

/** More fuel counted on than the tank has room for. */
const usable = tankRule('tank.usable', 'usable fuel is above the pickup', (_checked, tank) => {
  if (tank.usable <= tank.abovePickup) return undefined;
  const litres = Math.floor(tank.abovePickup * 1e4) / 10;
  return {
    severity: 'warn',
    title: 'Tank holds less than planned',
    because: `${tank.name}: {usable} are planned; its box on the map holds {room} above the pickup`,
    numbers: {
      usable: { value: tank.usable, kind: 'volume' },
      room: { value: tank.abovePickup, kind: 'volume' },
    },
    measured: { value: tank.usable, kind: 'volume' },
    limit: { value: tank.abovePickup, kind: 'volume' },
    worse: 'higher',
    cures: () => [
      {
        text: `Plan with ${litres} L`,
        command: {
          name: 'set',
          path: ['fuelCircuits', tank.circuitId, 'elements', tank.elementId, 'usableVolume'],
          value: quantity(litres, 'volume', 'L'),
        },
      },
      { text: 'Correct the box of the tank, or lower the pickup' },
    ],
  };
});

/** A bung that cannot be renewed. */
const bung = tankRule(
  'tank.bung',
  'a threaded bung is preferred to a welded male end: a damaged thread can be repaired without hot work on a tank',
  (_checked, tank) =>
    tank.onMap.bung !== 'welded'
      ? undefined
      : {
          severity: 'note',
          title: 'Outlet is welded on',
          because: `${tank.name}: a damaged thread on a welded end means hot work on a tank that held fuel`,
          numbers: {},
          cures: () => [set(tank, 'bung', 'threaded', 'Have a threaded bung fitted')],
        },
);

/** Nobody sees how much is left. */
const sender = tankRule(
  'tank.sender',
  'a level sender shows how much fuel is left',
  (_checked, tank) =>
    tank.onMap.sender !== 'none'
      ? undefined
      : {
          severity: 'note',
          title: 'Tank has no level sender',
          because: `${tank.name}: nothing shows how much fuel is left`,
          numbers: {},
          cures: () => [set(tank, 'sender', 'float', 'Fit a float sender')],
        },
);

/** Checks of what a tank has in it and on it. */
export const tankFittingRules: readonly FuelRule[] = [
  vent,
  ventNarrow,
  rollOver,
  returnNear,
  usable,
  bung,
  sender,
];
