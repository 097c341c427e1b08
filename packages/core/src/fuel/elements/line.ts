import { type Catalogue, lookUp } from '../../catalogue/index.ts';
import type { LineElement } from '../../model/index.ts';
import { type LocalLoss, type PipeGeometry, pipeBranch } from '../hydraulics/pipeBranch.ts';
import { type ElementKindEntry, FEED_GUESS, RETURN_GUESS, riseBetween } from './elementKind.ts';

/** Geometry of a line of a length m with the losses of its fittings. */
export function lineGeometry(
  line: LineElement,
  length: number,
  catalogue: Catalogue,
): PipeGeometry {
  const hose = lookUp(catalogue, 'hose', line.item, line.id);
  const losses = line.fittings.map((use): LocalLoss => {
    const fitting = lookUp(catalogue, 'fitting', use.item, line.id);
    return {
      lossCoefficient: fitting.lossCoefficient,
      bore: fitting.bore,
      count: use.count,
    };
  });
  return { length, bore: hose.bore, roughness: hose.roughness, losses };
}

/** A hose or tube with its fittings. */
export const line: ElementKindEntry<LineElement> = {
  category: 'hose',
  ports: ['from', 'to'],
  ways: [['from', 'to']],
  law: (element, { heights, fluid, catalogue, length }) =>
    pipeBranch({
      rise: riseBetween(heights, element.from, element.to),
      fluid,
      initialFlow: element.role === 'return' ? RETURN_GUESS : FEED_GUESS,
      pipe: lineGeometry(element, length, catalogue),
    }),
  bore: (element, catalogue) => lookUp(catalogue, 'hose', element.item, element.id).bore,
};
