import type { BuildRule } from '../../model/index.ts';
import type { ElectricsChecked } from '../checked.ts';
import { powerRules } from './powerRules.ts';
import { sharedPin } from './sharedPin.ts';
import { wires } from './wireRules.ts';

/** Checks of the pumps' wiring. */
export const electricsRules: readonly BuildRule<ElectricsChecked>[] = [
  wires,
  ...powerRules,
  sharedPin,
];
