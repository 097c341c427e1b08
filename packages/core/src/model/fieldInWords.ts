import { isRecord } from '../numerics/index.ts';
import type { NumberFormat } from '../quantities/index.ts';
import { documentSpec } from './document.ts';
import { jointInWords } from './jointInWords.ts';
import type { Path } from './path.ts';
import type { ReferenceSpec } from './spec.ts';
import { specAt } from './specAt.ts';
import { valueInWords } from './valueInWords.ts';

type Entries = Readonly<Record<string, unknown>>;

/** Everything on the way to a path, outermost first. */
function holdersOf(document: unknown, path: Path): Entries[] {
  const holders: Entries[] = [];
  let at: unknown = document;
  for (const key of path) {
    if (!isRecord(at)) break;
    holders.push(at);
    at = at[key];
  }
  return holders;
}

const entryIn = (holder: unknown, collection: string, id: unknown): unknown => {
  const entries = isRecord(holder) ? holder[collection] : undefined;
  return isRecord(entries) && typeof id === 'string' && Object.hasOwn(entries, id)
    ? entries[id]
    : undefined;
};

/** What a reference at a path names. */
function named(document: unknown, path: Path, spec: ReferenceSpec, id: unknown): unknown {
  const holders = holdersOf(document, path);
  if (spec.within !== undefined) {
    const beside = [...path.slice(0, -1), spec.within];
    const other = referenceAt(document, beside);
    const owner = holders.at(-1);
    return other && owner
      ? entryIn(named(document, beside, other, owner[spec.within]), spec.to, id)
      : undefined;
  }
  return entryIn(
    holders.findLast((holder) => isRecord(holder[spec.to])),
    spec.to,
    id,
  );
}

function referenceAt(document: unknown, path: Path): ReferenceSpec | undefined {
  const spec = specAt(documentSpec, path, document);
  const inner = spec?.type === 'nullable' ? spec.of : spec;
  return inner?.type === 'reference' ? inner : undefined;
}

/** What a text may be the id of; nothing where it is no such text, or names nothing. */
function mayName(document: unknown, path: Path, value: unknown): unknown {
  const spec = specAt(documentSpec, path, document);
  return spec?.type === 'text'
    ? spec.mayName?.map((collection) => entryIn(document, collection, value)).find(Boolean)
    : undefined;
}

/**
 * A value of a document, or one that is to stand at its path, in few words: a reference by the name
 * of what it names, all else as it is told by itself.
 */
export function fieldInWords(
  document: unknown,
  path: Path,
  value: unknown,
  numbers?: NumberFormat,
): string {
  const reference = referenceAt(document, path);
  if (reference?.to === 'nodes') {
    const circuit = holdersOf(document, path).findLast((holder) => isRecord(holder['nodes']));
    return jointInWords(circuit, value) ?? valueInWords(value, numbers);
  }
  const entry = reference
    ? named(document, path, reference, value)
    : mayName(document, path, value);
  const { name, title } = isRecord(entry) ? entry : {};
  const called = typeof name === 'string' ? name : title;
  return typeof called === 'string' ? called : valueInWords(value, numbers);
}
