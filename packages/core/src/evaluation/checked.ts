import type { HarnessChecked } from '../harness/index.ts';
import type { BuildDocument } from '../model/index.ts';

/** Everything the checks look at: the outcome of all earlier stages, and what it was made from. */
export interface Checked extends HarnessChecked {
  readonly stored: BuildDocument;
}
