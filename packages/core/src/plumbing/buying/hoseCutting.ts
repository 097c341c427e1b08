import type { HoseItem } from '../../catalogue/index.ts';
import type { Offcut } from '../../model/index.ts';
import { AT_ONCE, type CuttingPlan, type CuttingProblem, cuttingPlan } from './cutting/index.ts';
import type { PartNeed } from './partsNeeded.ts';
import { soldLengths, whereLongEnough } from './soldLengths.ts';

/** What a cut takes of a hose, and of a tube, m. */
const KERF = 0.002;
const TUBE_KERF = 0.001;
/** A hose of which nobody says how it is sold comes by the half metre, up to 10 m. */
const SOLD = { step: 0.5, upTo: 10 };

/** What is cut of a hose, and from what; undefined where no length sold is long enough. */
export function cuttingOf(
  hose: HoseItem,
  pieces: PartNeed['pieces'],
  offcuts: readonly Offcut[],
): CuttingProblem | undefined {
  return whereLongEnough({
    pieces,
    stock: soldLengths(hose, SOLD),
    offcuts: offcuts
      .filter(({ item }) => item.id === hose.id)
      .map(({ id, length }) => ({ id, length: length.value })),
    kerf: hose.wall === 'rigid' ? TUBE_KERF : KERF,
  });
}

/** The plan by which the pieces of a hose are cut; undefined where no length sold is long enough. */
export function planFor(
  hose: HoseItem,
  pieces: PartNeed['pieces'],
  offcuts: readonly Offcut[],
): CuttingPlan | undefined {
  const problem = cuttingOf(hose, pieces, offcuts);
  return problem && cuttingPlan(problem, AT_ONCE);
}

/** What has to be bought of a hose for some pieces, m; their sum where no length sold is long enough. */
export const boughtOf = (hose: HoseItem, pieces: PartNeed['pieces']): number =>
  planFor(hose, pieces, [])?.bought ?? pieces.reduce((sum, { length }) => sum + length, 0);
