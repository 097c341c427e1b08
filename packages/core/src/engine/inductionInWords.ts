import type { Aspiration } from './model.ts';

/** How an engine breathes, in words. */
export const inductionInWords: Record<Aspiration, string> = {
  natural: 'natural',
  supercharged: 'supercharged',
  turbo: 'turbocharged',
};
