import { useEffect } from 'react';

/** One key of the program: shown in the palette and on the help sheet. */
export interface Shortcut {
  readonly keys: string;
  readonly words: string;
}

/** The whole set; small on purpose. Digits go to the stages of the order of work. */
export const shortcuts: readonly Shortcut[] = [
  { keys: '.', words: 'Find: pages, parts, builds, words, actions' },
  { keys: '1 … 9, 0', words: 'Go to a stage of the order of work' },
  { keys: 'f', words: 'Findings' },
  { keys: 'o', words: 'Operating map' },
  { keys: 'v', words: 'Compare versions' },
  { keys: 'h', words: 'History' },
  { keys: 'l', words: 'Lines: ends, cut lengths' },
  { keys: 'w', words: 'Work cards' },
  { keys: 'b', words: 'Buying' },
  { keys: 'Ctrl Z', words: 'Undo' },
  { keys: 'Ctrl Shift Z', words: 'Redo' },
  { keys: 'F1', words: 'This sheet' },
  { keys: 'Arrows, Home, End', words: 'Walk a list or a drawing' },
  { keys: 'Enter', words: 'Commit a field; open the working of a figure' },
  { keys: 'Escape', words: 'Put a field back as it was; close what is open' },
];

/** True while keys belong to a field. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable);

/** True while letters look for something in a list of choices, open or closed, or in a menu. */
const isLookedThrough = (target: EventTarget | null): boolean =>
  target instanceof Element &&
  target.closest('[role="combobox"], [data-radix-popper-content-wrapper]') !== null;

/** Plain keys outside of fields, lists of choices and dialogs; a handler returns true when it took the key. */
export function usePlainKeys(handle: (key: string) => boolean): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
      if (event.key !== 'F1' && (isTyping(event.target) || isLookedThrough(event.target))) return;
      if (document.querySelector('[role="dialog"]')) return;
      if (handle(event.key)) event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [handle]);
}
