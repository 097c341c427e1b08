import type { BuildFinding } from '../../model/index.ts';
import type { ElectricsRule } from '../checked.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import { failureOf } from '../supply/singleFailures.ts';

/** So many parts that stop with one box are worth a word. */
const MANY = 5;
/** So many of them are named. */
const NAMED = 10;

/** A module in the place of relays, and what stops with it. */
export const oneBox: ElectricsRule = {
  id: 'controller.one-box',
  source: 'a module that replaces relays is a single point of failure: know what stops with it',
  check: ({ electrics, switching }) => {
    const boxes = new Set(
      switching.rows.flatMap(({ of }) =>
        of.kind === 'output' && of.partId !== ENGINE_CONTROLLER ? [of.partId] : [],
      ),
    );
    return electrics.netlist.parts.flatMap((part): BuildFinding[] => {
      const failure = boxes.has(part.id) ? failureOf(part, electrics.netlist) : undefined;
      if (!failure || failure.stops.length < MANY) return [];
      const names = failure.stops.slice(0, NAMED).map(({ name }) => name);
      const rest = failure.stops.length - names.length;
      return [
        {
          id: `controller.one-box:${part.id}`,
          rule: 'controller.one-box',
          severity: 'note',
          where: { stage: 'supply' },
          title: `${part.name} is a single point of failure`,
          because: `if it fails, it stops ${names.join(', ')}${rest > 0 ? ` and ${String(rest)} more` : ''}`,
          numbers: {},
          measured: { value: failure.stops.length, kind: 'count' },
          limit: { value: MANY, kind: 'count' },
          cures: () => [
            { text: 'Carry a spare with the same settings, and the list of them' },
            { text: 'Keep what the engine needs to run on separate relays' },
          ],
        },
      ];
    });
  },
};
