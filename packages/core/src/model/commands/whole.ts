import { command } from '../command.ts';
import { type BuildDocument, documentSpec } from '../document.ts';
import { mergeInto, putAt } from '../edit.ts';
import { itemRefsIn } from '../itemRefs.ts';
import { text, whole } from '../spec.ts';

/** Puts one revision of an item wherever any revision of it is used. */
export const useRevision = command({
  name: 'use-revision',
  fields: { itemId: text({ min: 1, max: 40 }), revision: whole({ min: 1, max: 100000 }) },
  words: (c) => `Use revision ${c.revision} of ${c.itemId}`,
  recipe(draft, c) {
    for (const { path, ref } of itemRefsIn(draft as BuildDocument)) {
      if (ref.id === c.itemId) putAt(draft, [...path, 'revision'], c.revision);
    }
  },
});

/** Puts a whole document in the place of the build's: an import, or going back. */
export const replaceDocument = command({
  name: 'replace-document',
  fields: { document: documentSpec },
  words: (c) => `Import ${c.document.name}`,
  recipe: (draft, c) => mergeInto(draft, c.document),
});
