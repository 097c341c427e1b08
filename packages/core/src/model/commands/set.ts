import { command } from '../command.ts';
import { putAt, removeAt } from '../edit.ts';
import type { Path } from '../path.ts';
import { pathInWords } from '../pathInWords.ts';
import { anything, list, object, pathField, text } from '../spec.ts';

/** Puts a value in its place, or an entry into a collection. */
export const set = command({
  name: 'set',
  fields: { path: pathField(), value: anything() },
  words: (c) => `Change ${pathInWords(c.path)}`,
  recipe: (draft, c) => putAt(draft, c.path, c.value),
});

/** A value put at a path of the document. */
export interface Change {
  readonly path: Path;
  readonly value: unknown;
}

/** Puts several values in their places at once. */
export const setSeveral = command({
  name: 'set-several',
  fields: {
    label: text({ min: 1, max: 120 }),
    changes: list(object({ path: pathField(), value: anything() }), { min: 1, max: 200 }),
  },
  words: (c) => c.label,
  recipe: (draft, c) => c.changes.forEach(({ path, value }) => putAt(draft, path, value)),
});

/** Takes an entry out of a collection. */
export const remove = command({
  name: 'remove',
  fields: { path: pathField() },
  words: (c) => `Remove ${pathInWords(c.path)}`,
  recipe: (draft, c) => removeAt(draft, c.path),
});
