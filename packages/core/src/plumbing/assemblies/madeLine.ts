import {
  type FittingItem,
  type HoseItem,
  type PortCode,
  mate,
  portTypes,
} from '../../catalogue/index.ts';
import type { Assembly, FittingUse, RouteOf } from '../../model/index.ts';
import type { Origin, Result } from '../../results/index.ts';
import type { Port } from '../../vehicle/index.ts';
import { offeredBy } from '../joints/adapterChain.ts';
import type { Partner } from '../joints/partnerAt.ts';

/** One end of a line as it is made. */
export interface MadeEnd {
  readonly side: 'from' | 'to';
  readonly placementId: string;
  readonly item: FittingItem | undefined;
  readonly adapters: readonly FittingItem[];
  /** what it screws onto; undefined where neither a part nor the build says */
  readonly partner: Partner | undefined;
  /** where it sits on the map, and which way a hose leaves it */
  readonly port: Port | undefined;
  /** how far the line turns from that direction, rad, by its way on the map */
  readonly turn: number | undefined;
}

/** A line as it is made: what is known of it, and its figures. */
export interface MadeLine {
  readonly lineId: string;
  readonly of: RouteOf;
  readonly name: string;
  readonly circuitId: string | undefined;
  readonly suction: boolean;
  readonly routeId: string | undefined;
  readonly hose: HoseItem | undefined;
  /** fittings on it that are none of its ends */
  readonly loose: readonly FittingUse[];
  /** what was decided; undefined where nothing was */
  readonly assembly: Assembly | undefined;
  readonly ends: readonly [from: MadeEnd, to: MadeEnd];
  /** best known length between its seats, m, and the figure that says it */
  readonly length: number | undefined;
  readonly lengthFrom: Origin;
  readonly uncertainty: number | undefined;
  /** share of its length that it is longer */
  readonly slack: number;
  /** highest gauge pressure Pa that it sees in any case */
  readonly pressure: number;
  /** clamps along it, and metres of it in a heat sleeve */
  readonly clamps: number;
  readonly sleeved: number;
  readonly cut: Result | undefined;
  readonly clocking: Result | undefined;
  readonly shortening: Result | undefined;
  /** of a hose that is cut: what is left over between its seats, m */
  readonly reach: Result | undefined;
  readonly results: readonly Result[];
}

/** What a joint comes to: `straight-on` is a hose over a barb, `open` has no end, `unsaid` no partner. */
export type JointState = 'fits' | 'straight-on' | 'unlike' | 'open' | 'unsaid';

/** The port that an end finds after its adapters; undefined where nobody says or one does not fit. */
export const offeredTo = ({ partner, adapters }: MadeEnd): PortCode | undefined =>
  partner && offeredBy(partner.port, adapters);

/** A hose goes over a barb that is made for a bore this near to its own. */
const BARB_FIT = 0.15;

/** Whether a hose goes over a barb. */
const overBarb = (port: PortCode, hose: HoseItem | undefined): boolean => {
  const barb = portTypes.get(port);
  return (
    barb?.kind === 'barb' &&
    hose?.wall === 'plain' &&
    Math.abs(barb.size / 1e3 / hose.bore - 1) <= BARB_FIT
  );
};

/** What the joint at an end comes to. */
export function jointState(end: MadeEnd, hose: HoseItem | undefined): JointState {
  const { item, partner } = end;
  const offered = offeredTo(end);
  if (!item) {
    return offered !== undefined && overBarb(offered, hose) ? 'straight-on' : 'open';
  }
  if (!partner) return 'unsaid';
  return offered !== undefined && item.firstPort !== 'none' && mate(offered, item.firstPort)
    ? 'fits'
    : 'unlike';
}
