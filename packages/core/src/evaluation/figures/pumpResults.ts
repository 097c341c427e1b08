import { lookUp } from '../../build/index.ts';
import {
  type SolvedCircuit,
  availableFlow,
  flowAtDensity,
  margin,
  terminalVoltage,
} from '../../hydraulics/index.ts';
import { curveCurrent } from '../../pumps/index.ts';
import { type Result, derive, given } from '../../results/index.ts';
import type { FluidResult } from '../fluidStage.ts';
import { rowMassFlow } from '../solvePoint.ts';
import { type FigureContext, SOLVED } from './figureContext.ts';

/** Voltage, current and flow of each pump at peak; the worst pump also without its name. */
export function pumpResults(
  context: FigureContext,
  result: FluidResult,
  solution: SolvedCircuit,
): Result[] {
  const { design, circuit } = context;
  const point = result.cases.peakPower.point;
  const pumps = circuit.circuit.elements.filter((e) => e.kind === 'pump');
  const worst = [...pumps].sort(
    (a, b) => solution.pumps[a.id]!.voltage - solution.pumps[b.id]!.voltage,
  )[0];
  const results = pumps.flatMap((element): Result[] => {
    const state = solution.pumps[element.id]!;
    const item = lookUp(design.catalogue, 'pump', element.item, element.id);
    const curves = [...item.curves].sort((a, b) => a.voltage - b.voltage);
    const points = curves.map((c) => [...c.points].sort((a, b) => a.flow - b.flow));
    const key = element === worst ? `pump.peak${context.suffix}` : `pump.${element.id}.peak`;
    const current = derive({
      key: `${key}.current`,
      label: `${element.name}, current at peak`,
      formula: curveCurrent,
      inputs: {
        flow: given(state.flow, SOLVED),
        wear: given(element.wear.value, `document:${element.id}.wear`),
        voltage: given(state.voltage, SOLVED),
        curveVoltages: given(
          curves.map((c) => c.voltage),
          `catalogue:${item.id}`,
        ),
        pointsPerCurve: given(
          points.map((p) => p.length),
          `catalogue:${item.id}`,
        ),
        curveFlows: given(
          points.flatMap((p) => p.map((q) => q.flow)),
          `catalogue:${item.id}`,
        ),
        curveCurrents: given(
          points.flatMap((p) => p.map((q) => q.current)),
          `catalogue:${item.id}`,
        ),
      },
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
