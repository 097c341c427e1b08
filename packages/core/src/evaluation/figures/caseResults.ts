import { lookUp, pumpDuties } from '../../build/index.ts';
import { revolutionsPerCycle } from '../../demand/index.ts';
import {
  type SolvedCircuit,
  availableFlow,
  flowAtDensity,
  headLeft,
  injectorDifference,
  inletHead,
  margin,
  regulatorUnitOf,
  terminalVoltage,
} from '../../hydraulics/index.ts';
import { duty, injectionAt } from '../../injectors/index.ts';
import { type Result, derive, given } from '../../results/index.ts';
import { deliverable } from '../deliverable.ts';
import type { FluidResult, SolvedCase } from '../fluidStage.ts';
import { lowestRunPressure } from '../lowestRunPressure.ts';
import { circuitMassFlow, injectorsOf, lowestRail } from '../solvePoint.ts';
import { rowMassFlow } from '../rowShare.ts';
import type { FigureContext } from './figureContext.ts';
import { nodePressure } from './nodePressure.ts';
import { pumpCurrent } from './pumpCurrent.ts';

/** Where the rails and pumps of a circuit begin in the numbering over all circuits. */
export interface CaseNumbering {
  readonly firstRail: number;
  readonly firstPump: number;
}

type CaseContext = FigureContext & {
  readonly at: SolvedCase;
  readonly solution: SolvedCircuit;
  readonly prefix: string;
  readonly from: string;
  readonly words: string;
};

/** Pressure at each rail; Δp and duty of each row that turns over. */
function railAndRowResults(context: CaseContext, firstRail: number): Result[] {
  const { circuit, design, at, solution, prefix, from, words } = context;
  const rails = circuit.circuit.elements.filter((e) => e.kind === 'injectors');
  const pressures = rails.flatMap((rail, i): Result[] => {
    const pressure = nodePressure(
      context,
      solution,
      rail.node,
      `${prefix}.rail.${firstRail + i}.pressure`,
      `${rail.name}, rail pressure, ${words}`,
    );
    return pressure ? [pressure] : [];
  });
  const rows = circuit.rows.flatMap((row): Result[] => {
    const element = lowestRail(injectorsOf(circuit, row), solution);
    const rail = pressures[rails.findIndex((r) => r === element)];
    if (!rail) return [];
    const key = `${prefix}.injector.${row.row.id}`;
    const difference = derive({
      key: `${key}.deltaP`,
      label: `${row.row.name}, Δp, ${words}`,
      formula: injectorDifference,
      inputs: { rail, manifold: given(at.point.manifoldGauge, from) },
    });
    if (at.point.speed === 0 || at.point.massFlow === 0) return [difference];
    const injection = injectionAt({
      injector: row.injector,
      row: row.row,
      rowMassFlow: rowMassFlow(row, at.point),
      speed: at.point.speed,
      revolutionsPerCycle: revolutionsPerCycle[design.document.brief.cycle],
      pressureDifference: difference.value,
      fuelDensity: circuit.fuel.hot.density,
      voltage: at.point.systemVoltage,
    });
    return [
      difference,
      derive({
        key: `${key}.duty`,
        label: `${row.row.name}, duty, ${words}`,
        formula: duty,
        inputs: { pulse: given(injection.pulse, from), period: given(injection.period, from) },
      }),
    ];
  });
  return [...pressures, ...rows];
}

