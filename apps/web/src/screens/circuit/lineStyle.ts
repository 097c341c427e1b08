import type { LineRole } from '@brookrain/core';

/** Colour, line style and letter of a role: told apart by all three. */
export const lineStyle: Record<LineRole, { colour: string; dash?: string; letter: string }> = {
  suction: { colour: 'var(--line-suction)', dash: '9 3', letter: 'S' },
  feed: { colour: 'var(--line-feed)', letter: 'F' },
  return: { colour: 'var(--line-return)', dash: '4 3', letter: 'R' },
  vent: { colour: 'var(--edge)', dash: '2 3', letter: 'V' },
  other: { colour: 'var(--line-feed)', letter: 'H' },
};
