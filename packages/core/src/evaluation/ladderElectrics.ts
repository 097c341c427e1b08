import {
  CONTACT_RESERVE,
  type InnerLoad,
  type NetPart,
  type SizedPumpFeed,
  type SizedWire,
  coveredFor,
  motorRatingOf,
} from '../electrics/index.ts';
import { type FluidResult, injectionOf, namedCases, rowDifference } from '../fuel/index.ts';
import type { Checked } from './checked.ts';
import { type Check, type Loss, solverOf } from './ladderCheck.ts';
import { sum } from '../numerics/index.ts';

/** Currents A that rise with power, by the factor on it. */
interface Rising {
  /** of the pump on a feed */
  readonly pump: (feed: SizedPumpFeed, factor: number) => number;
  /** the share of the time for which the busiest injectors are open */
  readonly duty: (factor: number) => number;
}

/** What pumps and injectors do at running voltage as power rises. */
function risingOf(checked: Checked, loss: Loss): Rising {
  const running = checked.document.limits.voltageRunning.value;
  const peak = namedCases(checked.document, checked.design.demand).peakPower;
  const base = { ...peak, ...loss, systemVoltage: running };
  const solvers = new Map<FluidResult, ReturnType<typeof solverOf>>();
  const at = (fluid: FluidResult): ReturnType<typeof solverOf> => {
    const solver = solvers.get(fluid) ?? solverOf(checked, fluid, base);
    solvers.set(fluid, solver);
    return solver;
  };
  return {
    pump: ({ feed }, factor) => {
      const fluid = checked.fluids.find((f) => f.design.circuit.id === feed.circuitId);
      if (!fluid || feed.elementId === loss.lostPump) return 0;
      return at(fluid)(factor).solved?.pumps[feed.elementId]?.current ?? Infinity;
    },
    duty: (factor) =>
      Math.max(
        0,
        ...checked.fluids.flatMap((fluid) => {
          const { point, solved } = at(fluid)(factor);
          if (!solved) return [1];
          return fluid.design.rows.map((row) =>
            Math.min(
              1,
              injectionOf(
                checked.design,
                fluid.design,
                row,
                point,
                rowDifference(fluid.design, row, solved),
              ).duty,
            ),
          );
        }),
      ),
  };
}

interface PartLoad {
  readonly part: NetPart;
  readonly load: InnerLoad;
}

/** Loads of injectors: the devices that are no item of the catalogue with a role. */
const isInjector = ({ sort, role }: NetPart): boolean => sort === 'device' && role === undefined;

const partLoads = ({ electrics }: Checked): PartLoad[] =>
  electrics.netlist.parts.flatMap((part) =>
    part.inside.flatMap((load) => (load.kind === 'load' ? [{ part, load }] : [])),
  );

/**
 * A current that holds part of what rises: all that was counted, with the pumps and injectors in it at
 * what they take at a power instead of at their highest.
 */
function withRising(
  checked: Checked,
  rising: Rising,
  counted: { readonly current: number; readonly feeds: readonly SizedPumpFeed[] },
): (factor: number) => number {
  const loads = partLoads(checked);
  const injectors = loads.filter(({ part }) => isInjector(part));
  const rated = sum(injectors.map(({ load }) => load.current * load.duty));
  const open = sum(injectors.map(({ load }) => load.current));
  const pumps = new Map(
    loads.filter(({ part }) => part.sort === 'pump').map(({ part, load }) => [part.id, load]),
  );
  // Pumps that stand until they are wanted were not counted.
  const ratedPumps = sum(
    counted.feeds.map(({ feed }) => {
      const load = pumps.get(feed.id);
      return load && load.when !== 'at times' ? load.current : 0;
    }),
  );
  const constant = counted.current - rated - ratedPumps;
  return (factor) =>
    constant +
    open * rising.duty(factor) +
    sum(counted.feeds.map((feed) => rising.pump(feed, factor)));
}

/** In a competition the battery may make up for what is short during a run of so long, s. */
const A_RUN = 1800;

/** Alternator or stator, hot, against all that is on at full power. */
function alternatorCheck(checked: Checked, rising: Rising): Check[] {
  const hot = checked.supply.cases.find(({ inCase }) => inCase === 'cruiseHot');
  if (hot?.available === undefined) return [];
  const { available } = hot;
  const { battery } = checked.supply;
  const { brief, limits } = checked.document;
  const { use } = brief;
  const load = withRising(checked, rising, { current: hot.load, feeds: checked.feeds });
  return [
    {
      check: 'alternator',
      label: 'Alternator',
      limit: { value: available, kind: 'current' },
      fails: (factor) => {
        const taken = load(factor);
        if (taken <= available) return false;
        if (use !== 'competition') return true;
        const usable = limits.batteryUsable.value;
        return coveredFor({ capacity: battery.capacity, usable, load: taken, available }) < A_RUN;
      },
    },
  ];
}

