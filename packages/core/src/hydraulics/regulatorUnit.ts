import type { Catalogue, CircuitElement, FuelCircuit } from '../build/index.ts';
import { lookUp } from '../build/index.ts';
import type { RegulatorSetting } from './regulatorBranch.ts';

/** What regulates in a circuit, whatever body it comes in. SI, gauge. */
export interface RegulatorUnit extends RegulatorSetting {
  readonly elementId: string;
  /** branch of the network that carries the bypass */
  readonly branchId: string;
  /** node whose pressure it holds, and node to which it lets go */
  readonly inletNode: string;
  readonly outletNode: string;
  readonly itemId: string;
  readonly designation: string;
  readonly setMin: number;
  readonly setMax: number;
  readonly bypassMin: number;
  readonly bypassMax: number;
  /** fixed by the part; null path when it cannot be set */
  readonly adjustable: boolean;
}

/** The regulating part of an element; undefined when it does not regulate. */
export function regulatorUnit(
  element: CircuitElement,
  catalogue: Catalogue,
): RegulatorUnit | undefined {
  if (element.kind === 'regulator') {
    const item = lookUp(catalogue, 'regulator', element.item, element.id);
    return {
      elementId: element.id,
      branchId: element.id,
      inletNode: element.from,
      outletNode: element.to,
      itemId: item.id,
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
  }
  if (element.kind === 'filter-regulator') {
    const item = lookUp(catalogue, 'filter-regulator', element.item, element.id);
    return {
      elementId: element.id,
      branchId: `${element.id}~bypass`,
      inletNode: element.to,
      outletNode: element.returnNode,
      itemId: item.id,
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
  }
  return undefined;
}

/** The first regulating part of a circuit. */
export function regulatorUnitOf(
  circuit: FuelCircuit,
  catalogue: Catalogue,
): RegulatorUnit | undefined {
  for (const element of circuit.elements) {
    const unit = regulatorUnit(element, catalogue);
    if (unit) return unit;
  }
  return undefined;
}
