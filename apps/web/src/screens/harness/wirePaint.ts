import type { WireColour } from '@brookrain/core';

/** How insulation of a colour is drawn. */
export const wirePaint: Readonly<Record<WireColour, string>> = {
  black: '#2b2b2b',
  red: '#c0392f',
  blue: '#2f62b5',
  green: '#3c8a4a',
  yellow: '#e3c62f',
  white: '#f4f2ec',
  brown: '#7d5638',
  orange: '#e0812f',
  violet: '#7b4fa0',
  grey: '#9a9a96',
  pink: '#e39ab4',
};

/** Base and stripe of a colour in words: `green/black`. */
export function paintOf(colour: string): readonly [base: string, stripe: string | undefined] {
  const [base = '', stripe] = colour.split('/');
  const paint = (name: string): string | undefined => wirePaint[name as WireColour];
  return [paint(base) ?? 'var(--paper)', stripe === undefined ? undefined : paint(stripe)];
}
