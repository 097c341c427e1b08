import { entryAt } from '../../numerics/index.ts';
import type { PumpElement } from '../../model/index.ts';
import { type Demand, airPoint } from '../../engine/index.ts';
import type { RunningBuild } from './design.ts';
import { type RunningPoint, demandPoint } from './runningPoint.ts';

export const caseNames = [
  'keyOnPrime',
  'crankingCold',
  'hotIdle',
  'cruise',
  'overrun',
  'peakTorque',
  'peakPower',
  'tipIn',
  'lowVoltage',
  'filtersLoaded',
] as const;
export type CaseName = (typeof caseNames)[number];

const CRANKING_SPEED = 250 / 60;
/** times the fuel of a warm start, at 0 °C; methanol needs more */
const CRANKING_ENRICHMENT = 3;
const CRANKING_ENRICHMENT_METHANOL = 5;
/** extra fuel of a sudden opening of the throttle, on top of full load; an estimate */
const TIP_IN_ENRICHMENT = 1.3;
/** absolute manifold pressure Pa on a closed throttle at speed */
const OVERRUN_MANIFOLD = 25e3;

/** Whether a row that works always gives methanol. */
const startsOnMethanol = (document: RunningBuild): boolean =>
  document.injectorRows.some((row) => {
    const circuit = document.fuelCircuits.find((c) => c.id === row.circuitId);
    const fuel = document.fuels.find((f) => f.id === circuit?.fuelId);
    return row.staging === null && fuel?.kind === 'methanol';
  });

/** The named cases of a build. Each fixes its system voltage; peak power is the design point. */
export function namedCases(document: RunningBuild, demand: Demand): Record<CaseName, RunningPoint> {
  const { brief, limits } = document;
  const { engine, map } = demand;
  const standing = { speed: 0, manifoldGauge: 0, massFlow: 0 };
  const fullLoad = map.speeds.map((speed) => airPoint(engine, speed, 1).airFlow / speed);
  const torqueSpeed = entryAt(map.speeds, fullLoad.indexOf(Math.max(...fullLoad)));
  const cranking = airPoint(engine, CRANKING_SPEED, 0, engine.coldTemperature);
  const running = limits.voltageRunning.value;
  const enrichment = startsOnMethanol(document)
    ? CRANKING_ENRICHMENT_METHANOL
    : CRANKING_ENRICHMENT;
  const torque = { speed: torqueSpeed, ...demandPoint(demand, torqueSpeed, 1) };
  const peak = {
    speed: demand.peak.speed,
    manifoldGauge: demand.peak.manifoldGauge,
    massFlow: demand.peak.designMassFlow,
    systemVoltage: limits.voltageLow.value,
    lambda: airPoint(engine, demand.peak.speed, demand.peak.load).lambda,
  };
  return {
    keyOnPrime: {
      name: 'keyOnPrime',
      label: 'Key-on prime',
      ...standing,
      systemVoltage: limits.voltageLow.value,
    },
    crankingCold: {
      name: 'crankingCold',
      label: 'Cranking, cold',
      speed: CRANKING_SPEED,
      manifoldGauge: 0,
      massFlow:
        (enrichment * demand.scale * cranking.massFlow * engine.ambientPressure) /
        cranking.manifoldAbsolute,
      systemVoltage: limits.voltageCranking.value,
      fuel: 'cold',
    },
    hotIdle: {
      name: 'hotIdle',
      label: 'Hot idle',
      speed: brief.idleSpeed.value,
      ...demandPoint(demand, brief.idleSpeed.value, 0),
      systemVoltage: running,
    },
    cruise: {
      name: 'cruise',
      label: 'Cruise',
      speed: 0.45 * brief.limiterSpeed.value,
      ...demandPoint(demand, 0.45 * brief.limiterSpeed.value, 0.35),
      systemVoltage: running,
    },
    overrun: {
      name: 'overrun',
      label: 'Overrun, fuel cut',
      speed: 0.6 * brief.limiterSpeed.value,
      manifoldGauge:
        Math.min(OVERRUN_MANIFOLD, brief.idleManifoldAbsolute.value) - engine.ambientPressure,
      massFlow: 0,
      systemVoltage: running,
    },
    peakTorque: {
      name: 'peakTorque',
      label: 'Peak torque',
      ...torque,
      systemVoltage: running,
    },
    peakPower: {
      name: 'peakPower',
      label: 'Peak power, worst case',
      ...peak,
    },
    tipIn: {
      name: 'tipIn',
      label: 'Tip-in, estimate',
      ...torque,
      massFlow: TIP_IN_ENRICHMENT * torque.massFlow,
      systemVoltage: running,
    },
    lowVoltage: {
      name: 'lowVoltage',
      label: 'Peak torque, low voltage',
      ...torque,
      systemVoltage: limits.voltageLow.value,
    },
    filtersLoaded: {
      name: 'filtersLoaded',
      label: 'Peak power, filters loaded',
      ...peak,
      filters: 'loaded',
    },
  };
}

/** What a person calls the case without a pump. */
export const pumpLostLabel = (lost: PumpElement): string =>
  `Peak power, ${lost.name.toLowerCase()} lost`;

/** Peak power with one of several pumps standing; the others have to carry it. */
export function pumpLostCase(
  points: Record<CaseName, RunningPoint>,
  lost: PumpElement,
): RunningPoint {
  return {
    ...points.peakPower,
    name: 'pumpLost',
    label: pumpLostLabel(lost),
    lostPump: lost.id,
  };
}