/** Flow, voltage and current of each pump, and what all of them have in hand. */
function casePumpResults(context: CaseContext, firstPump: number): Result[] {
  const { circuit, design, at, solution, prefix, from, words } = context;
  const density = given(circuit.fuel.hot.density, 'result:fuel.hot.density');
  const pumps = circuit.circuit.elements.filter((e) => e.kind === 'pump');
  const engine = circuitMassFlow(circuit, at.point);
  const held = engine > 0 ? deliverable(design, circuit, at.point) : undefined;
  const { lift } = pumpDuties(circuit.circuit);
  return pumps.flatMap((element, i): Result[] => {
    const state = solution.pumps[element.id]!;
    const key = `${prefix}.pump.${firstPump + i}`;
    const name = `${element.name}, `;
    const current = pumpCurrent(context, element, state, {
      key: `${key}.current`,
      label: `${name}current, ${words}`,
      from,
    });
    const results = [
      derive({
        key: `${key}.flow`,
        label: `${name}flow, ${words}`,
        formula: flowAtDensity,
        inputs: {
          massFlow: given(solution.elements[element.id]!.massFlow, from),
          density,
        },
      }),
      current,
      derive({
        key: `${key}.voltage`,
        label: `${name}voltage, ${words}`,
        formula: terminalVoltage,
        inputs: {
          systemVoltage: given(at.point.systemVoltage, from),
          current,
          resistance: given(
            circuit.seriesResistances[element.id] ?? 0,
            'result:wire.pumpFeed.seriesResistance',
          ),
        },
      }),
    ];
    if (!held) return results;
    const lifts = lift.includes(element);
    const own = solution.elements[element.id]!.massFlow;
    const available = derive({
      key: `${key}.flowAvailable`,
      label: `${name}flow available to its circuit, ${words}`,
      formula: availableFlow,
      inputs: {
        engine: given(lifts ? own : held.engineMassFlow, from),
        spare: given(lifts ? 0 : held.spareMassFlow, from),
        density,
      },
    });
    return [
      ...results,
      available,
      derive({
        key: `${key}.margin`,
        label: `${name}margin, ${words}`,
        formula: margin,
        inputs: { available, needed: given(engine / circuit.fuel.hot.density, from) },
      }),
    ];
  });
}

/** Pressure behind the regulator, head left at the pump inlets, least margin to boiling. */
function caseEdgeResults(context: CaseContext): Result[] {
  const { circuit, design, solution, prefix, from, words } = context;
  const ambient = given(design.demand.engine.ambientPressure, 'result:ambient.pressureAbsolute');
  const vapour = given(
    circuit.fuel.hot.vapourPressureAbsolute,
    'result:fuel.vapourPressureAbsolute',
  );
  const results: Result[] = [];
  const regulator = regulatorUnitOf(circuit.circuit, design.catalogue);
  const behind =
    regulator &&
    nodePressure(
      context,
      solution,
      regulator.outletNode,
      `${prefix}.return.backPressure`,
      `Pressure behind the regulator, ${words}`,
    );
  if (behind) results.push(behind);
  const heads = circuit.circuit.elements.flatMap((element) => {
    if (element.kind !== 'pump') return [];
    const item = lookUp(design.catalogue, 'pump', element.item, element.id);
    const gauge = solution.elements[element.id]!.inletPressure;
    return [{ gauge, need: item.inletHeadNeeded, item: item.id }];
  });
  const worst = heads.sort((a, b) => a.gauge - a.need - (b.gauge - b.need))[0];
  if (worst) {
    results.push(
      derive({
        key: `${prefix}.suction.npshMargin`,
        label: `Head left at the pump inlet, ${words}`,
        formula: headLeft,
        inputs: {
          gauge: given(worst.gauge, from),
          ambient,
          vapour,
          need: given(worst.need, `catalogue:${worst.item}`),
        },
      }),
    );
  }
  const lowest = lowestRunPressure(circuit, design.catalogue, solution);
  if (lowest) {
    results.push(
      derive({
        key: `${prefix}.vapour.margin`,
        label: `Least pressure above vapour pressure to the regulator, ${words}`,
        formula: inletHead,
        inputs: { gauge: given(lowest.pressure, from), ambient, vapour },
      }),
    );
  }
  return results;
}

/** Figures of every named case that was solved, keys `case.<name>.…`. */
export function caseResults(
  context: FigureContext,
  result: FluidResult,
  numbering: CaseNumbering,
): Result[] {
  return Object.values(result.cases).flatMap((at): Result[] => {
    if (at.solution.state === 'failed') return [];
    const { name, label } = at.point;
    const here: CaseContext = {
      ...context,
      at,
      solution: at.solution,
      prefix: `case.${name}`,
      from: `case:${name}`,
      words: label.toLowerCase(),
    };
    // A second circuit has its own back pressure and margins: its id keeps them apart.
    const edges: CaseContext =
      context.suffix === '' ? here : { ...here, prefix: `case.${name}${context.suffix}` };
    return [
      ...railAndRowResults(here, numbering.firstRail),
      ...casePumpResults(here, numbering.firstPump),
      ...caseEdgeResults(edges),
    ];
  });
}
