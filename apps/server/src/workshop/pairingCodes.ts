import { randomBytes, timingSafeEqual } from 'node:crypto';

/** A code is good for so long, ms. */
export const CODE_LASTS = 10 * 60_000;
/** So many wrong codes are taken of one address for each code. */
export const WRONG_OF_ONE = 5;
/** Addresses whose wrong codes are counted; the code's 49 bits hold without the count, too. */
const MOST_ADDRESSES = 10_000;

/** Letters and digits that nobody takes for another. */
const LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const LENGTH = 10;

interface Code {
  readonly text: string;
  readonly until: number;
  /** how many wrong codes came from each address while this one was good */
  readonly wrong: Map<string, number>;
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

/**
 * The code that the next device is paired with: good once, for ten minutes. An address that sent
 * several wrong codes is not heard again until there is a new one; no address can use up another's
 * tries, so a stranger cannot keep anybody out.
 */
export class PairingCodes {
  private code: Code | undefined;

  constructor(private readonly now: () => number = Date.now) {}

  /** A new code with a fresh count of wrong ones; the one before it is good no more. */
  next(): { readonly code: string; readonly until: number } {
    const until = this.now() + CODE_LASTS;
    const text = randomCode();
    this.code = { text, until, wrong: new Map() };
    return { code: text, until };
  }

  /** No code is good any more. */
  forget(): void {
    this.code = undefined;
  }

  /** Uses the code up, or counts a wrong one; without an address nobody is paired. */
  use(text: string, address: string | undefined): CodeAnswer {
    const { code } = this;
    if (address === undefined || code === undefined || code.until <= this.now()) return 'wrong';
    const wrong = code.wrong.get(address) ?? 0;
    if (wrong >= WRONG_OF_ONE) return 'too many';
    if (!same(code.text, text)) {
      if (wrong > 0 || code.wrong.size < MOST_ADDRESSES) code.wrong.set(address, wrong + 1);
      return 'wrong';
    }
    this.code = undefined;
    return 'paired';
  }
}
