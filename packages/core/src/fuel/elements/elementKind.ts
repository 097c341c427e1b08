import type { Catalogue, CatalogueCategory } from '../../catalogue/index.ts';
import type { CircuitElement } from '../../model/index.ts';
import type { BranchModel } from '../hydraulics/branchModel.ts';
import type { Fluid } from '../hydraulics/fluid.ts';
import type { NetworkBranch, NetworkNode } from '../hydraulics/network.ts';
import type { RegulatorUnit } from '../hydraulics/regulatorUnit.ts';
import type { PumpSupply } from '../pumps/pumpModel.ts';
import type { ElementState, PumpState } from './elementState.ts';

/** What the circuit does not know of itself at a running point. SI, gauge pressures. */
export interface CircuitConditions {
  readonly manifoldGauge: number;
  /** demand kg/s and static coefficient kg/s per √Pa by injectors element id */
  readonly draws: Readonly<Record<string, { demand: number; staticCoefficient: number }>>;
  /** supply by pump element id */
  readonly supplies: Readonly<Record<string, PumpSupply>>;
  readonly regulators: 'regulating' | 'holding';
  /** gauge pressure at which the kept node is held; its set pressure when left out */
  readonly heldAt?: number;
}

/** What an element stands in: catalogue, fuel and heights m of the joints. */
export interface ElementSurroundings {
  readonly catalogue: Catalogue;
  readonly fluid: Fluid;
  readonly heights: Readonly<Record<string, number>>;
}

/** What the law of an element may ask at a running point. */
export interface AtRunningPoint extends ElementSurroundings {
  readonly conditions: CircuitConditions;
  /** the element keeps the pressure of the circuit */
  readonly keeps: boolean;
}

/** A circuit as it was solved. Pressures Pa gauge, flows kg/s. */
export interface AtSolution extends ElementSurroundings {
  readonly conditions: CircuitConditions;
  readonly pressure: (node: string) => number;
  readonly flow: (branchId: string) => number;
}

/** First guesses of flow, kg/s: through the feed, and back to the tank. */
export const FEED_GUESS = 0.04;
export const RETURN_GUESS = 0.02;

/**
 * All that is particular to one kind of circuit element. Its fields are declared beside it in
 * `model.ts`; its symbol is drawn by the screen.
 */
export interface ElementKindEntry<Element extends CircuitElement> {
  /** shelf of the catalogue that its part comes from; null for what is not bought as a part */
  readonly category: CatalogueCategory | null;
  /** fields that name the joints it sits between */
  readonly ports: readonly (keyof Element & string)[];
  /** ways of the fuel through it, from port to port */
  readonly ways: readonly (readonly [from: keyof Element & string, to: keyof Element & string])[];
  /** joints whose pressure is known, whatever flows */
  readonly fixedNodes?: (element: Element, fluid: Fluid) => readonly NetworkNode[];
  /** law of an element that is the same at every running point */
  readonly law?: (
    element: Element,
    at: ElementSurroundings & { length: number; bendLoss: number },
  ) => BranchModel;
  /** branches that depend on the running point */
  readonly branches?: (element: Element, at: AtRunningPoint) => readonly NetworkBranch[];
  /** the part of it that regulates by letting go */
  readonly regulator?: (element: Element, catalogue: Catalogue) => RegulatorUnit;
  /** bore m in which its velocity is told */
  readonly bore?: (element: Element, catalogue: Catalogue) => number;
  /** its state where that is not flow and pressures from inlet to outlet */
  readonly state?: (element: Element, at: AtSolution) => ElementState;
  /** what it does as a pump */
  readonly pumpState?: (element: Element, at: AtSolution, state: ElementState) => PumpState;
}

/** Height m from one joint to another. */
export const riseBetween = (
  heights: Readonly<Record<string, number>>,
  from: string,
  to: string,
): number => (heights[to] ?? 0) - (heights[from] ?? 0);
