import { type GlossaryWord, glossary } from './glossary.ts';

/** A piece of a text: plain, or a word of the glossary as it is written there. */
export type TextPiece = { readonly text: string; readonly entry?: GlossaryWord };

const byWriting = new Map<string, GlossaryWord>(
  glossary.flatMap((entry) =>
    [entry.word, ...(entry.also ?? [])].map((text) => [text.toLowerCase(), entry] as const),
  ),
);
const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const pattern = new RegExp(
  `(?<![\\p{L}\\d-])(${[...byWriting.keys()]
    .sort((a, b) => b.length - a.length)
    .map(escaped)
    .join('|')})(?![\\p{L}\\d-])`,
  'giu',
);

/** Splits a text at the words of the glossary; each word is linked where it stands first. */
export function splitWords(text: string): TextPiece[] {
  const pieces: TextPiece[] = [];
  const seen = new Set<GlossaryWord>();
  let last = 0;
  for (const match of text.matchAll(pattern)) {
    const entry = byWriting.get(match[0].toLowerCase());
    if (!entry || seen.has(entry)) continue;
    seen.add(entry);
    if (match.index > last) pieces.push({ text: text.slice(last, match.index) });
    pieces.push({ text: match[0], entry });
    last = match.index + match[0].length;
  }
  if (last < text.length) pieces.push({ text: text.slice(last) });
  return pieces;
}
