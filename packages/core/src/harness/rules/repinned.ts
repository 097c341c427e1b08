import type { BuildFinding } from '../../model/index.ts';
import type { HarnessRule } from '../checked.ts';

/** A wire that would end in two cavities of a plug that is kept. */
export const repinnedTwice: HarnessRule = {
  id: 'repin.twice',
  source: 'a wire ends in one cavity of a connector; what continues from there is spliced',
  check: ({ decidedHarness }) =>
    decidedHarness.repinned.flatMap((plug): BuildFinding[] => {
      const seen = new Map<string, string>();
      return plug.cavities.flatMap(({ id, cavity, after }): BuildFinding[] => {
        const wire = after.trim().toLowerCase();
        if (wire === '') return [];
        const first = seen.get(wire);
        if (first === undefined) {
          seen.set(wire, cavity);
          return [];
        }
        return [
          {
            id: `repin.twice:${plug.id}/${id}`,
            rule: 'repin.twice',
            severity: 'warn',
            where: { stage: 'kept-connectors', plug: plug.id },
            title: 'Wire is in two cavities',
            because: `“${after.trim()}” is in cavities ${first} and ${cavity} of ${plug.name.toLowerCase()}`,
            numbers: {},
            cures: () => [
              {
                text: `Empty cavity ${cavity}`,
                command: {
                  name: 'set',
                  path: ['harness', 'repinned', plug.id, 'cavities', id, 'after'],
                  value: '',
                },
              },
            ],
          },
        ];
      });
    }),
};
