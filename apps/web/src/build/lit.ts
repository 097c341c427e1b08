import { useSyncExternalStore } from 'react';

/** What is looked at: a part, or a wire; every screen that shows it lights it. */
export interface Lit {
  readonly partId?: string;
  readonly wireId?: string;
}

let now: Lit = {};
const listeners = new Set<() => void>();

/** Lights a part or a wire on every screen. */
export function light(lit: Lit): void {
  if (lit.partId === now.partId && lit.wireId === now.wireId) return;
  now = lit;
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** What is lit. */
export const useLit = (): Lit => useSyncExternalStore(subscribe, () => now);
