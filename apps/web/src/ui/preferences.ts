import {
  type NumberFormat,
  type Reading,
  type UnitSystem,
  numberFormats,
  unitSystems,
} from '@brookrain/core';
import { useContext, useMemo, useSyncExternalStore } from 'react';
import { BuildContext } from '../build/BuildContext.ts';

/** Units as a person reads: their own, or those of the build that is open. */
export type UnitChoice = 'build' | UnitSystem;
export type Theme = 'light' | 'dark';

const listeners = new Set<() => void>();
const tell = (): void => listeners.forEach((listener) => listener());

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  // Other windows of this device follow.
  window.addEventListener('storage', listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', listener);
  };
}

const kept = (name: string): string | null => localStorage.getItem(`brookrain.${name}`);
function keep(name: string, value: string): void {
  localStorage.setItem(`brookrain.${name}`, value);
  tell();
}
const oneOf = <Value extends string>(values: readonly Value[], text: string | null, usual: Value) =>
  values.find((value) => value === text) ?? usual;

const readChoice = (): UnitChoice =>
  oneOf(['build', ...unitSystems] as const, kept('units'), 'build');
const readNumbers = (): NumberFormat => oneOf(numberFormats, kept('numbers'), 'space-point');
const readTheme = (): Theme =>
  document.documentElement.dataset['theme'] === 'dark' ? 'dark' : 'light';

/** Name under which this device's edits stand in the history. */
export const authorName = (): string => kept('author')?.trim() || 'workshop';

/** How this person reads here: own units, or those of the open build. */
export function useUnits(): [Reading] {
  const choice = useSyncExternalStore(subscribe, readChoice);
  const numbers = useSyncExternalStore(subscribe, readNumbers);
  const ofBuild = useContext(BuildContext)?.document.displayUnits ?? 'metric';
  const system = choice === 'build' ? ofBuild : choice;
  return useMemo(() => [{ system, numbers }], [system, numbers]);
}

/** The choice behind `useUnits`, to be changed. */
export function useUnitChoice(): [UnitChoice, (next: UnitChoice) => void] {
  return [useSyncExternalStore(subscribe, readChoice), (next) => keep('units', next)];
}

/** How figures are written; kept on this device. */
export function useNumberFormat(): [NumberFormat, (next: NumberFormat) => void] {
  return [useSyncExternalStore(subscribe, readNumbers), (next) => keep('numbers', next)];
}

/** Light for a bright workshop, dark for night; kept on this device. */
export function useTheme(): [Theme, (next: Theme) => void] {
  const theme = useSyncExternalStore(subscribe, readTheme);
  return [
    theme,
    (next) => {
      document.documentElement.dataset['theme'] = next;
      keep('theme', next);
    },
  ];
}

/** The name under which edits are made; kept on this device. */
export function useAuthor(): [string, (next: string) => void] {
  const author = useSyncExternalStore(subscribe, () => kept('author') ?? '');
  return [author, (next) => keep('author', next.slice(0, 60))];
}
