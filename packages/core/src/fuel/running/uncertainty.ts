import { type CatalogueItem, type Catalogue, lookUp } from '../../catalogue/index.ts';
import { engineFigure, hotFuel } from '../../engine/index.ts';
import { lossesOn } from '../elements/index.ts';
import { prepareCircuit } from '../hydraulics/circuitNetwork.ts';
import { solveCircuit, stateOf } from '../hydraulics/solveCircuit.ts';
import { entryAt, rankCorrelation, seededNormal } from '../../numerics/index.ts';
import type { FuelChecked } from '../checked.ts';
import { namedCases } from './cases.ts';
import type { CircuitDesign } from './design.ts';
import type { FluidResult } from './fluidStage.ts';
import { SAG_STOP } from '../rules/railSag.ts';
import type { RunningPoint } from './runningPoint.ts';
import { assumedDifference, conditionsAt, injectorsOf, rowDifference } from './solvePoint.ts';
import { rowMassFlow } from './rowShare.ts';

/** What is not known exactly, and how far off it may be (2σ). */
export const uncertainInputs = [
  { id: 'demand', label: 'Fuel demand', spread: '±10 %', twoSigma: 0.1 },
  { id: 'pump', label: 'Pump flow', spread: '±8 %', twoSigma: 0.08 },
  { id: 'bore', label: 'Bores', spread: '±3 %', twoSigma: 0.03 },
  { id: 'loss', label: 'Loss coefficients', spread: '±25 %', twoSigma: 0.25 },
  { id: 'temperature', label: 'Fuel temperature', spread: '±10 K', twoSigma: 10 },
  { id: 'voltage', label: 'System voltage', spread: '±0.3 V', twoSigma: 0.3 },
] as const;
export type UncertainInput = (typeof uncertainInputs)[number]['id'];

export interface UncertaintyOptions {
  readonly draws: number;
  readonly seed: number;
}

/** What the draws say about holding pressure at peak. */
export interface Uncertainty {
  readonly draws: number;
  readonly seed: number;
  /** share of draws in which the injectors get their pressure and the engine its fuel */
  readonly holds: number;
  /** sag at the 5th, 50th and 95th of a hundred draws */
  readonly sag: { readonly low: number; readonly middle: number; readonly high: number };
  /** rank correlation of each input with sag, greatest effect first; positive: more makes it worse */
  readonly causes: readonly { readonly id: UncertainInput; readonly correlation: number }[];
}

/** A run that is taken in parts, so that it can tell its progress and be left. */
export interface UncertaintyRun {
  readonly total: number;
  readonly done: number;
  /** Makes up to so many more draws. */
  step(count: number): void;
  /** The outcome of the draws made so far; undefined before the first. */
  outcome(): Uncertainty | undefined;
}

/** A lack of fuel below this is the tolerance of the solve. */
const NOTHING = 1e-6;

type Draw = Readonly<Record<UncertainInput, number>>;

/** Items with bores and loss coefficients multiplied. */
function scaledItem(item: CatalogueItem, bore: number, loss: number): CatalogueItem {
  if (item.category === 'hose') return { ...item, bore: item.bore * bore };
  if (item.category === 'fitting') {
    return { ...item, bore: item.bore * bore, lossCoefficient: item.lossCoefficient * loss };
  }
  return item;
}

/** Every item that a circuit refers to. */
function itemsOf(circuit: CircuitDesign, catalogue: Catalogue): CatalogueItem[] {
  const items = new Set<CatalogueItem>();
  for (const element of circuit.circuit.elements) {
    if (!('item' in element)) continue;
    const category = element.kind === 'line' ? 'hose' : element.kind;
    items.add(lookUp(catalogue, category, element.item, element.id));
    if (element.kind !== 'line') continue;
    for (const use of lossesOn(element)) {
      items.add(lookUp(catalogue, 'fitting', use.item, element.id));
    }
  }
  return [...items];
}

