import { type BuildDocument, documentSpec } from './document.ts';
import { type Path, checkPath, pathText, valueAt } from './path.ts';
import type { ReferenceSpec } from './spec.ts';
import { type Surrounding, specAt, walkSpec } from './specAt.ts';

/** Something in a document that points at nothing, or does not hold together. */
export interface ReferenceProblem {
  readonly path: Path;
  readonly message: string;
}

const entryOfCollection = (holder: unknown, collection: string, id: unknown): unknown => {
  const entries = (holder as Record<string, unknown> | undefined)?.[collection];
  return typeof id === 'string' &&
    typeof entries === 'object' &&
    entries !== null &&
    Object.hasOwn(entries, id)
    ? (entries as Record<string, unknown>)[id]
    : undefined;
};

/** What a reference names: an entry of the nearest collection of its name, or of one it says. */
function entryNamed(spec: ReferenceSpec, id: unknown, around: readonly Surrounding[]): unknown {
  const owner = around[around.length - 1];
  if (spec.within !== undefined && owner) {
    const beside = owner.spec.fields[spec.within];
    const holder =
      beside?.type === 'reference'
        ? entryNamed(beside, owner.value[spec.within], around)
        : undefined;
    return entryOfCollection(holder, spec.to, id);
  }
  const holder = around.findLast(({ value }) => typeof value[spec.to] === 'object');
  return entryOfCollection(holder?.value, spec.to, id);
}

/** Every reference of a document whose entry is not there, and decisions about places that are not. */
export function danglingReferences(document: BuildDocument): ReferenceProblem[] {
  const problems: ReferenceProblem[] = [];
  const say = (path: Path, message: string): void => void problems.push({ path, message });
  walkSpec(documentSpec, document, ({ spec, value, path, around }) => {
    const named = spec.type === 'nullable' ? spec.of : spec;
    if (named.type !== 'reference' || (spec.type === 'nullable' && value === null)) return;
    if (entryNamed(named, value, around) === undefined) {
      say(path, `there is no ${named.what} "${String(value)}"`);
    }
  });
  for (const [optionId, option] of Object.entries(document.options)) {
    for (const [alternativeId, alternative] of Object.entries(option.alternatives)) {
      for (const [key, { path }] of Object.entries(alternative.values)) {
        const at = ['options', optionId, 'alternatives', alternativeId, 'values', key, 'path'];
        try {
          checkPath(path);
          if (valueAt(document, path) === undefined) {
            say(at, `there is nothing at "${pathText(path)}"`);
          } else if (!specAt(documentSpec, path, document)) {
            say(at, `"${pathText(path)}" is not a place in a build`);
          }
        } catch (error) {
          say(at, (error as Error).message);
        }
      }
    }
  }
  return problems;
}
