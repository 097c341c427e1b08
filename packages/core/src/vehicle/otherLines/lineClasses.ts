import type { ItemOf } from '../../catalogue/index.ts';
import type { OtherLineUse } from '../slices/otherLines.ts';

type Hose = ItemOf<'hose'>;

/** What another line asks of its hose: the pressure it sees, and what else would not do. */
export interface LineClass {
  /** highest gauge pressure Pa that it sees */
  readonly pressure: number;
  /** why a hose is the wrong one, beside its pressure; undefined when it will do */
  readonly refuses: (hose: Hose) => string | undefined;
}

const serviceOf = (hose: Hose): NonNullable<Hose['service']> => hose.service ?? 'fuel';
const collapses = ({ wall }: Hose): boolean => wall === 'plain' || wall === 'braided';
const metalOrFluoro = ({ material }: Hose): boolean =>
  material !== 'rubber' && material !== 'nylon';

const anything = (): undefined => undefined;

/** Fuel vapour goes through what was not made for fuel. */
const forFuelVapour = (hose: Hose): string | undefined =>
  serviceOf(hose) === 'hydraulic' ? 'it is made for hydraulic oil, not for fuel vapour' : undefined;
/** Hot oil under pressure. */
const forHotOil = (hose: Hose): string | undefined =>
  ['low-pressure', 'immersed'].includes(serviceOf(hose))
    ? 'it is not made for hot oil under pressure'
    : undefined;
const forSuction = (hose: Hose): string | undefined =>
  collapses(hose)
    ? 'it collapses when it gets hot and is sucked at: a convoluted or rigid one does not'
    : undefined;

/** Classes of other lines: pressures and what they need, by the trade. */
export const lineClasses: Readonly<Record<OtherLineUse, LineClass>> = {
  vent: { pressure: 10e3, refuses: forFuelVapour },
  'vapour-return': { pressure: 50e3, refuses: forFuelVapour },
  'vacuum-reference': { pressure: 300e3, refuses: anything },
  breather: { pressure: 30e3, refuses: forFuelVapour },
  'oil-cooler': { pressure: 1e6, refuses: forHotOil },
  'oil-suction': { pressure: 100e3, refuses: forSuction },
  'turbo-oil-feed': {
    pressure: 1e6,
    refuses: (hose) =>
      metalOrFluoro(hose) ? undefined : 'rubber and nylon do not bear the heat beside a turbine',
  },
  'turbo-oil-drain': {
    pressure: 30e3,
    refuses: (hose) =>
      hose.bore < DRAIN_BORE
        ? 'it is too narrow: oil and foam leave a turbine by their own weight, through 12 mm or more'
        : undefined,
  },
  coolant: { pressure: 200e3, refuses: anything },
  'gearbox-cooler': { pressure: 1e6, refuses: forHotOil },
  'brake-vacuum': {
    pressure: 100e3,
    refuses: (hose) =>
      serviceOf(hose) === 'low-pressure' && hose.wall === 'plain'
        ? 'its wall is sucked flat by the booster’s vacuum'
        : undefined,
  },
  'power-steering-pressure': {
    pressure: 10e6,
    refuses: (hose) =>
      serviceOf(hose) === 'hydraulic'
        ? undefined
        : 'fuel or oil hose is never used for power-steering pressure',
  },
  'power-steering-return': { pressure: 500e3, refuses: forHotOil },
  'boost-control': { pressure: 300e3, refuses: anything },
  'air-conditioning': {
    pressure: 3e6,
    refuses: () => 'only barrier hose made for refrigerant will do',
  },
  'throttle-cable': {
    pressure: 0,
    refuses: () => 'a cable runs in its own conduit, not in a hose',
  },
  'battery-cable': { pressure: 0, refuses: () => 'a cable has its own insulation, no hose' },
};

/** Least bore m of the drain of a turbine. */
const DRAIN_BORE = 0.012;

/** Why a hose is refused for another line; undefined when it will do. */
export function refusedHose(use: OtherLineUse, hose: Hose): string | undefined {
  const { pressure, refuses } = lineClasses[use];
  const reason = refuses(hose);
  if (reason !== undefined) return reason;
  return hose.pressureRating < pressure
    ? 'its rating is below the pressure that it sees'
    : undefined;
}
