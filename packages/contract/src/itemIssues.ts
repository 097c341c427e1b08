import { itemSpec } from '@brookrain/core';
import { specIssues } from './fields/specIssues.ts';
import type { Issue } from './issue.ts';

/** Everything wrong with one catalogue item. */
export const itemIssues = (value: unknown, prefix: string): Issue[] =>
  specIssues(itemSpec, value, prefix);
