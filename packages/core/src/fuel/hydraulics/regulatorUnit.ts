import type { Catalogue } from '../../catalogue/index.ts';
import type { CircuitElement, FuelCircuit, ItemRef } from '../../model/index.ts';
import { elementKindOf } from '../elements/index.ts';
import type { RegulatorSetting } from './regulatorBranch.ts';

/** What regulates in a circuit, whatever body it comes in. SI, gauge. */
export interface RegulatorUnit extends RegulatorSetting {
  readonly elementId: string;
  /** branch of the network that carries the bypass */
  readonly branchId: string;
  /** node whose pressure it holds, and node to which it lets go */
  readonly inletNode: string;
  readonly outletNode: string;
  readonly itemRef: ItemRef;
  readonly designation: string;
  readonly setMin: number;
  readonly setMax: number;
  readonly bypassMin: number;
  readonly bypassMax: number;
  /** fixed by the part; null path when it cannot be set */
  readonly adjustable: boolean;
}

/** The regulating part of an element; undefined when it does not regulate. */
export const regulatorUnit = (
  element: CircuitElement,
  catalogue: Catalogue,
): RegulatorUnit | undefined => elementKindOf(element).regulator?.(element, catalogue);

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
