import type { BuildFinding } from '../../model/index.ts';
import type { ElectricsRule } from '../checked.ts';

/** Longest way beside a bus at 1 Mbit/s, m. */
const LONGEST_STUB = 0.3;

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
              ? `both terminators are there, but not at the ends: ${ends.map(nameOf).join(' and ')}`
              : `it has {count} terminators; its ends are ${ends.map(nameOf).join(' and ')}`,
          numbers: { count },
          cures: () => [
            { text: 'Put one terminator of 120 Ω at each of the two ends, and none in between' },
          ],
        },
      ];
    }),
};

const stubs: ElectricsRule = {
  id: 'can.stub',
  source: 'ways beside a bus shorter than 300 mm at 1 Mbit/s',
  check: ({ electrics }) =>
    electrics.buses.flatMap(({ members }) =>
      members
        .filter(({ stub }) => stub > LONGEST_STUB + 1e-9)
        .map(({ partId, name, stub }): BuildFinding => {
          const measured = { value: stub, kind: 'length' } as const;
          const limit = { value: LONGEST_STUB, kind: 'length' } as const;
          return {
            id: `can.stub:${partId}`,
            rule: 'can.stub',
            severity: 'warn',
            where: { stage: 'devices', device: partId },
            title: 'Way beside the bus is too long',
            because: `${name} stands {measured} beside the way between the terminators; at 1 Mbit/s {limit} is the most`,
            numbers: { measured, limit },
            measured,
            limit,
            cures: () => [
              { text: 'Take it into the chain: to the one before it and on to the next' },
            ],
          };
        }),
    ),
};

/** Checks of the buses. */
export const busRules: readonly ElectricsRule[] = [termination, stubs];