/** Main fuse and main cable against all that hangs on the stud. */
function mainChecks(checked: Checked, rising: Rising): Check[] {
  const [feed] = checked.feeds;
  if (!feed) return [];
  const first: SizedWire | undefined = feed.main.wires[0];
  if (!first) return [];
  const load = withRising(checked, rising, { current: first.task.load, feeds: checked.feeds });
  const ampacity = Math.min(...feed.main.wires.map((wire) => wire.ampacity));
  const { rating } = feed.mainFuse;
  return [
    {
      check: 'fuse',
      label: 'Main fuse',
      limit: { value: rating / 1.25, kind: 'current' },
      fails: (factor) => 1.25 * load(factor) > rating,
    },
    {
      check: 'wire',
      label: 'Main cable',
      limit: { value: ampacity, kind: 'current' },
      fails: (factor) => load(factor) > ampacity,
    },
  ];
}

/** Wire, fuse and relay of a pump against its solved current. */
function pumpChecks(checked: Checked, rising: Rising): Check[] {
  return checked.feeds.flatMap((feed): Check[] => {
    const fluid = checked.fluids.find((f) => f.design.circuit.id === feed.feed.circuitId);
    if (!fluid) return [];
    const current = (factor: number): number => rising.pump(feed, factor);
    const element = fluid.design.circuit.elements.find((e) => e.id === feed.feed.elementId);
    const named = (label: string): string =>
      checked.feeds.length > 1 ? `${label}, ${element?.name ?? ''}` : label;
    const { fuse, relay } = feed;
    const ampacity = Math.min(...feed.pumpGroup.wires.map((wire) => wire.ampacity));
    return [
      {
        check: 'wire',
        label: named('Pump feed wire'),
        limit: { value: ampacity, kind: 'current' },
        fails: (factor) => current(factor) > ampacity,
      },
      ...(fuse
        ? [
            {
              check: 'fuse' as const,
              label: named('Pump fuse'),
              limit: { value: fuse.whenHot / 1.25, kind: 'current' as const },
              fails: (factor: number) => 1.25 * current(factor) > fuse.whenHot,
            },
          ]
        : []),
      ...(relay
        ? [
            {
              check: 'driver' as const,
              label: named('Pump relay'),
              limit: { value: motorRatingOf(relay) / CONTACT_RESERVE, kind: 'current' as const },
              fails: (factor: number) => CONTACT_RESERVE * current(factor) > motorRatingOf(relay),
            },
          ]
        : []),
    ];
  });
}

/** Runs of injectors’ feeds: each fuse that feeds nothing else, against what they take together. */
function injectorFuseChecks(checked: Checked, rising: Rising): Check[] {
  const { electrics } = checked;
  const owner = new Map(
    electrics.netlist.parts.flatMap((part) => part.pins.map(({ node }) => [node, part] as const)),
  );
  return electrics.fuses.flatMap(({ partId, name, judged }): Check[] => {
    const fed = electrics.netlist.direct.flatMap(({ from, to }) => {
      const [a, b] = [owner.get(from.node), owner.get(to.node)];
      return a?.id === partId && b ? [b] : [];
    });
    if (fed.length === 0 || !fed.every(isInjector)) return [];
    const open = sum(
      fed.flatMap(({ inside }) => inside.map((each) => (each.kind === 'load' ? each.current : 0))),
    );
    return [
      {
        check: 'fuse',
        label: name,
        limit: { value: judged.whenHot / 1.25, kind: 'current' },
        fails: (factor) => 1.25 * open * rising.duty(factor) > judged.whenHot,
      },
    ];
  });
}

/**
 * Wires, fuses, relays and alternator against what pumps and injectors take as power rises, at running
 * voltage, with everything else as it is counted.
 */
export function electricalChecks(checked: Checked, loss: Loss): Check[] {
  const rising = risingOf(checked, loss);
  return [
    ...pumpChecks(checked, rising),
    ...injectorFuseChecks(checked, rising),
    ...mainChecks(checked, rising),
    ...alternatorCheck(checked, rising),
  ];
}
