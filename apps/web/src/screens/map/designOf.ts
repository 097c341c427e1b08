import {
  type FixingDesign,
  type FixingWanted,
  type PlacedComponent,
  fixingDesign,
  fixingWanted,
} from '@brookrain/core';

/** How a part is held; undefined for one that nothing holds, or with bolts that are not made. */
export function designOf(
  component: PlacedComponent,
): { readonly wanted: FixingWanted; readonly design: FixingDesign } | undefined {
  const wanted = fixingWanted(component);
  if (!wanted) return undefined;
  try {
    return { wanted, design: fixingDesign(wanted) };
  } catch {
    // The finding says what is the matter.
    return undefined;
  }
}
