/** Words as they stand within a sentence: a name that begins with an abbreviation keeps it. */
export const lowerFirst = (words: string): string =>
  /^\p{Lu}(?![\p{Lu}\d])/u.test(words) ? words.charAt(0).toLowerCase() + words.slice(1) : words;
