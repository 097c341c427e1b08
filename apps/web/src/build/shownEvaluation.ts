import type { BuildDocument, Ladder, ToldEvaluation } from '@brookrain/core';
import type { ShownFigures } from './BuildContext.ts';

/** The figures of an evaluation. */
export function shownFigures(told: ToldEvaluation | undefined): ShownFigures {
  const byKey = new Map(
    Object.entries(told?.figures ?? {}).map(([key, figure]) => [key, { ...figure, key }]),
  );
  return {
    find: (ref) => byKey.get(ref.key),
    at: (ref) => {
      const figure = byKey.get(ref.key);
      if (!figure) throw new Error(`there is no figure "${ref.key}"`);
      return figure;
    },
    keyed: (key) => byKey.get(key),
  };
}

/** The ladder before it was climbed for the first time. */
export const noLadder = (document: BuildDocument): Ladder => ({
  targetPower: document.brief.power.value,
  triedTo: document.brief.power.value,
  rungs: [],
});
