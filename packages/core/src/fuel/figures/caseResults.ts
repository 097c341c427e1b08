import { lookUp } from '../../catalogue/index.ts';
import { pumpDuties } from '../circuits/circuitRun.ts';
import { engineFigure, revolutionsPerCycle } from '../../engine/index.ts';
import { type SolvedCircuit, pumpStateOf, stateOf } from '../hydraulics/solveCircuit.ts';
import {
  availableFlow,
  flowAtDensity,
  headLeft,
  injectorDifference,
  inletHead,
  margin,
  terminalVoltage,
} from '../hydraulics/formulas.ts';
import { regulatorUnitOf } from '../hydraulics/regulatorUnit.ts';
import { duty } from '../injectors/formulas.ts';
import { injectionAt } from '../injectors/injection.ts';
import { type Result, derive, fromFigure, fromItem, given, solvedIn } from '../../results/index.ts';
import { type FluidResult, type SolvedCase, solvedCases } from '../running/fluidStage.ts';
import type { DeliveredFlow } from '../running/deliverable.ts';
import { type Boiling, vapourAt } from '../running/boiling.ts';
import { fluidAt } from '../running/fluidAt.ts';
import { lowestRunPressure } from '../running/lowestRunPressure.ts';
import { circuitMassFlow, injectorsOf, lowestRail } from '../running/solvePoint.ts';
import { rowMassFlow } from '../running/rowShare.ts';
import { fuelFigure } from '../figureNames.ts';
import type { FigureContext } from './figureContext.ts';
import { nodePressure } from './nodePressure.ts';
import { pumpCurrent } from './pumpCurrent.ts';
import { wiringOf } from './wiringOf.ts';

/** Where the rails and pumps of a circuit begin in the numbering over all circuits. */
export interface CaseNumbering {
  readonly firstRail: number;
  readonly firstPump: number;
}

type CaseContext = FigureContext & {
  readonly boiling: Boiling;
  readonly at: SolvedCase;
  readonly solution: SolvedCircuit;
  readonly delivered: DeliveredFlow | undefined;
  /** name of the case */
  readonly from: string;
  readonly words: string;
};

/** Pressure at each rail; Δp and duty of each row that turns over. */
function railAndRowResults(context: CaseContext, firstRail: number): Result[] {
  const { circuit, design, at, solution, from, words } = context;
  const rails = circuit.circuit.elements.filter((e) => e.kind === 'injectors');
  const pressures = rails.flatMap((rail, i): Result[] => {
    const pressure = nodePressure(
      context,
      { point: at.point, solution },
      rail.node,
      fuelFigure('case.rail.pressure', { case: from, rail: firstRail + i }),
      `${rail.name}, rail pressure, ${words}`,
    );
    return pressure ? [pressure] : [];
  });
  const rows = circuit.rows.flatMap((row): Result[] => {
    const element = lowestRail(injectorsOf(circuit, row), solution);
    const rail = pressures[rails.findIndex((r) => r === element)];
    if (!rail) return [];
    const of = { case: from, row: row.row.id };
    const difference = derive({
      figure: fuelFigure('case.injector.deltaP', of),
      label: `${row.row.name}, Δp, ${words}`,
      formula: injectorDifference,
      inputs: { rail, manifold: solvedIn(at.point.manifoldGauge, at.point.name) },
    });
    if (at.point.speed === 0 || at.point.massFlow === 0) return [difference];
    const injection = injectionAt({
      injector: row.injector,
      row: row.row,
      rowMassFlow: rowMassFlow(row, at.point),
      speed: at.point.speed,
      revolutionsPerCycle: revolutionsPerCycle[design.document.brief.cycle],
      pressureDifference: difference.value,
      fuelDensity: fluidAt(circuit, at.point).density,
      voltage: at.point.systemVoltage,
    });
    return [
      difference,
      derive({
        figure: fuelFigure('case.injector.duty', of),
        label: `${row.row.name}, duty, ${words}`,
        formula: duty,
        inputs: {
          pulse: solvedIn(injection.pulse, at.point.name),
          period: solvedIn(injection.period, at.point.name),
        },
      }),
    ];
  });
  return [...pressures, ...rows];
}

