import type {
  Catalogue,
  CircuitElement,
  FuelCircuit,
  LineElement,
  PumpElement,
  RegulatorElement,
} from '../build/index.ts';
import { lookUp } from '../build/index.ts';
import { type PumpSupply, pumpModel } from '../pumps/index.ts';
import { drawBranch } from './drawBranch.ts';
import { filterBranch, filterLaw } from './filterBranch.ts';
import { fittingBranch } from './fittingBranch.ts';
import { type Fluid, GRAVITY } from './fluid.ts';
import type { Network, NetworkBranch, NetworkNode } from './network.ts';
import type { LocalLoss, PipeGeometry } from './pipeBranch.ts';
import { pipeBranch } from './pipeBranch.ts';
import { pumpBranch } from './pumpBranch.ts';
import { heldPressure, regulatorBranch } from './regulatorBranch.ts';

/** What the circuit does not know of itself at a running point. SI, gauge pressures. */
export interface CircuitConditions {
  readonly fluid: Fluid;
  readonly manifoldGauge: number;
  /** demand kg/s and static coefficient kg/s per √Pa by injectors element id */
  readonly draws: Readonly<Record<string, { demand: number; staticCoefficient: number }>>;
  /** supply by pump element id */
  readonly supplies: Readonly<Record<string, PumpSupply>>;
  /** height m by node id, best known length m by line id */
  readonly heights: Readonly<Record<string, number>>;
  readonly lengths: Readonly<Record<string, number>>;
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

/** Set point of a regulator element. */
export function regulatorSetting(element: RegulatorElement, catalogue: Catalogue) {
  return {
    item: lookUp(catalogue, 'regulator', element.item, element.id),
    setPressure: element.setPressure.value,
    manifoldRatio: element.manifoldRatio.value,
  };
}

/** Fixed gauge pressure at the outlet or return of a tank: surface pressure plus fuel above. */
function tankNodes(
  tank: Extract<CircuitElement, { kind: 'tank' }>,
  conditions: CircuitConditions,
): NetworkNode[] {
  const above = conditions.fluid.density * GRAVITY * tank.fuelLevel.value;
  const outlet = { id: tank.outlet, fixedPressure: tank.pressure.value + above };
  return tank.returnNode === tank.outlet
    ? [outlet]
    : [outlet, { id: tank.returnNode, fixedPressure: tank.pressure.value }];
}

/** Builds the network of a circuit at a running point. Throws NotFound for missing items. */
export function circuitNetwork(
  circuit: FuelCircuit,
  catalogue: Catalogue,
  conditions: CircuitConditions,
): Network {
  const { fluid, heights } = conditions;
  const nodes = new Map<string, NetworkNode>(circuit.nodes.map((n) => [n.id, { id: n.id }]));
  const branches: NetworkBranch[] = [];
  const demand = Object.values(conditions.draws).reduce((sum, d) => sum + d.demand, 0);
  let guess = 3e5;
  for (const element of circuit.elements) {
    if (element.kind === 'tank') {
      for (const node of tankNodes(element, conditions)) nodes.set(node.id, node);
      continue;
    }
    if (element.kind === 'injectors') {
      const draw = conditions.draws[element.id] ?? { demand: 0, staticCoefficient: 1 };
      branches.push({
        id: element.id,
        from: element.node,
        to: null,
        model: () => drawBranch({ ...draw, manifoldGauge: conditions.manifoldGauge }),
      });
      continue;
    }
    const { id, from, to } = element;
    const rise = (heights[to] ?? 0) - (heights[from] ?? 0);
    const common = { rise, fluid };
    const through = 1.5 * demand + 0.01;
    switch (element.kind) {
      case 'fitting': {
        const item = lookUp(catalogue, 'fitting', element.item, id);
        const loss = { lossCoefficient: item.lossCoefficient, bore: item.bore, count: 1 };
        const model = fittingBranch({ ...common, loss, initialFlow: through });
        branches.push({ id, from, to, model: () => model });
        break;
      }
      case 'line': {
        const pipe = lineGeometry(element, conditions.lengths[id] ?? 0, catalogue);
        const initialFlow = element.role === 'return' ? through - demand : through;
        const model = pipeBranch({ ...common, pipe, initialFlow });
        branches.push({ id, from, to, model: () => model });
        break;
      }
      case 'filter': {
        const item = lookUp(catalogue, 'filter', element.item, id);
        const model = filterBranch({
          ...common,
          law: filterLaw(item),
          loadedFactor: element.state === 'loaded' ? item.loadedFactor : 1,
          initialFlow: through,
        });
        branches.push({ id, from, to, model: () => model });
        break;
      }
      case 'pump': {
        const supply = conditions.supplies[id] ?? { openCircuitV: 0, seriesResistanceOhm: 0 };
        const pump = pumpOfElement(element, catalogue, supply);
        branches.push({
          id,
          from,
          to,
          model: (smoothing) =>
            pumpBranch({
              ...common,
              pump,
              smoothing,
              initialFlow: 0.5 * pump.greatestFlow * fluid.density,
            }),
        });
        break;
      }
      case 'regulator': {
        const setting = regulatorSetting(element, catalogue);
        guess = heldPressure(setting, conditions.manifoldGauge);
        branches.push({
          id,
          from,
          to,
          model: (smoothing) =>
            regulatorBranch({
              setting,
              fluid,
              smoothing,
              manifoldGauge: conditions.manifoldGauge,
              mode: conditions.regulators,
              initialFlow: through - demand,
            }),
        });
        break;
      }
    }
  }
  return { nodes: [...nodes.values()], branches, initialPressure: guess };
}