/** The worst sag, or lack of fuel, of the rows in one draw; infinite when the circuit cannot be solved there. */
function sagIn(
  checked: FuelChecked,
  fluid: FluidResult,
  items: readonly CatalogueItem[],
  nominal: RunningPoint,
  draw: Draw,
): number {
  const { design } = checked;
  const { fuel } = fluid.design;
  const hottest = checked.results.at(engineFigure('fuel.hottestTemperature'));
  const drawnFuel = {
    ...fuel,
    hot: hotFuel({
      fuel: fuel.fuel,
      scope: {},
      hottest: { ...hottest, value: hottest.value + draw.temperature },
    }),
  };
  const catalogue: Catalogue = {
    items: items.map((item) => scaledItem(item, 1 + draw.bore, Math.max(0, 1 + draw.loss))),
  };
  const elements = fluid.design.circuit.elements.map((element) =>
    element.kind === 'pump' ? { ...element, wear: { value: -draw.pump, unit: '%' } } : element,
  );
  const circuit: CircuitDesign = {
    ...fluid.design,
    fuel: drawnFuel,
    circuit: { ...fluid.design.circuit, elements },
  };
  const point: RunningPoint = {
    ...nominal,
    massFlow: nominal.massFlow * (1 + draw.demand),
    systemVoltage: nominal.systemVoltage + draw.voltage,
  };
  const solution = solveCircuit(
    prepareCircuit({
      circuit: circuit.circuit,
      catalogue,
      fluid: drawnFuel.hot,
      heights: circuit.heights,
      lengths: circuit.lengths,
      bendLosses: circuit.bendLosses,
    }),
    conditionsAt(circuit, point),
  );
  if (solution.state === 'failed') return Infinity;
  const assumed = assumedDifference(design, fluid.design, point);
  return Math.max(
    ...circuit.rows.flatMap((row) => {
      const rails = injectorsOf(circuit, row);
      const needed = rowMassFlow(row, point);
      // Injectors that are open all the time hold their pressure but starve the engine.
      const injected = rails.reduce((sum, e) => sum + stateOf(solution, e.id).massFlow, 0);
      const lack = needed > 0 && rails.length > 0 ? 1 - injected / needed : 0;
      const sag = 1 - rowDifference(circuit, row, solution) / assumed;
      return lack > NOTHING ? [sag, lack] : [sag];
    }),
  );
}

/** Value below which a share of sorted values lies. */
const quantile = (sorted: readonly number[], share: number): number =>
  entryAt(sorted, Math.min(sorted.length - 1, Math.floor(share * sorted.length)));

/**
 * Draws everything that is not known exactly around its nominal value and solves peak power with
 * it: no design factor, no wear, running voltage. The same seed gives the same draws.
 */
export function startUncertainty(
  checked: FuelChecked,
  options: UncertaintyOptions,
): UncertaintyRun {
  const normal = seededNormal(options.seed);
  const peak = namedCases(checked.document, checked.design.demand).peakPower;
  const nominal: RunningPoint = {
    ...peak,
    massFlow: checked.design.demand.peak.massFlow,
    systemVoltage: checked.document.limits.voltageRunning.value,
  };
  const circuits = checked.fluids.map((fluid) => ({
    fluid,
    items: itemsOf(fluid.design, checked.catalogue),
  }));
  const draws: Draw[] = [];
  const sags: number[] = [];
  return {
    total: options.draws,
    get done() {
      return draws.length;
    },
    step(count) {
      const until = Math.min(options.draws, draws.length + count);
      while (draws.length < until) {
        const draw = Object.fromEntries(
          uncertainInputs.map(({ id, twoSigma }) => [id, (twoSigma / 2) * normal()]),
        ) as Draw;
        draws.push(draw);
        sags.push(
          Math.max(
            ...circuits.map(({ fluid, items }) => sagIn(checked, fluid, items, nominal, draw)),
          ),
        );
      }
    },
    outcome() {
      if (draws.length === 0) return undefined;
      const sorted = [...sags].sort((a, b) => a - b);
      return {
        draws: draws.length,
        seed: options.seed,
        holds: sags.filter((sag) => sag <= SAG_STOP).length / sags.length,
        sag: {
          low: quantile(sorted, 0.05),
          middle: quantile(sorted, 0.5),
          high: quantile(sorted, 0.95),
        },
        causes: uncertainInputs
          .map(({ id }) => ({
            id,
            correlation: rankCorrelation(
              draws.map((draw) => draw[id]),
              sags,
            ),
          }))
          .sort((a, b) => Math.abs(b.correlation) - Math.abs(a.correlation)),
      };
    },
  };
}
