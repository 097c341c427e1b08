import type { KeyboardEvent } from 'react';

/** Arrow keys walk a list of things of which one is selected; Home and End jump. */
export function walkKeys<Id>(ids: readonly Id[], selected: Id, select: (id: Id) => void) {
  return (event: KeyboardEvent): void => {
    const at = ids.indexOf(selected);
    const forward = event.key === 'ArrowRight' || event.key === 'ArrowDown';
    const back = event.key === 'ArrowLeft' || event.key === 'ArrowUp';
    const next = forward
      ? at + 1
      : back
        ? at - 1
        : event.key === 'Home'
          ? 0
          : event.key === 'End'
            ? ids.length - 1
            : undefined;
    if (next === undefined) return;
    event.preventDefault();
    const id = ids[Math.min(ids.length - 1, Math.max(0, next))];
    if (id !== undefined) select(id);
  };
}
