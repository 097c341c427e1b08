import { useSyncExternalStore } from 'react';
import type { OpenBuild } from './BuildContext.ts';

/** What of the open build is known outside its frame. */
export type KnownBuild = Pick<OpenBuild, 'id' | 'evaluation' | 'undo' | 'redo' | 'step'>;

let known: KnownBuild | undefined;
const listeners = new Set<() => void>();

/** Says which build is open; undefined when it is left. */
export function tellOpenBuild(build: KnownBuild | undefined): void {
  known = build;
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The build that is open in this window, for what stands outside its frame. */
export const useKnownBuild = (): KnownBuild | undefined =>
  useSyncExternalStore(subscribe, () => known);
