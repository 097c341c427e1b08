import type { Netlist } from '../netlist/netlist.ts';
import type { SwitchTable } from '../switching/switchTable.ts';
import { LEFT } from '../switching/vehicleState.ts';
import { type Condensed, type Gate, type Taker, condensed } from './condensed.ts';
import { LeftAlone, type Settled } from './settled.ts';
import { oncePerPart } from './oncePerPart.ts';
import { type RunsOn, pumpRunsOn, pumpsIn } from './pumpRunsOn.ts';
import { startsInGear } from './startsInGear.ts';
import type { IsFed } from './sneakPaths.ts';
import { meeting, reach, wayTo } from './ways.ts';

/** A load that is alive where it should not be, and what feeds it there. */
export interface KeptAlive {
  readonly partId: string;
  readonly name: string;
  readonly volts: number;
  readonly way: readonly { readonly partId: string; readonly name: string }[];
}

/** What stays alive of a vehicle that is switched off, in what way ever. */
export interface LeftAlive {
  /** with the key off while the engine still turns: what keeps it turning */
  readonly keyOff: readonly KeptAlive[];
  /** with the isolator open and the key on; undefined where there is no isolator */
  readonly isolated: readonly KeptAlive[] | undefined;
  /** whether the isolator parts what charges from the battery */
  readonly isolatorParts: boolean;
  readonly pumpRunsOn: readonly RunsOn[];
  /** relays of a starter that no switch of clutch or gearbox and no controller is in the way of */
  readonly startsInGear: readonly string[];
  /** pumps that run with the key off though nothing sticks */
  readonly pumpsOn: readonly string[];
}

const feedsOf = ({ found }: Condensed, isFed: IsFed, position: 'off' | 'run' | 'crank') =>
  new Set(found.filter(({ signalId }) => isFed(signalId, position)).map(({ region }) => region));

/** Whether a load is what keeps an engine alive: electronics of its controllers, coils, injectors, pumps. */
const runsTheEngine = ({ part, load }: Taker): boolean =>
  part.sort === 'pump' ||
  (part.sort === 'controller' && load.when === 'key on') ||
  ((part.sort === 'device' || part.sort === 'relay') && load.when === 'engine turning');

/** The way on which a load is fed, over what is closed. */
function wayOf(
  whole: Condensed,
  settled: Settled,
  starts: Iterable<string>,
  load: Taker,
): KeptAlive {
  const passes = (branch: Gate | Taker): boolean =>
    branch !== load && (branch.kind === 'load' || settled.closed.has(branch));
  const at = meeting(whole.branches);
  const reached = reach(at, starts, passes, new Set([whole.minus]), new Set([load.from]));
  const passed = [...wayTo(reached, load.from), load].map(({ part: { id, name } }) => ({
    partId: id,
    name,
  }));
  return {
    partId: load.part.id,
    name: load.part.name,
    volts: Math.abs(settled.volts(load.from) - settled.volts(load.to)),
    way: passed.filter(({ partId }, i) => passed[i - 1]?.partId !== partId),
  };
}

/** What stays alive with the key off, with the isolator open, and with one contact that sticks. */
export function leftAlive(input: {
  readonly netlist: Netlist;
  readonly table: SwitchTable;
  readonly isFed: IsFed;
}): LeftAlive {
  const { netlist, table, isFed } = input;
  const whole = condensed(netlist);
  const left = new LeftAlone(whole, table);
  const off = feedsOf(whole, isFed, 'off');
  const run = feedsOf(whole, isFed, 'run');
  const common = { isolatorOpen: false, stuck: undefined };
  const kept = (
    settled: Settled | undefined,
    fed: ReadonlySet<string>,
    rails: ReadonlySet<string>,
  ): KeptAlive[] =>
    settled
      ? oncePerPart(
          settled.alive.filter((load) => runsTheEngine(load) && !rails.has(load.from)),
        ).map((load) =>
          wayOf(whole, settled, new Set([whole.plus, ...fed, ...whole.generated]), load),
        )
      : [];
  const turning = { ...LEFT, engineTurns: true };
  const keyOff = left.settle({ ...common, state: turning, fed: off });
  const isolators = whole.branches.filter(({ part }) => part.role === 'isolator');
  const isolated =
    isolators.length > 0
      ? left.settle({ ...common, isolatorOpen: true, state: { ...turning, key: 'run' }, fed: run })
      : undefined;
  const standing = left.settle({ ...common, state: LEFT, fed: off });
  const rails = new Set([whole.plus, ...off]);
  const meets = meeting(whole.branches);
  const charging = new Set(
    netlist.parts.flatMap(({ role, outputs }) =>
      role === 'alternator' || role === 'stator'
        ? outputs.map(({ node }) => whole.regions.of(node))
        : [],
    ),
  );
  const joinsBattery = (over: (branch: Gate | Taker) => boolean): boolean => {
    const passes = (branch: Gate | Taker): boolean => branch.kind === 'gate' && over(branch);
    const reached = reach(meets, [whole.plus], passes, new Set([whole.minus]));
    return [...charging].some((region) => reached.has(region));
  };
  return {
    keyOff: kept(keyOff, off, rails),
    isolated: isolators.length > 0 ? kept(isolated, run, rails) : undefined,
    isolatorParts:
      isolators.length > 0 &&
      joinsBattery(() => true) &&
      !joinsBattery(({ part }) => part.role !== 'isolator'),
    startsInGear: startsInGear(whole, feedsOf(whole, isFed, 'crank')),
    pumpsOn: pumpsIn(standing).map(({ partId }) => partId),
    pumpRunsOn: pumpRunsOn({ whole, left, standing, fed: off }),
  };
}
