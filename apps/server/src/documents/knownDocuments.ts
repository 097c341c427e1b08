import type { BuildDocument } from '@brookrain/core';
import { Newest } from '../builds/newest.ts';
import type { BuildText } from '../work/workMessages.ts';

/** Letters of the documents that a thread remembers as objects. */
const REMEMBERED = 12e6;

interface Known {
  readonly text: string;
  readonly document: BuildDocument;
}

const known = new Newest<Known>(REMEMBERED, ({ text }) => text.length);

/** A build's document as an object: the same one for the same revision, as long as it is remembered. */
export function documentOf({ key, text }: Pick<BuildText, 'key' | 'text'>): BuildDocument {
  const found = known.get(key);
  if (found?.text === text) return found.document;
  const document = JSON.parse(text) as BuildDocument;
  known.set(key, { text, document });
  return document;
}

/** Remembers a document that was just written: the next edit starts from it. */
export const rememberDocument = (key: string, text: string, document: BuildDocument): void =>
  known.set(key, { text, document });
