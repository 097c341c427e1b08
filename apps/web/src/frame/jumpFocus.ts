import { type RefObject, useEffect, useRef } from 'react';

/** Where the program stood when the focus was asked for. */
let askedAt: string | undefined;

/** Asks the screen that opens next to take the focus. */
export function focusNextScreen(): void {
  askedAt = location.href;
}

/** Gives the focus to a screen that was jumped to; the one that is being left keeps out of it. */
export function useJumpFocus(main: RefObject<HTMLElement | null>): void {
  const own = useRef(location.pathname);
  useEffect(() => {
    if (askedAt === undefined || askedAt === location.href || !main.current) return;
    if (own.current !== location.pathname) return;
    askedAt = undefined;
    main.current.focus({ preventScroll: true });
  });
}
