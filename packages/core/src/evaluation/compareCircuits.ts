import { circuitOf, resultIndex } from '../results/index.ts';
import { type NeededPiece, boughtOf, isFurtherWay } from '../plumbing/index.ts';
import { type Catalogue, type HoseItem, lookUp } from '../catalogue/index.ts';
import { applyCommand } from './commands/applyCommand.ts';
import { withEndsAlong } from './commands/withEndsAlong.ts';
import {
  type Architecture,
  type BuildFinding,
  type FuelCircuit,
  architectures,
  readBuild,
} from '../model/index.ts';
import type { Evaluation } from './evaluate.ts';
import {
  type CircuitSolution,
  assumedDifference,
  circuitScope,
  fuelFigure,
  layOutAs,
  lossesOn,
  railImbalance,
  rowDifference,
} from '../fuel/index.ts';
import { entryAt, addTo } from '../numerics/index.ts';
import { type KnownBuild, variantsOf } from './variants.ts';

/** One circuit judged on the demand of a build. SI; undefined where it could not be solved. */
export interface JudgedCircuit {
  readonly circuit: FuelCircuit;
  readonly solution: CircuitSolution;
  readonly stops: readonly string[];
  readonly warnings: readonly string[];
  readonly differenceIdle: number | undefined;
  readonly differencePeak: number | undefined;
  readonly sag: number | undefined;
  readonly pumpMargin: number | undefined;
  readonly railBalance: number | undefined;
  readonly inletHead: number | undefined;
  readonly pumpCurrent: number | undefined;
  readonly primeTime: number | undefined;
  readonly heatingPerHour: number | undefined;
  readonly joints: number;
  readonly price: number;
  readonly mass: number;
}

/** Price and mass of what a circuit is made of; hoses by the metre. */
function partsOf(
  circuit: FuelCircuit,
  lengths: Readonly<Record<string, number>>,
  catalogue: Catalogue,
) {
  let price = 0;
  let mass = 0;
  let joints = 0;
  const cut = new Map<HoseItem, NeededPiece[]>();
  for (const element of circuit.elements) {
    if (!('item' in element)) continue;
    joints += 2;
    if (element.kind !== 'line') {
      const item = lookUp(catalogue, element.kind, element.item, element.id);
      if (isFurtherWay(circuit, element, item)) continue;
      price += item.price;
      mass += item.mass;
      continue;
    }
    const hose = lookUp(catalogue, 'hose', element.item, element.id);
    const length = lengths[element.id] ?? 0;
    mass += length * hose.mass;
    const piece = { id: element.id, name: element.name, length, from: 'default' };
    addTo(cut, hose, piece);
    for (const use of lossesOn(element)) {
      const fitting = lookUp(catalogue, 'fitting', use.item, element.id);
      price += use.count * fitting.price;
      mass += use.count * fitting.mass;
      joints += use.count;
    }
  }
  // Hose costs what is bought of it: in the lengths it is sold in.
  for (const [hose, pieces] of cut) price += hose.price * boughtOf(hose, pieces);
  return { price, mass, joints };
}

/** Titles of findings of a severity, each once. */
const titlesOf = (
  findings: readonly BuildFinding[],
  severity: BuildFinding['severity'],
): string[] => [...new Set(findings.filter((f) => f.severity === severity).map((f) => f.title))];

/** One circuit of a build as its evaluation has it. */
function judged(
  { document, catalogue }: KnownBuild,
  evaluation: Evaluation,
  circuitId: string,
): JudgedCircuit {
  const index = readBuild(document).fuelCircuits.findIndex((c) => c.id === circuitId);
  const fluid = entryAt(evaluation.fluids, index);
  const { design } = fluid;
  const results = resultIndex(evaluation.results);
  const scope = circuitScope(index, circuitId);
  const { peakPower, hotIdle } = fluid.cases;
  const peak = peakPower.solution;
  const difference = (solution: CircuitSolution): number | undefined =>
    solution.state === 'converged' && design.rows[0]
      ? rowDifference(design, design.rows[0], solution)
      : undefined;
  const differencePeak = difference(peak);
  const mine = evaluation.findings.filter((f) => (circuitOf(f.where) ?? circuitId) === circuitId);
  const heads = design.circuit.elements.flatMap((e) => {
    const head =
      e.kind === 'pump' && results.find(fuelFigure('suction.inletHead', { ...scope, pump: e.id }));
    return head ? [head] : [];
  });
  return {
    circuit: design.circuit,
    solution: peak,
    stops: titlesOf(mine, 'stop'),
    warnings: titlesOf(mine, 'warn'),
    differenceIdle: difference(hotIdle.solution),
    differencePeak,
    sag:
      differencePeak === undefined
        ? undefined
        : 1 - differencePeak / assumedDifference({ catalogue }, design, peakPower.point),
    pumpMargin: fluid.peak?.margin,
    railBalance: peak.state === 'converged' ? railImbalance(design, peak)?.value : undefined,
    inletHead: heads.length > 0 ? Math.min(...heads.map((r) => r.value)) : undefined,
    pumpCurrent:
      peak.state === 'converged'
        ? Object.values(peak.pumps).reduce((sum, p) => sum + p.current, 0)
        : undefined,
    primeTime: results.find(fuelFigure('prime.time', scope))?.value,
    heatingPerHour: results.find(fuelFigure('tank.heatingPerHour', scope))?.value,
    ...partsOf(design.circuit, design.lengths, catalogue),
  };
}

/** Judges one circuit of a build as it stands in its document. */
export const judgeCircuit = (known: KnownBuild, circuitId: string): JudgedCircuit =>
  judged(known, variantsOf(known).present, circuitId);

/** A circuit of a build laid out in another architecture and judged on the same demand. */
export function judgeArchitecture(
  known: KnownBuild,
  circuitId: string,
  architecture: Architecture,
): JudgedCircuit {
  const { document: stored, catalogue } = known;
  const layOut = layOutAs({ document: readBuild(stored), catalogue, circuitId, architecture });
  const whole = withEndsAlong(stored, layOut, catalogue);
  const { document } = applyCommand(stored, whole);
  return judged({ ...known, document }, variantsOf(known).with(document), circuitId);
}

/** Every other architecture a circuit could be laid out in. */
export const otherArchitectures = (circuit: FuelCircuit): Architecture[] =>
  architectures.filter((architecture) => architecture !== circuit.architecture);
