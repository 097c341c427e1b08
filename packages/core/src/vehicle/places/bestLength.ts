import { firstOf } from '../../numerics/index.ts';
import type { LengthKnowledge, Placement } from '../../model/index.ts';
import {
  type FigureRef,
  type Result,
  type Sourced,
  defineFormula,
  derive,
  entered,
  following,
  together,
} from '../../results/index.ts';
import { mapLength, positionOf } from './mapLength.ts';

export const bestKnownLength = defineFormula({
  name: 'best known length',
  notation: 'L = measured, else typed, else along its route on the map, else estimated',
  kind: 'length',
  inputKinds: { known: 'length' },
  source: 'first of what is known, best first',
  compute: (i: { known: readonly number[] }) => firstOf(i.known),
});

/** What a length is known from, best first. */
export type LengthSource = 'measured' | 'typed' | 'route' | 'map';

export interface BestLength {
  readonly value: number;
  readonly source: LengthSource;
  readonly results: readonly [best: Result, estimate: Result];
}

/** The best known length between two places, m, and the estimate from the map beside it. */
export function bestLength(input: {
  figures: { readonly length: FigureRef; readonly mapLength: FigureRef };
  label: string;
  length: LengthKnowledge;
  from: Placement;
  to: Placement;
  /** where what is known of the length stands */
  path: readonly string[];
  /** developed length of its way on the map, where it has one */
  onMap?: Sourced<number> | undefined;
}): BestLength {
  const { figures, label, length, onMap } = input;
  const estimate = derive({
    figure: figures.mapLength,
    label: `${label}, length by the map`,
    formula: mapLength,
    inputs: {
      from: following(positionOf(input.from), ['placements', input.from.id]),
      to: following(positionOf(input.to), ['placements', input.to.id]),
    },
  });
  const known = [
    ...(length.measured ? [entered(length.measured, [...input.path, 'measured'])] : []),
    ...(length.typed ? [entered(length.typed, [...input.path, 'typed'])] : []),
    ...(onMap ? [onMap] : []),
    estimate,
  ];
  const source = length.measured ? 'measured' : length.typed ? 'typed' : onMap ? 'route' : 'map';
  const best = derive({
    figure: figures.length,
    label: `${label}, length`,
    formula: bestKnownLength,
    inputs: { known: together(known) },
  });
  return { value: best.value, source, results: [best, estimate] };
}

export const chassisFormulas = [mapLength, bestKnownLength];
