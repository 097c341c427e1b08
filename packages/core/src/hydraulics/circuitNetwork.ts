import type {
  Catalogue,
  CircuitElement,
  FuelCircuit,
  LineElement,
  PumpElement,
} from '../build/index.ts';
import { lookUp } from '../build/index.ts';
import { type PumpSupply, pumpModel } from '../pumps/index.ts';
import type { BranchModel } from './branchModel.ts';
import { controlledPumpBranch } from './controlledPumpBranch.ts';
import { drawBranch } from './drawBranch.ts';
import { filterBranch, filterLaw } from './filterBranch.ts';
import { fittingBranch } from './fittingBranch.ts';
import { type Fluid, GRAVITY } from './fluid.ts';
import { forwardRegulatorBranch } from './forwardRegulatorBranch.ts';
import type { Network, NetworkBranch, NetworkNode } from './network.ts';
import type { LocalLoss, PipeGeometry } from './pipeBranch.ts';
import { pipeBranch } from './pipeBranch.ts';
import { orificeBranch } from './orificeBranch.ts';
import { type PressureKeeper, pressureKeeperOf } from './pressureKeeper.ts';
import { pumpBranch } from './pumpBranch.ts';
import { heldPressure, regulatorBranch, spareBranch } from './regulatorBranch.ts';
import { regulatorUnit } from './regulatorUnit.ts';
import { surgeTankBranches } from './surgeTankBranches.ts';

/** What the circuit does not know of itself at a running point. SI, gauge pressures. */
export interface CircuitConditions {
  readonly manifoldGauge: number;
  /** demand kg/s and static coefficient kg/s per √Pa by injectors element id */
  readonly draws: Readonly<Record<string, { demand: number; staticCoefficient: number }>>;
  /** supply by pump element id */
  readonly supplies: Readonly<Record<string, PumpSupply>>;
  readonly regulators: 'regulating' | 'holding';
}

/** Geometry of a line with the losses of its fittings. */
export function lineGeometry(
  line: LineElement,
  length: number,
  catalogue: Catalogue,
): PipeGeometry {
  const hose = lookUp(catalogue, 'hose', line.item, line.id);
  const losses = line.fittings.map((use): LocalLoss => {
    const fitting = lookUp(catalogue, 'fitting', use.item, line.id);
    return {
      lossCoefficient: fitting.lossCoefficient,
      bore: fitting.bore,
      count: use.count,
    };
  });
  return { length, bore: hose.bore, roughness: hose.roughness, losses };
}

/** The pump curve of an element with its wear, on a supply. */
export function pumpOfElement(element: PumpElement, catalogue: Catalogue, supply: PumpSupply) {
  return pumpModel({
    item: lookUp(catalogue, 'pump', element.item, element.id),
    supply,
    wear: element.wear.value,
  });
}

/** Fixed gauge pressure at the outlet or return of a tank: surface pressure plus fuel above. */
function tankNodes(tank: Extract<CircuitElement, { kind: 'tank' }>, fluid: Fluid): NetworkNode[] {
  const above = fluid.density * GRAVITY * tank.fuelLevel.value;
  const outlet = { id: tank.outlet, fixedPressure: tank.pressure.value + above };
  return tank.returnNode === tank.outlet
    ? [outlet]
    : [outlet, { id: tank.returnNode, fixedPressure: tank.pressure.value }];
}

/** A circuit with all that does not change from one running point to the next worked out once. */
export interface PreparedCircuit {
  readonly circuit: FuelCircuit;
  readonly catalogue: Catalogue;
  readonly fluid: Fluid;
  readonly heights: Readonly<Record<string, number>>;
  /** lines, filters and fittings by element id */
  readonly passive: ReadonlyMap<string, () => BranchModel>;
  readonly nodes: readonly NetworkNode[];
  readonly keeper: PressureKeeper | undefined;
}

/** First guesses of flow, kg/s: through the feed, and back to the tank. */
const FEED_GUESS = 0.04;
const RETURN_GUESS = 0.02;

function passiveModel(
  element: CircuitElement,
  prepared: Pick<PreparedCircuit, 'catalogue' | 'fluid' | 'heights'>,
  length: number,
): BranchModel | undefined {
  const { catalogue, fluid, heights } = prepared;
  if (element.kind === 'orifice') {
    const rise = (heights[element.to] ?? 0) - (heights[element.from] ?? 0);
    const diameter = element.diameter.value;
    return orificeBranch({ diameter, rise, fluid, initialFlow: RETURN_GUESS });
  }
  if (!('item' in element)) return undefined;
  const rise = (heights[element.to] ?? 0) - (heights[element.from] ?? 0);
  const common = { rise, fluid, initialFlow: FEED_GUESS };
  switch (element.kind) {
    case 'fitting': {
      const item = lookUp(catalogue, 'fitting', element.item, element.id);
      const loss = { lossCoefficient: item.lossCoefficient, bore: item.bore, count: 1 };
      return fittingBranch({ ...common, loss });
    }
    case 'line': {
      const initialFlow = element.role === 'return' ? RETURN_GUESS : FEED_GUESS;
      return pipeBranch({ ...common, initialFlow, pipe: lineGeometry(element, length, catalogue) });
    }
    case 'filter':
    case 'filter-regulator': {
      const item = lookUp(catalogue, element.kind, element.item, element.id);
      const loadedFactor = element.state === 'loaded' ? item.loadedFactor : 1;
      return filterBranch({ ...common, loadedFactor, law: filterLaw(item) });
    }
    default:
      return undefined;
  }
}

