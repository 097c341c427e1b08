import type { OrificeElement } from '../../model/index.ts';
import { orificeBranch } from '../hydraulics/orificeBranch.ts';
import { type ElementKindEntry, RETURN_GUESS, riseBetween } from './elementKind.ts';

/** A restrictor: a hole of its own. */
export const orifice: ElementKindEntry<OrificeElement> = {
  category: null,
  ports: ['from', 'to'],
  ways: [['from', 'to']],
  law: (element, { heights, fluid }) =>
    orificeBranch({
      diameter: element.diameter.value,
      rise: riseBetween(heights, element.from, element.to),
      fluid,
      initialFlow: RETURN_GUESS,
    }),
  bore: (element) => element.diameter.value,
};
