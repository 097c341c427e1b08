import { type CommandOf, command } from '../../model/command.ts';
import { demandSpec } from '../model.ts';

/** Picks which school of demand is carried forward. */
const pickDemand = command({
  name: 'pick-demand',
  fields: demandSpec.fields,
  words: (c) => `Pick demand by ${c.school}`,
  recipe(draft, c) {
    draft.demand.school = c.school;
    draft.demand.reason = c.reason;
  },
});

/** Edits of brief and demand. */
export const engineCommands = [pickDemand] as const;
export type EngineCommand = CommandOf<(typeof engineCommands)[number]>;
