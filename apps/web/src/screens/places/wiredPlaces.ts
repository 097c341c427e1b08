import type { Build, Placement } from '@brookrain/core';

/** Places at which something is wired: units and supply first, then what else there is. */
export function wiredPlaces(build: Build): readonly Placement[] {
  const { power, controllers, devices } = build;
  const first = [
    power.ecuPlacementId,
    power.studPlacementId,
    power.batteryPlacementId,
    power.mainFusePlacementId,
    ...controllers.map(({ placementId }) => placementId),
  ];
  const ids = new Set([...first, ...devices.map(({ placementId }) => placementId)]);
  return [...ids].flatMap((id) => build.placements.find((place) => place.id === id) ?? []);
}