/** Flow, voltage and current of each pump, and what all of them have in hand. */
function casePumpResults(context: CaseContext, firstPump: number): Result[] {
  const { circuit, at, solution, from, words } = context;
  const { density } = fluidAt(circuit, at.point).figures;
  const pumps = circuit.circuit.elements.filter((e) => e.kind === 'pump');
  const engine = circuitMassFlow(circuit, at.point);
  const held = engine > 0 ? context.delivered : undefined;
  const { lift } = pumpDuties(circuit.circuit);
  return pumps.flatMap((element, i): Result[] => {
    const state = pumpStateOf(solution, element.id);
    const of = { case: from, pump: firstPump + i };
    const name = `${element.name}, `;
    const current = pumpCurrent(context, element, state, {
      figure: fuelFigure('case.pump.current', of),
      label: `${name}current, ${words}`,
      from,
    });
    const results = [
      derive({
        figure: fuelFigure('case.pump.flow', of),
        label: `${name}flow, ${words}`,
        formula: flowAtDensity,
        inputs: {
          massFlow: solvedIn(stateOf(solution, element.id).massFlow, from),
          density,
        },
      }),
      current,
      derive({
        figure: fuelFigure('case.pump.voltage', of),
        label: `${name}voltage, ${words}`,
        formula: terminalVoltage,
        inputs: {
          systemVoltage: solvedIn(at.point.systemVoltage, from),
          current,
          resistance: wiringOf(circuit, element.id),
        },
      }),
    ];
    if (!held) return results;
    const lifts = lift.includes(element);
    const own = stateOf(solution, element.id).massFlow;
    const available = derive({
      figure: fuelFigure('case.pump.flowAvailable', of),
      label: `${name}flow available to its circuit, ${words}`,
      formula: availableFlow,
      inputs: {
        engine: solvedIn(lifts ? own : held.engineMassFlow, from),
        spare: solvedIn(lifts ? 0 : held.spareMassFlow, from),
        density,
      },
    });
    return [
      ...results,
      available,
      derive({
        figure: fuelFigure('case.pump.margin', of),
        label: `${name}margin, ${words}`,
        formula: margin,
        inputs: { available, needed: solvedIn(engine / density.value, from) },
      }),
    ];
  });
}

/** Pressure behind the regulator, head left at the pump inlets, least margin to boiling. */
function caseEdgeResults(context: CaseContext): Result[] {
  const { at, circuit, design, solution, from, words } = context;
  // A second circuit has its own back pressure and margins: its id keeps them apart.
  const of = { case: from, ...context.scope };
  const ambient = given(
    design.demand.engine.ambientPressure,
    fromFigure(engineFigure('ambient.pressureAbsolute')),
  );
  const vapour = vapourAt(context.boiling, circuit, at.point);
  const results: Result[] = [];
  const regulator = regulatorUnitOf(circuit.circuit, design.catalogue);
  const behind =
    regulator &&
    nodePressure(
      context,
      { point: at.point, solution },
      regulator.outletNode,
      fuelFigure('case.return.backPressure', of),
      `Pressure behind the regulator, ${words}`,
    );
  if (behind) results.push(behind);
  const heads = circuit.circuit.elements.flatMap((element) => {
    if (element.kind !== 'pump') return [];
    const item = lookUp(design.catalogue, 'pump', element.item, element.id);
    const gauge = stateOf(solution, element.id).inletPressure;
    return [{ gauge, need: item.inletHeadNeeded, item }];
  });
  const worst = heads.sort((a, b) => a.gauge - a.need - (b.gauge - b.need))[0];
  if (worst) {
    results.push(
      derive({
        figure: fuelFigure('case.suction.npshMargin', of),
        label: `Head left at the pump inlet, ${words}`,
        formula: headLeft,
        inputs: {
          gauge: solvedIn(worst.gauge, from),
          ambient,
          vapour,
          need: fromItem(worst.need, worst.item),
        },
      }),
    );
  }
  const lowest = lowestRunPressure(circuit, design.catalogue, solution);
  if (lowest) {
    results.push(
      derive({
        figure: fuelFigure('case.vapour.margin', of),
        label: `Least pressure above vapour pressure to the regulator, ${words}`,
        formula: inletHead,
        inputs: { gauge: solvedIn(lowest.pressure, from), ambient, vapour },
      }),
    );
  }
  return results;
}

/** Figures of every named case that was solved. */
export function caseResults(
  context: FigureContext,
  result: FluidResult,
  numbering: CaseNumbering,
): Result[] {
  return solvedCases(result.cases).flatMap(([caseName, at]): Result[] => {
    if (at.solution.state === 'failed') return [];
    const { name, label } = at.point;
    const here: CaseContext = {
      ...context,
      at,
      solution: at.solution,
      boiling: result.boiling,
      delivered: result.delivered[caseName],
      from: name,
      words: label.toLowerCase(),
    };
    return [
      ...railAndRowResults(here, numbering.firstRail),
      ...casePumpResults(here, numbering.firstPump),
      ...caseEdgeResults(here),
    ];
  });
}
