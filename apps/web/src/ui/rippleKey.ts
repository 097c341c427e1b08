import type { RippleEntry } from '@brookrain/core';

/** What tells entries of a ripple apart in a list: a figure and a finding may have one name. */
export const rippleKey = (entry: RippleEntry): string =>
  `${entry.type} ${entry.type === 'figure' ? entry.key : entry.id}`;
