import type { Catalogue } from '../catalogue/index.ts';
import type { BuildDocument } from '../model/index.ts';
import { type Evaluation, type Evaluator } from './evaluate.ts';

/** A build that is compared with variants of itself, and an evaluator that may know it. */
export interface KnownBuild {
  readonly document: BuildDocument;
  readonly catalogue: Catalogue;
  readonly evaluator: Evaluator;
}

/** A build and what is changed in it: only what a change moves is worked out. */
export interface Variants {
  readonly present: Evaluation;
  /** a variant, from what is known of the build itself, not of another variant */
  readonly with: (changed: BuildDocument) => Evaluation;
  /** an evaluator that knows the build, of its own */
  readonly evaluator: () => Evaluator;
}

/** Evaluates a build, and variants of it each beside it. */
export function variantsOf({ document, catalogue, evaluator }: KnownBuild): Variants {
  const present = evaluator.evaluate(document, catalogue);
  const known = evaluator.branch();
  return {
    present,
    with: (changed) => known.branch().evaluate(changed, catalogue),
    evaluator: () => known.branch(),
  };
}
