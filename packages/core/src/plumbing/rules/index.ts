import type { PlumbingRule } from '../checked.ts';
import { jointRules } from './joints.ts';
import { lengthRules } from './lengths.ts';

/** Every check of lines as they are made. */
export const plumbingRules: readonly PlumbingRule[] = [...jointRules, ...lengthRules];
