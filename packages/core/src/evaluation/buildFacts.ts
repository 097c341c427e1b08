import type { CautionFacts } from './cautions.ts';
import type { Build } from '../model/index.ts';

/** The facts of a build that decide which cautions apply. */
export function cautionFacts(document: Build): CautionFacts {
  const { use } = document.brief;
  const batteryPlace = document.placements.find((p) => p.id === document.power.batteryPlacementId);
  return {
    mostlyAlcohol: document.fuels.some((f) => f.kind === 'methanol' || f.ethanol.value >= 0.5),
    tipOver: use === 'two-or-three-wheeler' || use === 'off-road',
    batteryInCabin: batteryPlace?.zone === 'cabin',
  };
}
