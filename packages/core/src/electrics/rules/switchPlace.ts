import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { SwitchTableRow } from '../switching/index.ts';

/** Where a finding about a row of the table is dealt with. */
export const where = (row: SwitchTableRow): BuildFinding['where'] => ({
  stage: 'switching',
  switch: row.key,
});

/** Sets one value. */
export const setting = (path: readonly string[], value: unknown): BuildCommand => ({
  name: 'set',
  path,
  value,
});
