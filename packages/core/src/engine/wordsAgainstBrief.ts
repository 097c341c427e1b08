import { inductionInWords } from './inductionInWords.ts';
import type { Aspiration } from './model.ts';

/** Texts in which a person described the build. */
export interface OwnWords {
  readonly vehicle: string;
  readonly engine: string;
  readonly description: string;
}

/** What of the brief those words may speak of; displacement in m³. */
export interface DescribedFacts {
  readonly aspiration: Aspiration;
  readonly displacement: number;
  readonly cylinders: number;
}

/** Words of a person that say another thing than the brief. */
export interface WordsDisagreement {
  readonly field: keyof OwnWords;
  readonly says: string;
  readonly brief: string;
}

/** Displacements are rounded when they are talked about: this share is no contradiction. */
const ROUNDED = 0.06;

const inductions: readonly { readonly is: Aspiration; readonly pattern: RegExp }[] = [
  { is: 'natural', pattern: /\bnaturally[ -]aspirated\b|\bnatural aspiration\b/i },
  { is: 'supercharged', pattern: /\bsupercharge[dr]\b/i },
  { is: 'turbo', pattern: /\b(?:twin[ -]|bi)?turbo(?:charge[dr])?\b/i },
];

/** What was, or is not: "replacing a turbocharged four" says nothing about this engine. */
const ABOUT_ANOTHER =
  /\b(?:no|not|without|never|was|were|formerly|old|replac\w+|instead|removed|swapped from)\b/i;

const numberWords: Readonly<Record<string, number>> = {
  single: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  eight: 8,
  ten: 10,
  twelve: 12,
};
const NUMBER = `(\\d{1,2}|${Object.keys(numberWords).join('|')})`;
const cylinderPatterns = [
  new RegExp(`\\b${NUMBER}[ -]cylinders?\\b`, 'i'),
  new RegExp(`\\b(?:inline|straight|flat)[ -]${NUMBER}\\b`, 'i'),
  /\bV-?(\d{1,2})\b/,
];

/** Parts of a text that speak of this build as it is. */
const statements = (text: string): string[] =>
  text.split(/[.;,]\s|\bwith\b/).filter((part) => !ABOUT_ANOTHER.test(part));

function inductionSaid(text: string): { is: Aspiration; words: string } | undefined {
  for (const part of statements(text)) {
    for (const { is, pattern } of inductions) {
      const words = pattern.exec(part)?.[0];
      if (words !== undefined) return { is, words };
    }
  }
  return undefined;
}

function cylindersSaid(text: string): { count: number; words: string } | undefined {
  for (const part of statements(text)) {
    for (const pattern of cylinderPatterns) {
      const found = pattern.exec(part);
      const said = found?.[1]?.toLowerCase();
      if (found && said !== undefined) {
        return { count: numberWords[said] ?? Number(said), words: found[0] };
      }
    }
  }
  return undefined;
}

/** Displacement m³ that a text speaks of. */
function displacementSaid(text: string): { volume: number; words: string } | undefined {
  for (const part of statements(text)) {
    const found = /\b(\d+(?:[.,]\d+)?)[ -]?(L|litres?|liters?|cc|cm³)(?![\w/])/i.exec(part);
    const [words, figure, unit] = found ?? [];
    if (words === undefined || figure === undefined) continue;
    const value = Number(figure.replace(',', '.'));
    return { volume: /^c/i.test(unit ?? '') ? value * 1e-6 : value * 1e-3, words };
  }
  return undefined;
}

/**
 * Where a person's own words contradict the brief: how the engine breathes in any text, its
 * displacement and cylinders in the description of the engine. Words are printed on the papers, so
 * the one or the other has to be put right. Whoever reads decides: nothing is computed from words.
 */
export function wordsAgainstBrief(words: OwnWords, facts: DescribedFacts): WordsDisagreement[] {
  const found: WordsDisagreement[] = [];
  for (const field of ['vehicle', 'engine', 'description'] as const) {
    const said = inductionSaid(words[field]);
    if (said && said.is !== facts.aspiration) {
      const brief = inductionInWords[facts.aspiration];
      found.push({
        field,
        says: said.words,
        brief: facts.aspiration === 'natural' ? 'naturally aspirated' : brief,
      });
    }
  }
  const cylinders = cylindersSaid(words.engine);
  if (cylinders && cylinders.count !== facts.cylinders) {
    const brief = `${facts.cylinders} ${facts.cylinders === 1 ? 'cylinder' : 'cylinders'}`;
    found.push({ field: 'engine', says: cylinders.words, brief });
  }
  const displacement = displacementSaid(words.engine);
  if (displacement && Math.abs(displacement.volume / facts.displacement - 1) > ROUNDED) {
    const litres = `${Math.round(facts.displacement * 1e5) / 100} L`;
    found.push({ field: 'engine', says: displacement.words, brief: litres });
  }
  return found;
}

/** A disagreement as a sentence. */
export const disagreementInWords = ({ says, brief }: WordsDisagreement): string =>
  `The build’s own words say “${says}”, the brief says ${brief}: put one of them right.`;
