import { lookUp } from '../build/index.ts';
import {
  GRAVITY,
  type SolvedCircuit,
  availableFlow,
  elementDrop,
  flowAtDensity,
  inletHead,
  injectorDifference,
  lineGeometry,
  lineLoss,
  margin,
  pressureSum,
  reserve,
  reynolds,
  sag,
  terminalVoltage,
  velocity,
  wideOpenLoss,
} from '../hydraulics/index.ts';
import {
  duty,
  effectivePulse,
  pulseWidth,
  shotPeriod,
  staticMassFlow,
  turnDown,
  injectionAt,
} from '../injectors/index.ts';
import { curveCurrent } from '../pumps/index.ts';
import { revolutionsPerCycle } from '../demand/index.ts';
import { type Result, derive, given } from '../results/index.ts';
import type { CircuitDesign, FluidDesign, RowDesign } from './design.ts';
import type { FluidResult, SolvedCase } from './fluidStage.ts';
import { elementKey } from './geometryStage.ts';
import { pathBetween } from './runPath.ts';
import type { RunningPoint } from './runningPoint.ts';
import {
  assumedDifference,
  regulatorOf,
  rowDifference,
  rowMassFlow,
  injectorsOf,
} from './solvePoint.ts';

interface Context {
  readonly design: FluidDesign;
  readonly circuit: CircuitDesign;
  readonly circuitIndex: number;
  /** "" for the first circuit, else ".<circuit id>" */
  readonly suffix: string;
}

const SOLVED = 'case:peakPower';

/** Gauge pressure at a node, followed along the run from the tank so that its working adds up. */
export function nodePressure(
  context: Context,
  solution: SolvedCircuit,
  nodeId: string,
  key: string,
  label: string,
): Result | undefined {
  const { circuit } = context.circuit;
  const tank = circuit.elements.find((e) => e.kind === 'tank');
  if (tank?.kind !== 'tank') return undefined;
  const path = pathBetween(circuit, tank.outlet, nodeId);
  if (path.length === 0) return undefined;
  const fluid = context.circuit.fuel.hot;
  const heights = context.circuit.heights;
  const pumps = path.filter((e) => e.kind === 'pump');
  const rest = path.filter((e) => e.kind !== 'pump');
  return derive({
    key,
    label,
    formula: pressureSum,
    inputs: {
      tank: given(solution.pressures[tank.outlet]!, `document:${tank.id}.fuelLevel`),
      pumpRise: given(
        pumps.reduce((sum, p) => sum - solution.elements[p.id]!.pressureDrop, 0),
        'result:pump curve',
      ),
      losses: given(
        rest.map((e) => solution.elements[e.id]!.pressureDrop),
        'result:circuit pressure drops',
      ),
      staticHead: given(
        fluid.density * GRAVITY * ((heights[nodeId] ?? 0) - (heights[tank.outlet] ?? 0)),
        'document:placements',
      ),
    },
  });
}

/** Drop, velocity and Reynolds number of every element at peak. */
function elementResults(context: Context, solution: SolvedCircuit): Result[] {
  const { circuit, design } = context;
  const fluid = circuit.fuel.hot;
  const density = given(fluid.density, 'result:fuel.hot.density');
  const viscosity = given(fluid.viscosity, 'result:fuel.hot.viscosity');
  return circuit.circuit.elements.flatMap((element): Result[] => {
    if (element.kind === 'tank' || element.kind === 'injectors') return [];
    const key = elementKey(context.circuitIndex, circuit.circuit, element.id);
    const state = solution.elements[element.id]!;
    const massFlow = given(state.massFlow, SOLVED);
    if (element.kind !== 'line') {
      return [
        derive({
          key: `${key}.pressureDrop`,
          label: `${element.name}, pressure drop`,
          formula: elementDrop,
          inputs: {
            inlet: given(state.inletPressure, SOLVED),
            outlet: given(state.outletPressure, SOLVED),
            staticHead: given(
              fluid.density *
                GRAVITY *
                ((circuit.heights[element.to] ?? 0) - (circuit.heights[element.from] ?? 0)),
              'document:placements',
            ),
          },
        }),
      ];
    }
    const pipe = lineGeometry(element, circuit.lengths[element.id]!, design.catalogue);
    const bore = given(pipe.bore, `catalogue:${element.item.id}`);
    return [
      derive({
        key: `${key}.pressureDrop`,
        label: `${element.name}, pressure drop`,
        formula: lineLoss,
        inputs: {
          massFlow,
          length: given(pipe.length, `result:${key}.length`),
          bore,
          roughness: given(pipe.roughness, `catalogue:${element.item.id}`),
          lossCoefficients: given(
            pipe.losses.map((l) => l.lossCoefficient),
            'catalogue:fittings',
          ),
          fittingBores: given(
            pipe.losses.map((l) => l.bore),
            'catalogue:fittings',
          ),
          fittingCounts: given(
            pipe.losses.map((l) => l.count),
            'document:fittings',
          ),
          density,
          viscosity,
        },
      }),
      derive({
        key: `${key}.reynolds`,
        label: `${element.name}, Reynolds number`,
        formula: reynolds,
        inputs: { massFlow, bore, viscosity },
      }),
      derive({
        key: `${key}.velocity`,
        label: `${element.name}, velocity`,
        formula: velocity,
        inputs: { massFlow, density, bore },
      }),
    ];
  });
}

