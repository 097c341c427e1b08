import { memo } from '../../numerics/index.ts';
import type { Catalogue } from '../../catalogue/index.ts';
import type { FuelCircuit } from '../../model/index.ts';
import { regulatorUnitOf } from './regulatorUnit.ts';

/** What keeps the injectors' pressure in a circuit: a regulator, or the pump itself. SI, gauge. */
export interface PressureKeeper {
  readonly elementId: string;
  readonly kind: 'return' | 'forward' | 'speed';
  readonly setPressure: number;
  readonly manifoldRatio: number;
  /** node whose pressure it keeps */
  readonly node: string;
  /** branch that carries what is left over when that node is held */
  readonly spareBranchId: string;
}

/** Branch that takes what is left over at a held node, where nothing returns. */
export const spareBranchId = (elementId: string): string => `${elementId}~spare`;

/** What keeps the pressure; undefined where nothing does. A forward regulator comes first. */
export const pressureKeeperOf = memo(findKeeper);

function findKeeper(circuit: FuelCircuit, catalogue: Catalogue): PressureKeeper | undefined {
  for (const element of circuit.elements) {
    if (element.kind !== 'dead-head-regulator') continue;
    return {
      elementId: element.id,
      kind: 'forward',
      setPressure: element.setPressure.value,
      manifoldRatio: 0,
      node: element.to,
      spareBranchId: spareBranchId(element.id),
    };
  }
  const unit = regulatorUnitOf(circuit, catalogue);
  if (unit) {
    return {
      elementId: unit.elementId,
      kind: 'return',
      setPressure: unit.setPressure,
      manifoldRatio: unit.manifoldRatio,
      node: unit.inletNode,
      spareBranchId: unit.branchId,
    };
  }
  for (const element of circuit.elements) {
    if (element.kind !== 'pump' || element.control?.kind !== 'pressure') continue;
    return {
      elementId: element.id,
      kind: 'speed',
      setPressure: element.control.target.value,
      manifoldRatio: element.control.manifoldRatio.value,
      node: element.control.sensorNode,
      spareBranchId: spareBranchId(element.id),
    };
  }
  return undefined;
}
