import { type PlacedComponents, placedComponents } from '@brookrain/core';
import { useMemo } from 'react';
import { useBuild } from '../../build/BuildContext.ts';

/** The parts that sit on the vehicle, and the ports that lines begin and end at. */
export function useComponents(): PlacedComponents {
  const { document: build, catalogue } = useBuild();
  const { placements, fuelCircuits: circuits, power } = build;
  return useMemo(
    () => placedComponents({ placements, circuits, power, catalogue }),
    [placements, circuits, power, catalogue],
  );
}
