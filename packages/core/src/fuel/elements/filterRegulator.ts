import { type Catalogue, lookUp } from '../../catalogue/index.ts';
import type { FilterRegulatorElement } from '../../model/index.ts';
import type { RegulatorUnit } from '../hydraulics/regulatorUnit.ts';
import type { ElementKindEntry } from './elementKind.ts';
import { filterPart } from './filter.ts';
import { bypassOf } from './regulator.ts';

const unitOf = (element: FilterRegulatorElement, catalogue: Catalogue): RegulatorUnit => {
  const item = lookUp(catalogue, 'filter-regulator', element.item, element.id);
  return {
    elementId: element.id,
    branchId: `${element.id}~bypass`,
    inletNode: element.to,
    outletNode: element.returnNode,
    itemRef: element.item,
    designation: item.designation,
    item,
    setPressure: item.setPressure,
    manifoldRatio: 0,
    setMin: item.setPressure,
    setMax: item.setPressure,
    bypassMin: item.bypassMin,
    bypassMax: item.bypassMax,
    adjustable: false,
  };
};

/** A filter with a fixed regulator in one body. */
export const filterRegulator: ElementKindEntry<FilterRegulatorElement> = {
  category: 'filter-regulator',
  ports: ['from', 'to', 'returnNode'],
  ways: [['from', 'to']],
  law: filterPart,
  regulator: unitOf,
  branches: (element, at) => [bypassOf(unitOf(element, at.catalogue), at)],
};
