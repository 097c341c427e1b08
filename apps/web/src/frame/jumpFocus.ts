import { type RefObject, useEffect } from 'react';

let wanted = false;

/** Asks the screen that opens next to take the focus. */
export function focusNextScreen(): void {
  wanted = true;
}

/** Gives the focus to a screen that was jumped to. */
export function useJumpFocus(main: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    if (!wanted || !main.current) return;
    wanted = false;
    main.current.focus({ preventScroll: true });
  });
}
