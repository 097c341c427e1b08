import type { Build } from '@brookrain/core';

/** Whether nothing stands on the map but places and lines: the vehicle itself comes next. */
export const isBareMap = (build: Build): boolean =>
  build.solids.length === 0 && build.mountingLines.length === 0 && build.sheets.length === 0;
