import type { HarnessChecked } from '../harness/index.ts';
import type { BuildFinding } from '../model/index.ts';
import type { Severity } from '../results/index.ts';
import { rules } from './rules.ts';

const severityOrder: Readonly<Record<Severity, number>> = { stop: 0, warn: 1, note: 2 };

/** What every rule finds, worst first. */
export const found = (checked: HarnessChecked): BuildFinding[] =>
  rules
    .flatMap((rule) => rule.check(checked))
    .sort((a, b) => severityOrder[a.severity] - severityOrder[b.severity]);
