import { injectorDifference, sag } from '../../hydraulics/index.ts';
import {
  duty,
  effectivePulse,
  pulseWidth,
  shotPeriod,
  staticMassFlow,
  turnDown,
  injectionAt,
} from '../../injectors/index.ts';
import { revolutionsPerCycle } from '../../demand/index.ts';
import { type Result, derive, given } from '../../results/index.ts';
import type { RowDesign } from '../design.ts';
import type { FluidResult, SolvedCase } from '../fluidStage.ts';
import { assumedDifference, injectorsOf, lowestRail } from '../solvePoint.ts';
import { rowMassFlow } from '../rowShare.ts';
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
  const name = single ? '' : `.${row.row.id}`;
  const density = given(circuit.fuel.hot.density, 'result:fuel.hot.density');
  const item = row.injector;
  const catalogue = `catalogue:${item.id}`;
  const cycle = revolutionsPerCycle[design.document.brief.cycle];
  const at = (solved: SolvedCase, prefix: string, words: string) => {
    if (solved.solution.state === 'failed') return undefined;
    const point = solved.point;
    const element = lowestRail(injectorsOf(circuit, row), solved.solution);
    const rail =
      element &&
      nodePressure(
        context,
        solved.solution,
        element.node,
        `rail${name || context.suffix}.${prefix}.pressure`,
        `Rail pressure, ${words}`,
      );
    if (!rail) return undefined;
    const key = `injector${name}.${prefix}`;
    const difference = derive({
      key: `${key}.deltaP`,
      label: `Injector Δp, ${words}`,
      formula: injectorDifference,
      inputs: { rail, manifold: given(point.manifoldGauge, `case:${point.name}`) },
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
      key: `${key}.staticFlow`,
      label: `Static injector flow, ${words}`,
      formula: staticMassFlow,
      inputs: {
        ratedFlow: given(item.ratedFlow, catalogue),
        ratedDensity: given(item.ratedDensity, catalogue),
        fuelDensity: density,
        pressureDifference: difference,
        ratedPressure: given(item.ratedPressure, catalogue),
      },
    });
    const period = derive({
      key: `${key}.period`,
      label: `Time between shots, ${words}`,
      formula: shotPeriod,
      inputs: {
        revolutionsPerCycle: given(cycle, 'document:brief.cycle'),
        shotsPerCycle: given(row.row.shotsPerCycle, 'document:injectorRows.shotsPerCycle'),
        speed: given(point.speed, `case:${point.name}`),
      },
    });
    const dead = given(injection.deadTime, catalogue);
    const pulse = derive({
      key: `${key}.pulse`,
      label: `Pulse, ${words}`,
      formula: pulseWidth,
      inputs: {
        rowMassFlow: given(rowMassFlow(row, point), `case:${point.name}`),
        period,
        count: given(row.row.count, 'document:injectorRows.count'),
        staticMassFlow: flow,
        deadTime: dead,
      },
    });
    return { rail, difference, flow, period, pulse, dead, point };
  };
  const peak = at(result.cases.peakPower, 'peak', 'peak');
  const works = rowMassFlow(row, result.cases.hotIdle.point) > 0;
  const idle = works ? at(result.cases.hotIdle, 'idle', 'hot idle') : undefined;
  const results: Result[] = [];
  if (peak) {
    results.push(
      peak.rail,
      peak.difference,
      peak.flow,
      peak.period,
      peak.pulse,
      derive({
        key: `injector${name}.peak.duty`,
        label: 'Injector duty, peak',
        formula: duty,
        inputs: { pulse: peak.pulse, period: peak.period },
      }),
      derive({
        key: `injector${name}.peak.sag`,
        label: 'Sag of injector Δp, peak',
        formula: sag,
        inputs: {
          pressureDifference: peak.difference,
          assumed: given(assumedDifference(design, circuit, peak.point), 'document:setPressure'),
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
        key: `injector${name}.idle.effectivePulse`,
        label: 'Effective pulse, hot idle',
        formula: effectivePulse,
        inputs: { pulse: idle.pulse, deadTime: idle.dead },
      }),
    );
  }
  if (peak && idle) {
    results.push(
      derive({
        key: `injector${name}.turnDown`,
        label: 'Injector turn-down',
        formula: turnDown,
        inputs: {
          peakMassFlow: given(rowMassFlow(row, peak.point), 'case:peakPower'),
          staticMassFlow: idle.flow,
          smallestEffectivePulse: given(item.smallestEffectivePulse, catalogue),
          count: given(row.row.count, 'document:injectorRows.count'),
          idlePeriod: idle.period,
        },
      }),
    );
  }
  return results;
}
