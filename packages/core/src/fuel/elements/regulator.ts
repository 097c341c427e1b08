import { type Catalogue, lookUp } from '../../catalogue/index.ts';
import type { RegulatorElement } from '../../model/index.ts';
import type { NetworkBranch } from '../hydraulics/network.ts';
import { regulatorBranch } from '../hydraulics/regulatorBranch.ts';
import type { RegulatorUnit } from '../hydraulics/regulatorUnit.ts';
import { type AtRunningPoint, type ElementKindEntry, RETURN_GUESS } from './elementKind.ts';

const unitOf = (element: RegulatorElement, catalogue: Catalogue): RegulatorUnit => {
  const item = lookUp(catalogue, 'regulator', element.item, element.id);
  return {
    elementId: element.id,
    branchId: element.id,
    inletNode: element.from,
    outletNode: element.to,
    itemRef: element.item,
    designation: item.designation,
    item,
    setPressure: element.setPressure.value,
    manifoldRatio: element.manifoldRatio.value,
    setMin: item.setMin,
    setMax: item.setMax,
    bypassMin: item.bypassMin,
    bypassMax: item.bypassMax,
    adjustable: true,
  };
};

/** The bypass of what regulates; beside what keeps the pressure it goes on regulating. */
export const bypassOf = (unit: RegulatorUnit, at: AtRunningPoint): NetworkBranch => {
  const { conditions, fluid } = at;
  const mode = at.keeps ? conditions.regulators : 'regulating';
  return {
    id: unit.branchId,
    from: unit.inletNode,
    to: unit.outletNode,
    model: (smoothing) =>
      regulatorBranch({
        setting: unit,
        fluid,
        smoothing,
        manifoldGauge: conditions.manifoldGauge,
        mode,
        heldAt: mode === 'holding' ? conditions.heldAt : undefined,
        initialFlow: RETURN_GUESS,
      }),
  };
};

/** A regulator that lets go to the tank what is too much. */
export const regulator: ElementKindEntry<RegulatorElement> = {
  category: 'regulator',
  ports: ['from', 'to'],
  ways: [['from', 'to']],
  regulator: unitOf,
  branches: (element, at) => [bypassOf(unitOf(element, at.catalogue), at)],
};
