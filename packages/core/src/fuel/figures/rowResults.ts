import { injectorDifference, sag } from '../hydraulics/formulas.ts';
import {
  duty,
  effectivePulse,
  pulseWidth,
  shotPeriod,
  staticMassFlow,
  turnDown,
} from '../injectors/formulas.ts';
import { injectionAt } from '../injectors/injection.ts';
import { revolutionsPerCycle } from '../../engine/index.ts';
import {
  type Result,
  derive,
  entered,
  following,
  fromItem,
  solvedIn,
} from '../../results/index.ts';
import type { RowDesign } from '../running/design.ts';
import type { FluidResult, SolvedCase } from '../running/fluidStage.ts';
import { assumedDifference, injectorsOf, lowestRail } from '../running/solvePoint.ts';
import { rowMassFlow } from '../running/rowShare.ts';
import { seatingFigures } from '../seating/index.ts';
import { type RowScope, fuelFigure } from '../figureNames.ts';
import type { FigureContext } from './figureContext.ts';
import { nodePressure } from './nodePressure.ts';

/** Pulse, duty and turn-down of a row at peak and at idle. */
export function rowResults(
  context: FigureContext,
  result: FluidResult,
  row: RowDesign,
  single: boolean,
): Result[] {
  const { circuit, design } = context;
  const scope: RowScope = single ? {} : { row: row.row.id };
  const { density } = circuit.fuel.hot.figures;
  const rowPath = (field: string): string[] => ['injectorRows', row.row.id, field];
  const item = row.injector;
  const cycle = revolutionsPerCycle[design.document.brief.cycle];
  const at = (solved: SolvedCase, where: 'peak' | 'idle', words: string) => {
    if (solved.solution.state === 'failed') return undefined;
    const point = solved.point;
    const element = lowestRail(injectorsOf(circuit, row), solved.solution);
    const rail =
      element &&
      nodePressure(
        context,
        { point, solution: solved.solution },
        element.node,
        fuelFigure('rail.pressure', { ...(single ? context.scope : scope), at: where }),
        `Rail pressure, ${words}`,
      );
    if (!rail) return undefined;
    const of = { ...scope, at: where };
    const difference = derive({
      figure: fuelFigure('injector.deltaP', of),
      label: `Injector Δp, ${words}`,
      formula: injectorDifference,
      inputs: { rail, manifold: solvedIn(point.manifoldGauge, point.name) },
    });
    const injection = injectionAt({
      injector: item,
      row: row.row,
      rowMassFlow: rowMassFlow(row, point),
      speed: point.speed,
      revolutionsPerCycle: cycle,
      pressureDifference: difference.value,
      fuelDensity: circuit.fuel.hot.density,
      voltage: point.systemVoltage,
    });
    const flow = derive({
      figure: fuelFigure('injector.staticFlow', of),
      label: `Static injector flow, ${words}`,
      formula: staticMassFlow,
      inputs: {
        ratedFlow: fromItem(item.ratedFlow, item),
        ratedDensity: fromItem(item.ratedDensity, item),
        fuelDensity: density,
        pressureDifference: difference,
        ratedPressure: fromItem(item.ratedPressure, item),
      },
    });
    const period = derive({
      figure: fuelFigure('injector.period', of),
      label: `Time between shots, ${words}`,
      formula: shotPeriod,
      inputs: {
        revolutionsPerCycle: following(cycle, ['brief', 'cycle']),
        shotsPerCycle: entered(row.row.shotsPerCycle, rowPath('shotsPerCycle')),
        speed: solvedIn(point.speed, point.name),
      },
    });
    const dead = fromItem(injection.deadTime, item);
    const pulse = derive({
      figure: fuelFigure('injector.pulse', of),
      label: `Pulse, ${words}`,
      formula: pulseWidth,
      inputs: {
        rowMassFlow: solvedIn(rowMassFlow(row, point), point.name),
        period,
        count: entered(row.row.count, rowPath('count')),
        staticMassFlow: flow,
        deadTime: dead,
      },
    });
    return { rail, difference, flow, period, pulse, dead, point };
  };
  const peak = at(result.cases.peakPower, 'peak', 'peak');
  const works = rowMassFlow(row, result.cases.hotIdle.point) > 0;
  const idle = works ? at(result.cases.hotIdle, 'idle', 'hot idle') : undefined;
  const results: Result[] = [...seatingFigures(row, scope, peak?.rail)];
  if (peak) {
    results.push(
      peak.rail,
      peak.difference,
      peak.flow,
      peak.period,
      peak.pulse,
      derive({
        figure: fuelFigure('injector.duty', { ...scope, at: 'peak' }),
        label: 'Injector duty, peak',
        formula: duty,
        inputs: { pulse: peak.pulse, period: peak.period },
      }),
      derive({
        figure: fuelFigure('injector.sag', { ...scope, at: 'peak' }),
        label: 'Sag of injector Δp, peak',
        formula: sag,
        inputs: {
          pressureDifference: peak.difference,
          assumed: solvedIn(assumedDifference(design, circuit, peak.point), peak.point.name),
        },
      }),
    );
  }
  if (idle) {
    results.push(
      idle.rail,
      idle.difference,
      idle.flow,
      idle.period,
      idle.pulse,
      derive({
        figure: fuelFigure('injector.effectivePulse', { ...scope, at: 'idle' }),
        label: 'Effective pulse, hot idle',
        formula: effectivePulse,
        inputs: { pulse: idle.pulse, deadTime: idle.dead },
      }),
    );
  }
  if (peak && idle) {
    results.push(
      derive({
        figure: fuelFigure('injector.turnDown', scope),
        label: 'Injector turn-down',
        formula: turnDown,
        inputs: {
          peakMassFlow: solvedIn(rowMassFlow(row, peak.point), peak.point.name),
          staticMassFlow: idle.flow,
          smallestEffectivePulse: fromItem(item.smallestEffectivePulse, item),
          count: entered(row.row.count, rowPath('count')),
          idlePeriod: idle.period,
        },
      }),
    );
  }
  return results;
}
