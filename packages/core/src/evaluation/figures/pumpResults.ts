import {
  type SolvedCircuit,
  availableFlow,
  flowAtDensity,
  margin,
  terminalVoltage,
} from '../../hydraulics/index.ts';
import { type Result, derive, given } from '../../results/index.ts';
import type { FluidResult } from '../fluidStage.ts';
import { rowMassFlow } from '../rowShare.ts';
import { type FigureContext, SOLVED } from './figureContext.ts';
import { pumpCurrent } from './pumpCurrent.ts';

/** Voltage, current and flow of each pump at peak; the worst pump also without its name. */
export function pumpResults(
  context: FigureContext,
  result: FluidResult,
  solution: SolvedCircuit,
): Result[] {
  const { circuit } = context;
  const point = result.cases.peakPower.point;
  const pumps = circuit.circuit.elements.filter((e) => e.kind === 'pump');
  const worst = [...pumps].sort(
    (a, b) => solution.pumps[a.id]!.voltage - solution.pumps[b.id]!.voltage,
  )[0];
  const results = pumps.flatMap((element): Result[] => {
    const state = solution.pumps[element.id]!;
    const key = element === worst ? `pump.peak${context.suffix}` : `pump.${element.id}.peak`;
    const current = pumpCurrent(context, element, state, {
      key: `${key}.current`,
      label: `${element.name}, current at peak`,
      from: SOLVED,
    });
    return [
      current,
      derive({
        key: `${key}.voltage`,
        label: `${element.name}, voltage at peak`,
        formula: terminalVoltage,
        inputs: {
          systemVoltage: given(point.systemVoltage, 'document:limits.voltageLow'),
          current,
          resistance: given(
            circuit.seriesResistances[element.id] ?? 0,
            'result:wire.pumpFeed.seriesResistance',
          ),
        },
      }),
    ];
  });
  if (result.peak) {
    const density = given(circuit.fuel.hot.density, 'result:fuel.hot.density');
    const available = derive({
      key: `pump.peak${context.suffix}.flowAvailable`,
      label: 'Pump flow available at peak',
      formula: availableFlow,
      inputs: {
        engine: given(result.peak.engineMassFlow, 'result:demand.design.massFlow'),
        spare: given(result.peak.spareMassFlow, SOLVED),
        density,
      },
    });
    const needed = derive({
      key: `pump.peak${context.suffix}.flowNeeded`,
      label: 'Fuel flow needed at peak',
      formula: flowAtDensity,
      inputs: {
        massFlow: given(
          circuit.rows.reduce((sum, row) => sum + rowMassFlow(row, point), 0),
          'result:demand.design.massFlow',
        ),
        density,
      },
    });
    results.push(
      available,
      needed,
      derive({
        key: `pump.peak${context.suffix}.margin`,
        label: 'Pump margin at peak',
        formula: margin,
        inputs: { available, needed },
      }),
    );
  }
  return results;
}
