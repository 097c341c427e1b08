import type { BuildCommand, Change } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';

/** A cure that sets several values as one edit. */
export const several = (label: string, changes: readonly Change[]): Cure<BuildCommand> => ({
  text: label,
  command: { name: 'set-several', label, changes: [...changes] },
});
