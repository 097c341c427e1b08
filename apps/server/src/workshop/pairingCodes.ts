import { randomBytes, timingSafeEqual } from 'node:crypto';

/** A code is good for so long, ms. */
export const CODE_LASTS = 10 * 60_000;
/** So many wrong codes are taken of one address, and of all together, in that time. */
export const WRONG_OF_ONE = 5;
export const WRONG_OF_ALL = 30;

/** Letters and digits that nobody takes for another. */
const LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const LENGTH = 10;

interface Code {
  readonly text: string;
  readonly until: number;
}

function randomCode(): string {
  let text = '';
  while (text.length < LENGTH) {
    // What would favour some letters is drawn again.
    for (const byte of randomBytes(LENGTH)) {
      if (byte < 248 && text.length < LENGTH) text += LETTERS.charAt(byte % LETTERS.length);
    }
  }
  return text;
}

const same = (a: string, b: string): boolean => {
  const [x, y] = [Buffer.from(a), Buffer.from(b)];
  return x.length === y.length && timingSafeEqual(x, y);
};

/** How a code that was sent is answered. */
export type CodeAnswer = 'paired' | 'wrong' | 'too many';

/** Codes that devices are paired with: each once, for ten minutes, and few wrong ones. */
export class PairingCodes {
  private codes: Code[] = [];
  private wrong: { readonly address: string; readonly at: number }[] = [];

  constructor(private readonly now: () => number = Date.now) {}

  /** A new code; the one before it is good no more. */
  next(): { readonly code: string; readonly until: number } {
    const until = this.now() + CODE_LASTS;
    const code = randomCode();
    this.codes = [{ text: code, until }];
    return { code, until };
  }

  /** No code is good any more. */
  forget(): void {
    this.codes = [];
  }

  /** Uses a code up, or counts a wrong one. */
  use(text: string, address: string): CodeAnswer {
    const now = this.now();
    this.codes = this.codes.filter(({ until }) => until > now);
    this.wrong = this.wrong.filter(({ at }) => at > now - CODE_LASTS);
    const own = this.wrong.filter((each) => each.address === address).length;
    if (own >= WRONG_OF_ONE || this.wrong.length >= WRONG_OF_ALL) return 'too many';
    const found = this.codes.find((code) => same(code.text, text));
    if (!found) {
      this.wrong.push({ address, at: now });
      return 'wrong';
    }
    this.codes = this.codes.filter((code) => code !== found);
    return 'paired';
  }
}
