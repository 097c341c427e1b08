import type { PumpElement } from '../../model/index.ts';
import { type FigureRef, type Result, derive, entered, solvedIn } from '../../results/index.ts';
import { availableFlow, flowAtDensity, margin, terminalVoltage } from '../hydraulics/formulas.ts';
import { type SolvedCircuit, pumpStateOf } from '../hydraulics/solveCircuit.ts';
import type { FluidResult } from '../running/fluidStage.ts';
import { circuitMassFlow } from '../running/solvePoint.ts';
import { fuelFigure } from '../figureNames.ts';
import { type FigureContext, SOLVED } from './figureContext.ts';
import { pumpCurrent } from './pumpCurrent.ts';
import { wiringOf } from './wiringOf.ts';

/** Current and voltage of one pump at peak, with words that say which pump it is. */
function electricalResults(
  context: FigureContext,
  solution: SolvedCircuit,
  pump: PumpElement,
  named: { readonly current: FigureRef; readonly voltage: FigureRef; readonly words: string },
): Result[] {
  const { limits } = context.design.document;
  const current = pumpCurrent(context, pump, pumpStateOf(solution, pump.id), {
    figure: named.current,
    label: `${named.words}, current at peak`,
    from: SOLVED,
  });
  return [
    current,
    derive({
      figure: named.voltage,
      label: `${named.words}, voltage at peak`,
      formula: terminalVoltage,
      inputs: {
        systemVoltage: entered(limits.voltageLow, ['limits', 'voltageLow']),
        current,
        resistance: wiringOf(context.circuit, pump.id),
      },
    }),
  ];
}

/** What the pumps of a circuit deliver together at peak against what the engine needs. */
function flowResults(context: FigureContext, result: FluidResult): Result[] {
  const { circuit, scope } = context;
  if (!result.peak) return [];
  const { density } = circuit.fuel.hot.figures;
  const available = derive({
    figure: fuelFigure('pumps.flowAvailable', scope),
    label: 'Pump flow available at peak',
    formula: availableFlow,
    inputs: {
      engine: solvedIn(result.peak.engineMassFlow, SOLVED),
      spare: solvedIn(result.peak.spareMassFlow, SOLVED),
      density,
    },
  });
  const needed = derive({
    figure: fuelFigure('pumps.flowNeeded', scope),
    label: 'Fuel flow needed at peak',
    formula: flowAtDensity,
    inputs: {
      massFlow: solvedIn(circuitMassFlow(circuit, result.cases.peakPower.point), SOLVED),
      density,
    },
  });
  return [
    available,
    needed,
    derive({
      figure: fuelFigure('pumps.margin', scope),
      label: 'Pump margin at peak',
      formula: margin,
      inputs: { available, needed },
    }),
  ];
}

/**
 * Voltage and current of each pump at peak under its own key; the one with the least voltage also
 * without one, its words saying which it is. Then the flow of all of them together.
 */
export function pumpResults(
  context: FigureContext,
  result: FluidResult,
  solution: SolvedCircuit,
): Result[] {
  const pumps = context.circuit.circuit.elements.filter((e) => e.kind === 'pump');
  const worst = pumps.reduce<PumpElement | undefined>(
    (least, pump) =>
      !least || pumpStateOf(solution, pump.id).voltage < pumpStateOf(solution, least.id).voltage
        ? pump
        : least,
    undefined,
  );
  const unindexed = worst
    ? electricalResults(context, solution, worst, {
        current: fuelFigure('pumps.current', context.scope),
        voltage: fuelFigure('pumps.voltage', context.scope),
        words: pumps.length > 1 ? `${worst.name}, least voltage of ${pumps.length}` : worst.name,
      })
    : [];
  const each = pumps.flatMap((pump) =>
    electricalResults(context, solution, pump, {
      current: fuelFigure('pump.current', { pump: pump.id }),
      voltage: fuelFigure('pump.voltage', { pump: pump.id }),
      words: pump.name,
    }),
  );
  return [...unindexed, ...each, ...flowResults(context, result)];
}
