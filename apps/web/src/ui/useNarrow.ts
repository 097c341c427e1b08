import { useSyncExternalStore } from 'react';

/** Screens of phones: drawings are laid out anew there, so that what is written on them stays legible. */
const PHONE = '(max-width: 640px)';

/** Where there is no such question to ask, the screen is taken as wide. */
const media = (): MediaQueryList | undefined =>
  typeof window.matchMedia === 'function' ? window.matchMedia(PHONE) : undefined;

function subscribe(listener: () => void): () => void {
  const query = media();
  query?.addEventListener('change', listener);
  return () => query?.removeEventListener('change', listener);
}

/** Whether the screen is as narrow as a phone. */
export const useNarrow = (): boolean =>
  useSyncExternalStore(subscribe, () => media()?.matches ?? false);
