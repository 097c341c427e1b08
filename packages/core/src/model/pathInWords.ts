import { documentSpec } from './document.ts';
import type { Path } from './path.ts';
import type { Spec } from './spec.ts';

/** Fields that say nothing of what was changed: the best known of a length is the length. */
const silent = new Set(['typed', 'measured']);

/** The declaration of a field of an object, whichever kind it may be. */
function fieldOf(spec: Spec, key: string): Spec | undefined {
  if (spec.type === 'object') return spec.fields[key];
  if (spec.type === 'nullable') return fieldOf(spec.of, key);
  if (spec.type !== 'kinds') return undefined;
  return Object.values(spec.kinds).find((kind) => Object.hasOwn(kind.fields, key))?.fields[key];
}

const isGroup = (spec: Spec): boolean => spec.type === 'object' || spec.type === 'record';

/**
 * The fields on a path in plain words, without ids and without the part of the build they stand
 * in: the boost of the brief is "boost", the wear of a pump in its circuit "wear".
 */
export function pathInWords(path: Path): string {
  const words: string[] = [];
  let spec: Spec | undefined = documentSpec;
  /** the collection that was passed last: an entry of it has no better word */
  let collected = '';
  path.forEach((key, depth) => {
    if (spec?.type === 'record') {
      spec = spec.of;
      return;
    }
    const field: Spec | undefined = spec && fieldOf(spec, key);
    const onTheWay = field !== undefined && isGroup(field) && depth < path.length - 1;
    const collection = field?.type === 'record' || depth === 0;
    if (field?.type === 'record') collected = key;
    if (field && !silent.has(key) && !(onTheWay && collection)) words.push(key);
    spec = field;
  });
  const shown = words.length > 0 ? words : [collected];
  return shown
    .map((key) => key.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`))
    .join(' ');
}
