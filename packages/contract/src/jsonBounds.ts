/** Deepest nesting, most values in all, most keys of one object and entries of one list. */
export const jsonBounds = { depth: 24, values: 400_000, keys: 3000, entries: 20_000 } as const;

const QUOTE = 0x22;
const BACKSLASH = 0x5c;
const COMMA = 0x2c;
const OPEN_LIST = 0x5b;
const CLOSE_LIST = 0x5d;
const OPEN_OBJECT = 0x7b;
const CLOSE_OBJECT = 0x7d;

/** Words of each bound that may be passed. */
export const boundWords = {
  depth: `nested deeper than ${jsonBounds.depth} levels`,
  values: 'the file holds too many values',
  keys: `at most ${jsonBounds.keys} entries in one place`,
  entries: `at most ${jsonBounds.entries} entries in one place`,
} as const;

/**
 * Looks through JSON, as text or as bytes of UTF-8, before it is read: why it is too deep, too wide or
 * holds too much; undefined when it is within bounds. In one pass, whatever it holds; whether it is
 * JSON at all is not asked.
 */
export function jsonTooMuch(json: string | Uint8Array): string | undefined {
  const at =
    typeof json === 'string' ? (i: number) => json.charCodeAt(i) : (i: number) => json[i] ?? 0;
  const nextQuote =
    typeof json === 'string'
      ? (from: number) => json.indexOf('"', from)
      : (from: number) => json.indexOf(QUOTE, from);
  /** Where a text ends that begins at a quote: at the next one that no backslash takes away. */
  const endOfText = (start: number): number => {
    for (let end = nextQuote(start + 1); end >= 0; end = nextQuote(end + 1)) {
      let before = end - 1;
      while (before > start && at(before) === BACKSLASH) before -= 1;
      if ((end - 1 - before) % 2 === 0) return end;
    }
    return json.length;
  };
  /** commas so far in each place that is open, and whether it is a list */
  const commas: number[] = [];
  const isList: boolean[] = [];
  let values = 1;
  for (let i = 0; i < json.length; i++) {
    const sign = at(i);
    switch (sign) {
      case QUOTE:
        i = endOfText(i);
        break;
      case OPEN_LIST:
      case OPEN_OBJECT:
        if (commas.length > jsonBounds.depth) return boundWords.depth;
        commas.push(0);
        isList.push(sign === OPEN_LIST);
        values += 1;
        break;
      case CLOSE_LIST:
      case CLOSE_OBJECT:
        commas.pop();
        isList.pop();
        break;
      case COMMA: {
        const place = commas.length - 1;
        if (place < 0) break;
        const most = isList[place] ? 'entries' : 'keys';
        const count = (commas[place] ?? 0) + 1;
        commas[place] = count;
        if (count >= jsonBounds[most]) return boundWords[most];
        if (++values > jsonBounds.values) return boundWords.values;
      }
    }
  }
  return undefined;
}
