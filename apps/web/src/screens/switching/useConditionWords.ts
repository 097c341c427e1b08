import { type ConditionWords, formatMeasure } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { useUnits } from '../../ui/preferences.ts';

/** How conditions are told: with the names of this build, in the reader's units. */
export function useConditionWords(): ConditionWords {
  const { document: build } = useBuild();
  const [units] = useUnits();
  const names = new Map(
    [...build.devices, ...build.vehicleSignals].map(({ id, name }) => [id, name]),
  );
  return {
    nameOf: (id) => names.get(id) ?? id,
    quantityText: ({ value }, kind) => formatMeasure({ value, kind }, units),
  };
}
