import { type BuildCommand, type BuildFinding, ORDER_STEP } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import { type BusChain, longestStubs } from '../network/busChains.ts';
import { busRates } from '../slices/buses.ts';
import type { ElectricsRule } from '../checked.ts';

/** Terminators at the two ends, by where they sit and not by the total alone. */
const termination: ElectricsRule = {
  id: 'can.termination',
  source: '120 Ω at the two ends of a bus only; two at one end read 60 Ω and are wrong',
  check: ({ electrics }) =>
    electrics.buses.flatMap(({ id, terminators, terminated, ends, members }): BuildFinding[] => {
      if (terminated) return [];
      const nameOf = (partId: string): string =>
        members.find((member) => member.partId === partId)?.name ?? partId;
      const count = { value: terminators.length, kind: 'count' } as const;
      return [
        {
          id: `can.termination:${id}`,
          rule: 'can.termination',
          severity: 'warn',
          where: { stage: 'devices', device: id },
          title: 'Bus is not terminated at its two ends',
          because:
            terminators.length === 2
              ? `both terminators are fitted, but not at the ends: ${ends.map(nameOf).join(' and ')}`
              : `it has {count} terminators; its ends are ${ends.map(nameOf).join(' and ')}`,
          numbers: { count },
          cures: () => [{ text: 'Fit one 120 Ω terminator at each end, and none in between' }],
        },
      ];
    }),
};

/** The rate at which every way beside a bus is short enough, as an edit. */
function slower(
  { busId, id, pin, name, rate, members }: BusChain,
  count: number,
): Cure<BuildCommand>[] {
  const longest = Math.max(...members.map(({ stub }) => stub));
  const enough = busRates
    .slice(busRates.indexOf(rate) + 1)
    .find((each) => longest <= longestStubs[each]);
  if (!enough) return [];
  const text = `Run the bus at ${enough}, where every unit on it can`;
  const order = ORDER_STEP * (count + 1);
  return [
    {
      text,
      command:
        busId === undefined
          ? {
              name: 'set',
              path: ['buses', `bus-of-${id}`.slice(0, 40)],
              value: { order, name: name.slice(0, 80), partId: id, pin, rate: enough },
            }
          : { name: 'set', path: ['buses', busId, 'rate'], value: enough },
    },
  ];
}

const stubs: ElectricsRule = {
  id: 'can.stub',
  source: 'stubs of a bus shorter than 300 mm at 1 Mbit/s, 600 at 500, 1200 at 250 kbit/s',
  check: ({ electrics, wired }) =>
    electrics.buses.flatMap((bus) =>
      bus.members
        .filter(({ stub }) => stub > bus.longestStub + 1e-9)
        .map(({ partId, name, stub }): BuildFinding => {
          const measured = { value: stub, kind: 'length' } as const;
          const limit = { value: bus.longestStub, kind: 'length' } as const;
          return {
            id: `can.stub:${partId}`,
            rule: 'can.stub',
            severity: 'warn',
            where: { stage: 'devices', device: partId },
            title: 'Bus stub is too long',
            because: `${name} sits on a stub of {measured}; at ${bus.rate} a stub may be {limit} at most`,
            numbers: { measured, limit },
            measured,
            limit,
            cures: () => [
              { text: 'Connect it in line: from the unit before it and on to the next' },
              ...slower(bus, wired.buses.length),
            ],
          };
        }),
    ),
};

/** Checks of the buses. */
export const busRules: readonly ElectricsRule[] = [termination, stubs];