/** Voltage, current and flow of each pump at peak; the worst pump also without its name. */
function pumpResults(context: Context, result: FluidResult, solution: SolvedCircuit): Result[] {
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

/** Pulse, duty and turn-down of a row at peak and at idle. */
function rowResults(
  context: Context,
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
    const element = injectorsOf(circuit, row);
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
  const idle = at(result.cases.hotIdle, 'idle', 'hot idle');
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

/** Least pressure above vapour pressure from tank to pump inlet, and the regulator's reserve. */
function edgeResults(context: Context, result: FluidResult, solution: SolvedCircuit): Result[] {
  const { circuit, design, suffix } = context;
  const ambient = given(design.demand.engine.ambientPressure, 'result:ambient.pressureAbsolute');
  const vapour = given(
    circuit.fuel.hot.vapourPressureAbsolute,
    'result:fuel.vapourPressureAbsolute',
  );
  const results: Result[] = [];
  for (const element of circuit.circuit.elements) {
    if (element.kind !== 'pump') continue;
    results.push(
      derive({
        key: `suction.peak${suffix}.${element.id}.inletHead`,
        label: `${element.name}, inlet above vapour pressure`,
        formula: inletHead,
        inputs: {
          gauge: given(solution.elements[element.id]!.inletPressure, SOLVED),
          ambient,
          vapour,
        },
      }),
    );
  }
  const regulator = regulatorOf(circuit);
  if (!regulator) return results;
  const item = lookUp(design.catalogue, 'regulator', regulator.item, regulator.id);
  for (const [name, key] of [
    ['hotIdle', 'idle'],
    ['overrun', 'overrun'],
  ] as const) {
    const { point, solution: solved } = result.cases[name];
    if (solved.state === 'failed') continue;
    const state = solved.elements[regulator.id]!;
    const density = circuit.fuel.hot.density;
    results.push(
      derive({
        key: `return.${key}${suffix}.reserve`,
        label: `Regulator reserve, ${point.label.toLowerCase()}`,
        formula: reserve,
        inputs: {
          setPressure: given(regulator.setPressure.value, 'document:setPressure'),
          manifoldRatio: given(regulator.manifoldRatio.value, 'document:manifoldRatio'),
          manifold: given(point.manifoldGauge, `case:${name}`),
          outlet: given(state.outletPressure, `case:${name}`),
          wideOpenLoss: given(
            wideOpenLoss(item, state.massFlow / density, density),
            `catalogue:${item.id}`,
          ),
        },
      }),
      derive({
        key: `return.${key}${suffix}.bypass`,
        label: `Regulator bypass, ${point.label.toLowerCase()}`,
        formula: flowAtDensity,
        inputs: {
          massFlow: given(state.massFlow, `case:${name}`),
          density: given(density, 'result:fuel.hot.density'),
        },
      }),
    );
  }
  return results;
}

/** Gauge pressure that a gauge on the rail should show in each named case. */
function gaugeResults(context: Context, result: FluidResult): Result[] {
  const rail = context.circuit.circuit.elements.find((e) => e.kind === 'injectors');
  if (!rail || rail.kind !== 'injectors') return [];
  return Object.values(result.cases).flatMap(({ point, solution }) => {
    if (solution.state === 'failed') return [];
    const reading = nodePressure(
      context,
      solution,
      rail.node,
      `gauge.${point.name}${context.suffix}.pressure`,
      `Rail gauge, ${point.label.toLowerCase()}`,
    );
    return reading ? [reading] : [];
  });
}

/** Every figure of one solved circuit, with its working. */
export function fluidResults(
  design: FluidDesign,
  result: FluidResult,
  circuitIndex: number,
): Result[] {
  const circuit = result.design;
  const context: Context = {
    design,
    circuit,
    circuitIndex,
    suffix: circuitIndex === 0 ? '' : `.${circuit.circuit.id}`,
  };
  const peak = result.cases.peakPower.solution;
  if (peak.state === 'failed') return gaugeResults(context, result);
  const single = design.document.injectorRows.length === 1;
  return [
    ...elementResults(context, peak),
    ...pumpResults(context, result, peak),
    ...circuit.rows.flatMap((row) => rowResults(context, result, row, single)),
    ...edgeResults(context, result, peak),
    ...gaugeResults(context, result),
  ];
}

export { rowDifference };
export type { RunningPoint };
