import { stableJson } from './stableJson.ts';
import { withValueAt } from './jsonPath.ts';
import type { BuildDocument } from './document.ts';

/** One replaced value. A patch is a list of these and is undone by swapping before and after. */
export interface PatchStep {
  readonly path: string;
  readonly before: unknown;
  readonly after: unknown;
}
/** The replaced values that lead from one document to the next. */
export type Patch = readonly PatchStep[];

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;

/** The smallest replaced values that lead from one document to another. */
export function diffDocuments(before: BuildDocument, after: BuildDocument): PatchStep[] {
  const steps: PatchStep[] = [];
  const walk = (a: unknown, b: unknown, path: string): void => {
    if (a === b) return;
    const comparable =
      isRecord(a) &&
      isRecord(b) &&
      Array.isArray(a) === Array.isArray(b) &&
      Object.keys(a).sort().join('\n') === Object.keys(b).sort().join('\n');
    if (!comparable || path.endsWith('.item')) {
      if (stableJson(a) !== stableJson(b)) steps.push({ path, before: a, after: b });
      return;
    }
    for (const key of Object.keys(a)) walk(a[key], b[key], path === '' ? key : `${path}.${key}`);
  };
  walk(before, after, '');
  return steps;
}

/** Puts the `after` values of a patch in place. */
export function applyPatch(document: BuildDocument, patch: Patch): BuildDocument {
  return patch.reduce((doc, step) => withValueAt(doc, step.path, step.after), document);
}

/** The patch that takes another one back. */
export function invertPatch(patch: Patch): PatchStep[] {
  return patch
    .map((step) => ({ path: step.path, before: step.after, after: step.before }))
    .reverse();
}
