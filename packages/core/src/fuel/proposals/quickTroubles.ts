import { circuitScope } from '../figureNames.ts';
import { boilingOf } from '../running/boiling.ts';
import { type CaseName, caseNames, namedCases } from '../running/cases.ts';
import type { BuildFinding } from '../../model/index.ts';
import type { FuelChecked } from '../checked.ts';
import { deliverable } from '../running/deliverable.ts';
import type { CircuitDesign } from '../running/design.ts';
import type { FluidResult, NamedCases, SolvedCase } from '../running/fluidStage.ts';
import { fluidRules } from '../rules/fluidRules.ts';
import type { RunningPoint } from '../running/runningPoint.ts';
import { solvePoint } from '../running/solvePoint.ts';

/** Cases that the fluid checks ask apart from the peak. */
const own: ReadonlySet<CaseName> = new Set(['hotIdle', 'overrun', 'cruise']);

/** A circuit solved in the cases that the fluid checks ask, without the map. */
export function quickFluid(checked: FuelChecked, circuit: CircuitDesign): FluidResult {
  const { design } = checked;
  const points = namedCases(checked.document, design.demand);
  const solved = new Map<RunningPoint, SolvedCase>();
  const at = (name: CaseName): SolvedCase => {
    // The other cases ask nothing that these do not.
    const point = points[own.has(name) ? name : 'peakPower'];
    const known = solved.get(point) ?? { point, solution: solvePoint(design, circuit, point) };
    solved.set(point, known);
    return known;
  };
  const { id } = circuit.circuit;
  const index = design.circuits.findIndex((c) => c.circuit.id === id);
  return {
    design: circuit,
    cases: Object.fromEntries(caseNames.map((name) => [name, at(name)])) as NamedCases,
    boiling: boilingOf(design, circuit, at('cruise').solution, circuitScope(index, id)),
    peak: deliverable(design, circuit, points.peakPower),
    delivered: {},
    filling: undefined,
    worstDuty: undefined,
  };
}

/** Checks that need every case, or figures of the whole build: left out here. */
const leftOut = new Set([
  'pump.outside-data',
  'pump.lost',
  'vapour.run',
  'prime.reach',
  'prime.time',
  'tank.heating',
]);
const quickRules = fluidRules.filter((rule) => !leftOut.has(rule.id));

/** Stops and warnings of the fluid checks on a quickly solved circuit. */
export function quickTroubles(checked: FuelChecked, fluid: FluidResult): BuildFinding[] {
  const light = { ...checked, fluids: [fluid] };
  return quickRules.flatMap((rule) => rule.check(light)).filter((f) => f.severity !== 'note');
}

const severityOrder = { note: 0, warn: 1, stop: 2 } as const;
/** Measured values may get worse by so much before it counts, share of the distance to the limit. */
const WORSE = 0.01;

/** How far a finding's measured value lies beyond its limit. */
const beyondLimit = (finding: BuildFinding): number =>
  finding.measured && finding.limit ? Math.abs(finding.measured.value - finding.limit.value) : 0;

/** Whether a finding is new, or worse than the same one was. */
export const isWorse = (finding: BuildFinding, before: BuildFinding | undefined): boolean =>
  before === undefined ||
  severityOrder[finding.severity] > severityOrder[before.severity] ||
  beyondLimit(finding) > (1 + WORSE) * beyondLimit(before);

/** Findings by their id. */
export const byFindingId = (findings: readonly BuildFinding[]): ReadonlyMap<string, BuildFinding> =>
  new Map(findings.map((f) => [f.id, f]));
