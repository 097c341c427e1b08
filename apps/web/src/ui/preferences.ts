import type { UnitSystem } from '@brookrain/core';
import { useSyncExternalStore } from 'react';

type Theme = 'light' | 'dark';
const listeners = new Set<() => void>();
const tell = (): void => listeners.forEach((listener) => listener());

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

const readUnits = (): UnitSystem =>
  localStorage.getItem('brookrain.units') === 'us' ? 'us' : 'metric';
const readTheme = (): Theme =>
  document.documentElement.dataset['theme'] === 'dark' ? 'dark' : 'light';

/** Units in which computed figures are shown; kept on this device. */
export function useUnits(): [UnitSystem, (next: UnitSystem) => void] {
  const units = useSyncExternalStore(subscribe, readUnits);
  return [
    units,
    (next) => {
      localStorage.setItem('brookrain.units', next);
      tell();
    },
  ];
}

/** Light for a bright workshop, dark for night; kept on this device. */
export function useTheme(): [Theme, (next: Theme) => void] {
  const theme = useSyncExternalStore(subscribe, readTheme);
  return [
    theme,
    (next) => {
      localStorage.setItem('brookrain.theme', next);
      document.documentElement.dataset['theme'] = next;
      tell();
    },
  ];
}
