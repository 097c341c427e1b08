import type { Build } from '../../model/index.ts';

/** Devices and controllers that stay as they are. */
export const keptParts = ({
  devices,
  controllers,
}: Pick<Build, 'devices' | 'controllers'>): readonly string[] =>
  [...devices, ...controllers].filter(({ state }) => state === 'kept').map(({ id }) => id);
