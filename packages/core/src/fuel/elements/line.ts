import { type Catalogue, lookUp } from '../../catalogue/index.ts';
import type { ItemRef, LineElement, Path } from '../../model/index.ts';
import { type LocalLoss, type PipeGeometry, pipeBranch } from '../hydraulics/pipeBranch.ts';
import { type ElementKindEntry, FEED_GUESS, RETURN_GUESS, riseBetween } from './elementKind.ts';

/** Everything on a line that costs pressure beside its length: fittings, ends and adapters. */
export const lossesOn = (
  line: LineElement,
): readonly { readonly item: ItemRef; readonly count: number; readonly path?: Path }[] => [
  ...line.fittings,
  ...(line.ends ?? []).map((end) => ({ ...end, count: 1 })),
];

/** Geometry of a line of a length m with the losses of its fittings and of its bends. */
export function lineGeometry(
  line: LineElement,
  { length, bendLoss }: { readonly length: number; readonly bendLoss: number },
  catalogue: Catalogue,
): PipeGeometry {
  const hose = lookUp(catalogue, 'hose', line.item, line.id);
  const losses = lossesOn(line).map((use): LocalLoss => {
    const fitting = lookUp(catalogue, 'fitting', use.item, line.id);
    return {
      lossCoefficient: fitting.lossCoefficient,
      bore: fitting.bore,
      count: use.count,
    };
  });
  const bends: readonly LocalLoss[] =
    bendLoss > 0 ? [{ lossCoefficient: bendLoss, bore: hose.bore, count: 1 }] : [];
  return { length, bore: hose.bore, roughness: hose.roughness, losses: [...losses, ...bends] };
}

/** A hose or tube with its fittings. */
export const line: ElementKindEntry<LineElement> = {
  category: 'hose',
  ports: ['from', 'to'],
  ways: [['from', 'to']],
  law: (element, { heights, fluid, catalogue, length, bendLoss }) =>
    pipeBranch({
      rise: riseBetween(heights, element.from, element.to),
      fluid,
      initialFlow: element.role === 'return' ? RETURN_GUESS : FEED_GUESS,
      pipe: lineGeometry(element, { length, bendLoss }, catalogue),
    }),
  bore: (element, catalogue) => lookUp(catalogue, 'hose', element.item, element.id).bore,
};
