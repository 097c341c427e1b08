import { type CommandOf, command } from '../../model/command.ts';
import { writeCurve } from '../../model/writeBuild.ts';
import { quantity } from '../../quantities/index.ts';
import { defaultCurves } from '../demand/engine.ts';
import { briefSpec, demandSpec } from '../model.ts';
import { inductionInWords } from '../inductionInWords.ts';

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

/**
 * Changes how the engine breathes, with what follows from it: a natural engine has no boost, and a
 * boost curve of nothing but zeros is no curve of a boosted one.
 */
const chooseInduction = command({
  name: 'choose-induction',
  fields: { aspiration: briefSpec.fields.aspiration },
  words: (c) => `Change induction to ${inductionInWords[c.aspiration]}`,
  recipe({ brief }, { aspiration }) {
    brief.aspiration = aspiration;
    if (aspiration === 'natural') {
      brief.boost = quantity(0, 'pressure', brief.boost.unit);
    } else if (Object.values(brief.boostCurve).every((point) => point.value.value <= 0)) {
      brief.boostCurve = writeCurve(defaultCurves(brief).boostCurve);
    }
  },
});

/** Edits of brief and demand. */
export const engineCommands = [pickDemand, chooseInduction] as const;
export type EngineCommand = CommandOf<(typeof engineCommands)[number]>;