/** Works out what stays the same over running points. Throws NotFound for missing items. */
export function prepareCircuit(
  input: Omit<PreparedCircuit, 'passive' | 'nodes' | 'keeper'> & {
    readonly lengths: Readonly<Record<string, number>>;
  },
): PreparedCircuit {
  const { circuit, catalogue, fluid, heights, lengths } = input;
  const nodes = new Map<string, NetworkNode>(circuit.nodes.map((n) => [n.id, { id: n.id }]));
  const passive = new Map<string, () => BranchModel>();
  for (const element of circuit.elements) {
    if (element.kind === 'tank') {
      for (const node of tankNodes(element, fluid)) nodes.set(node.id, node);
    }
    const model = passiveModel(element, input, lengths[element.id] ?? 0);
    if (model) passive.set(element.id, () => model);
  }
  const keeper = pressureKeeperOf(circuit, catalogue);
  return { circuit, catalogue, fluid, heights, passive, nodes: [...nodes.values()], keeper };
}

/** Lets what is left over go at a held node, where nothing returns: asks what can be delivered. */
function spareAt(keeper: PressureKeeper, manifoldGauge: number): NetworkBranch {
  const model = spareBranch(heldPressure(keeper, manifoldGauge));
  return { id: keeper.spareBranchId, from: keeper.node, to: null, model: () => model };
}

/** Builds the network of a prepared circuit at a running point. */
export function circuitNetwork(prepared: PreparedCircuit, conditions: CircuitConditions): Network {
  const { circuit, catalogue, fluid, heights } = prepared;
  const { manifoldGauge } = conditions;
  const holding = conditions.regulators === 'holding';
  const keeper = prepared.keeper;
  const branches: NetworkBranch[] = [];
  const guess = keeper ? heldPressure(keeper, manifoldGauge) : 3e5;
  for (const element of circuit.elements) {
    if (element.kind === 'tank') continue;
    if (element.kind === 'injectors') {
      const draw = conditions.draws[element.id] ?? { demand: 0, staticCoefficient: 1 };
      const model = drawBranch({ ...draw, manifoldGauge });
      branches.push({ id: element.id, from: element.node, to: null, model: () => model });
      continue;
    }
    if (element.kind === 'surge-tank') {
      for (const way of surgeTankBranches(element, heights, fluid)) {
        branches.push({ ...way, model: () => way.model });
      }
      continue;
    }
    const { id, from, to } = element;
    const known = prepared.passive.get(id);
    if (known) {
      branches.push({ id, from, to, model: known });
    } else if (element.kind === 'pump') {
      branches.push(pumpBranchOf(element, prepared, conditions));
    } else if (element.kind === 'dead-head-regulator') {
      const item = lookUp(catalogue, 'dead-head-regulator', element.item, id);
      // Held from outside it stands wide open, as it would with nothing left to take away.
      const setPressure = holding ? 1e9 : element.setPressure.value;
      branches.push({
        id,
        from,
        to,
        model: (smoothing) =>
          forwardRegulatorBranch({ item, setPressure, fluid, smoothing, initialFlow: FEED_GUESS }),
      });
    }
    const regulator = regulatorUnit(element, catalogue);
    if (regulator) {
      // Beside a forward regulator a return regulator goes on regulating.
      const mode = keeper?.elementId === element.id ? conditions.regulators : 'regulating';
      branches.push({
        id: regulator.branchId,
        from: regulator.inletNode,
        to: regulator.outletNode,
        model: (smoothing) =>
          regulatorBranch({
            setting: regulator,
            fluid,
            smoothing,
            manifoldGauge,
            mode,
            initialFlow: RETURN_GUESS,
          }),
      });
    }
  }
  if (holding && keeper && keeper.kind !== 'return') branches.push(spareAt(keeper, manifoldGauge));
  return { nodes: prepared.nodes, branches, initialPressure: guess };
}

export const NO_SUPPLY: PumpSupply = { openCircuitV: 0, seriesResistanceOhm: 0 };

/** A supply through a controller that passes a share of the voltage on (linear estimate). */
export const sharedSupply = (supply: PumpSupply, share: number): PumpSupply => ({
  ...supply,
  openCircuitV: supply.openCircuitV * share,
});

function pumpBranchOf(
  element: PumpElement,
  prepared: PreparedCircuit,
  conditions: CircuitConditions,
): NetworkBranch {
  const { catalogue, fluid, heights } = prepared;
  const { id, from, to, control } = element;
  const supply = conditions.supplies[id] ?? NO_SUPPLY;
  const full = pumpOfElement(element, catalogue, supply);
  const rise = (heights[to] ?? 0) - (heights[from] ?? 0);
  const initialFlow = 0.5 * full.greatestFlow * fluid.density;
  if (control?.kind !== 'pressure' || conditions.regulators === 'holding') {
    return {
      id,
      from,
      to,
      model: (smoothing) => pumpBranch({ rise, fluid, pump: full, smoothing, initialFlow }),
    };
  }
  const least = pumpOfElement(element, catalogue, sharedSupply(supply, control.leastShare.value));
  const target = heldPressure(
    { setPressure: control.target.value, manifoldRatio: control.manifoldRatio.value },
    conditions.manifoldGauge,
  );
  return {
    id,
    from,
    to,
    senses: control.sensorNode,
    model: (smoothing) =>
      controlledPumpBranch({ full, least, target, rise, fluid, smoothing, initialFlow }),
  };
}
